import { sql } from 'drizzle-orm';
import {
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
  uuid,
} from 'drizzle-orm/pg-core';
import { cases } from '../cases/tables.js';
import { gardens, plantings } from '../gardens/tables.js';

const instant = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' });

export const scoutingRounds = pgTable(
  'scouting_rounds',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    startedAt: instant('started_at').notNull(),
    endedAt: instant('ended_at'),
    by: text('by').notNull(),
    walk: jsonb('walk').notNull(),
    clockMended: boolean('clock_mended').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    index('scouting_rounds_by_day').on(table.gardenId, table.startedAt),
    index('scouting_rounds_open')
      .on(table.gardenId)
      .where(sql`${table.endedAt} is null`),
    check('scouting_rounds_ended', sql`${table.endedAt} >= ${table.startedAt}`),
  ],
);

export const stops = pgTable(
  'stops',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    roundId: uuid('round_id').notNull(),
    plantingId: uuid('planting_id').notNull(),
    lookedAt: instant('looked_at').notNull(),
    found: boolean('found').notNull(),
    target: text('target'),
    measure: text('measure'),
    sample: jsonb('sample').notNull(),
    decision: text('decision'),
    severity: doublePrecision('severity'),
    gauged: doublePrecision('gauged'),
    damage: text('damage'),
    helpers: integer('helpers').notNull(),
    droppings: boolean('droppings').notNull(),
    eggs: boolean('eggs').notNull(),
    caseId: uuid('case_id'),
    photos: jsonb('photos').notNull(),
    note: text('note').notNull(),
    clockMended: boolean('clock_mended').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({
      name: 'stops_round',
      columns: [table.gardenId, table.roundId],
      foreignColumns: [scoutingRounds.gardenId, scoutingRounds.id],
    }),
    foreignKey({ name: 'stops_planting', columns: [table.gardenId, table.plantingId], foreignColumns: [plantings.gardenId, plantings.id] }),
    foreignKey({ name: 'stops_case', columns: [table.gardenId, table.caseId], foreignColumns: [cases.gardenId, cases.id] }),
    index('stops_by_planting').on(table.gardenId, table.plantingId, table.lookedAt),
    index('stops_by_round').on(table.gardenId, table.roundId),
    index('stops_by_day').on(table.gardenId, table.lookedAt),
    check('stops_percent', sql`${table.severity} between 0 and 100 and ${table.gauged} between 0 and 100`),
    check('stops_helpers', sql`${table.helpers} >= 0`),
  ],
);

/** Signs that were seen at a stop, a row for each. */
export const stopSigns = pgTable(
  'stop_signs',
  {
    gardenId: uuid('garden_id').notNull(),
    stopId: uuid('stop_id').notNull(),
    ordinal: integer('ordinal').notNull(),
    sign: text('sign').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.stopId, table.sign] }),
    foreignKey({
      name: 'stop_signs_stop',
      columns: [table.gardenId, table.stopId],
      foreignColumns: [stops.gardenId, stops.id],
    }).onDelete('cascade'),
    index('stop_signs_by_sign').on(table.gardenId, table.sign),
  ],
);

export const leafMeasurements = pgTable(
  'leaf_measurements',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    plantingId: uuid('planting_id'),
    measuredAt: instant('measured_at').notNull(),
    eyedPercent: doublePrecision('eyed_percent'),
    eatenPercent: doublePrecision('eaten_percent').notNull(),
    discolouredPercent: doublePrecision('discoloured_percent').notNull(),
    uncertainty: doublePrecision('uncertainty').notNull(),
    spots: integer('spots').notNull(),
    areaMm2: doublePrecision('area_mm2'),
    photos: jsonb('photos').notNull().default([]),
    by: text('by').notNull(),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({
      name: 'leaf_measurements_planting',
      columns: [table.gardenId, table.plantingId],
      foreignColumns: [plantings.gardenId, plantings.id],
    }),
    check('leaf_measurements_percent', sql`${table.eatenPercent} between 0 and 100 and ${table.discolouredPercent} between 0 and 100`),
  ],
);

export const thresholds = pgTable(
  'thresholds',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    condition: text('condition').notNull(),
    measure: text('measure').notNull(),
    act: doublePrecision('act').notNull(),
    why: text('why').notNull(),
    endedOn: date('ended_on'),
  },
  (table) => [primaryKey({ columns: [table.gardenId, table.id] }), check('thresholds_act', sql`${table.act} > 0`)],
);

/** Sittings of drills: what was asked, what was true, what was said. */
export const drills = pgTable(
  'drills',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    heldAt: instant('held_at').notNull(),
    by: text('by').notNull(),
    answers: jsonb('answers').notNull(),
  },
  (table) => [primaryKey({ columns: [table.gardenId, table.id] }), index('drills_by_time').on(table.gardenId, table.heldAt)],
);
