import { sql } from 'drizzle-orm';
import { check, date, doublePrecision, foreignKey, index, integer, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { places } from '../gardens/tables.js';

export const preventionTasks = pgTable(
  'prevention_tasks',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    placeId: uuid('place_id').notNull(),
    task: text('task').notNull(),
    doneOn: date('done_on').notNull(),
    outcome: text('outcome').notNull(),
    amount: doublePrecision('amount'),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({ name: 'prevention_tasks_place', columns: [table.gardenId, table.placeId], foreignColumns: [places.gardenId, places.id] }),
    index('prevention_tasks_by_place').on(table.gardenId, table.placeId),
    check('prevention_tasks_amount', sql`${table.amount} >= 0`),
  ],
);

/** What happened to ground that rests. */
export const groundEvents = pgTable(
  'ground_events',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    placeId: uuid('place_id').notNull(),
    happenedOn: date('happened_on').notNull(),
    kind: text('kind', { enum: ['entered', 'cleaned', 'tested-clean', 'tested-there'] }).notNull(),
    condition: text('condition'),
    person: text('person').notNull(),
    things: text('things').array().notNull(),
    disinfectant: text('disinfectant').notNull(),
    minutes: integer('minutes'),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({ name: 'ground_events_place', columns: [table.gardenId, table.placeId], foreignColumns: [places.gardenId, places.id] }),
    index('ground_events_by_day').on(table.gardenId, table.happenedOn),
    check('ground_events_kind', sql`${table.kind} in ('entered', 'cleaned', 'tested-clean', 'tested-there')`),
    check('ground_events_minutes', sql`${table.minutes} >= 0`),
  ],
);
