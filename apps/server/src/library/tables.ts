import { sql } from 'drizzle-orm';
import { check, date, integer, jsonb, pgTable, primaryKey, text, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { gardens } from '../gardens/tables.js';

/** Entries of a garden's own, beside or in place of the reference library's. */
export const ownEntries = pgTable(
  'own_entries',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    kind: text('kind').notNull(),
    entry: jsonb('entry').notNull(),
    why: text('why').notNull(),
    endedOn: date('ended_on'),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    check('own_entries_kind', sql`${table.kind} in ('hosts', 'signs', 'checks', 'interventions', 'conditions', 'regions')`),
    uniqueIndex('own_entries_once')
      .on(table.gardenId, table.kind, sql`(${table.entry} ->> 'id')`)
      .where(sql`${table.endedOn} is null`),
  ],
);
