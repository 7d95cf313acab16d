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
  uuid,
} from 'drizzle-orm/pg-core';
import { places } from '../gardens/tables.js';

export const traps = pgTable(
  'traps',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    placeId: uuid('place_id').notNull(),
    name: text('name').notNull(),
    kind: text('kind').notNull(),
    target: text('target'),
    spots: jsonb('spots').notNull(),
    pauses: jsonb('pauses').notNull().default([]),
    weeklyLevel: doublePrecision('weekly_level'),
    note: text('note').notNull(),
    endedOn: date('ended_on'),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({ name: 'traps_place', columns: [table.gardenId, table.placeId], foreignColumns: [places.gardenId, places.id] }),
    check('traps_weekly_level', sql`${table.weeklyLevel} > 0`),
  ],
);

export const catches = pgTable(
  'catches',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    trapId: uuid('trap_id').notNull(),
    checkedOn: date('checked_on').notNull(),
    caught: jsonb('caught').notNull(),
    emptied: boolean('emptied').notNull(),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({ name: 'catches_trap', columns: [table.gardenId, table.trapId], foreignColumns: [traps.gardenId, traps.id] }),
    index('catches_by_trap').on(table.gardenId, table.trapId),
  ],
);
