import { sql } from 'drizzle-orm';
import { check, date, doublePrecision, foreignKey, index, integer, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { places } from '../gardens/tables.js';

export const chores = pgTable(
  'chores',
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
    foreignKey({ name: 'chores_place', columns: [table.gardenId, table.placeId], foreignColumns: [places.gardenId, places.id] }),
    index('chores_by_place').on(table.gardenId, table.placeId),
    check('chores_amount', sql`${table.amount} >= 0`),
  ],
);
