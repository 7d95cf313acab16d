import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  check,
  date,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { people } from '../people/tables.js';

export const gardens = pgTable(
  'gardens',
  {
    id: uuid('id').primaryKey(),
    name: text('name').notNull(),
    latitude: doublePrecision('latitude'),
    longitude: doublePrecision('longitude'),
    timeZone: text('time_zone').notNull(),
    units: text('units').notNull(),
    stance: text('stance').notNull(),
    region: text('region').notNull(),
    /** month and day, MM-DD; none: as usual in its half of the world */
    seasonStart: text('season_start'),
    /** suspects that need not be reported here, as the authority said */
    notListed: text('not_listed').array().notNull().default([]),
    weatherStation: text('weather_station'),
    /** its answers where growers disagree */
    schools: jsonb('schools').notNull().default([]),
    /** the clock of a demo garden stands still */
    fixedNow: timestamp('fixed_now', { withTimezone: true }),
    /** the number of the newest change */
    lastSequence: bigint('last_sequence', { mode: 'number' }).notNull().default(0),
    /** what the quotas count */
    recordCount: integer('record_count').notNull().default(0),
    photoCount: integer('photo_count').notNull().default(0),
    photoBytes: bigint('photo_bytes', { mode: 'number' }).notNull().default(0),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull(),
  },
  (table) => [
    check('gardens_latitude', sql`${table.latitude} between -90 and 90`),
    check('gardens_longitude', sql`${table.longitude} between -180 and 180`),
    check('gardens_units', sql`${table.units} in ('metric', 'us')`),
    check('gardens_season_start', sql`${table.seasonStart} ~ '^(0[1-9]|1[0-2])-(0[1-9]|1[0-9]|2[0-8])$'`),
    check('gardens_stance', sql`${table.stance} in ('hands', 'organic', 'softest', 'protect')`),
  ],
);

/** Gardens that were deleted and whose pictures have still to go from the file store. */
export const deletedGardens = pgTable('deleted_gardens', { garden: uuid('garden').primaryKey() });

export const members = pgTable(
  'members',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    personId: uuid('person_id')
      .notNull()
      .references(() => people.id, { onDelete: 'cascade' }),
    role: text('role').notNull(),
    since: timestamp('since', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.personId] }),
    index('members_person').on(table.personId),
    check('members_role', sql`${table.role} in ('owner', 'member', 'adviser', 'viewer')`),
  ],
);

export const places = pgTable(
  'places',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    name: text('name').notNull(),
    kind: text('kind').notNull(),
    setting: text('setting').notNull(),
    areaM2: doublePrecision('area_m2'),
    shape: jsonb('shape'),
    light: text('light'),
    note: text('note').notNull(),
    endedOn: date('ended_on'),
  },
  (table) => [primaryKey({ columns: [table.gardenId, table.id] }), check('places_area', sql`${table.areaM2} > 0`)],
);

export const plantings = pgTable(
  'plantings',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    placeId: uuid('place_id').notNull(),
    host: text('host').notNull(),
    cultivar: text('cultivar').notNull(),
    plants: integer('plants').notNull(),
    rows: integer('rows').notNull().default(1),
    shape: jsonb('shape'),
    plantedOn: date('planted_on').notNull(),
    setting: text('setting').notNull(),
    eaten: boolean('eaten').notNull(),
    quarantine: jsonb('quarantine'),
    /** fields that were taken for granted */
    assumed: jsonb('assumed').notNull().default([]),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({ name: 'plantings_place', columns: [table.gardenId, table.placeId], foreignColumns: [places.gardenId, places.id] }),
    check('plantings_plants', sql`${table.plants} >= 1`),
    check('plantings_rows', sql`${table.rows} between 1 and ${table.plants}`),
    index('plantings_by_place').on(table.gardenId, table.placeId),
    index('plantings_by_host').on(table.gardenId, table.host),
  ],
);

/** What happened to a planting, in the order of noting; what is true of it on a day follows from them. */
export const plantingEvents = pgTable(
  'planting_events',
  {
    gardenId: uuid('garden_id').notNull(),
    plantingId: uuid('planting_id').notNull(),
    ordinal: integer('ordinal').notNull(),
    kind: text('kind').notNull(),
    on: date('happened_on').notNull(),
    until: date('until'),
    placeId: uuid('place_id'),
    setting: text('setting'),
    stage: text('stage'),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.plantingId, table.ordinal] }),
    foreignKey({
      name: 'planting_events_planting',
      columns: [table.gardenId, table.plantingId],
      foreignColumns: [plantings.gardenId, plantings.id],
    }).onDelete('cascade'),
    foreignKey({ name: 'planting_events_place', columns: [table.gardenId, table.placeId], foreignColumns: [places.gardenId, places.id] }),
    index('planting_events_by_kind').on(table.gardenId, table.kind, table.on),
    check('planting_events_kind', sql`${table.kind} in ('moved', 'flowering', 'harvest', 'stage', 'ended')`),
    check('planting_events_moved', sql`(${table.kind} = 'moved') = (${table.placeId} is not null)`),
    check('planting_events_stage', sql`(${table.kind} = 'stage') = (${table.stage} is not null)`),
    check('planting_events_until', sql`${table.until} >= ${table.on}`),
  ],
);

/** Every write, with the record before and after it: what makes writes idempotent and undo possible. */
export const changes = pgTable(
  'changes',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    /** grows by one with each change of the garden, in the order in which they were committed */
    sequence: bigint('sequence', { mode: 'number' }).notNull(),
    subject: text('subject').notNull(),
    recordId: uuid('record_id').notNull(),
    /** that the record has from this change on, and never has again: taking it out counts too */
    version: integer('version').notNull(),
    before: jsonb('before'),
    after: jsonb('after'),
    undoes: uuid('undoes'),
    /** nobody once the account is deleted */
    personId: uuid('person_id').references(() => people.id, { onDelete: 'set null' }),
    madeAt: timestamp('made_at', { withTimezone: true }).notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    uniqueIndex('changes_order').on(table.gardenId, table.sequence),
    index('changes_of_record').on(table.gardenId, table.recordId, table.version),
    index('changes_person').on(table.personId),
  ],
);
