import { doublePrecision, index, integer, json, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';

const instant = (name: string) => timestamp(name, { withTimezone: true });

/** Seasons that are to be worked out, or were. They belong to nobody: who knows the id may ask. */
export const seasonJobs = pgTable(
  'season_jobs',
  {
    id: uuid('id').primaryKey(),
    question: json('question').notNull(),
    state: text('state', { enum: ['waiting', 'running', 'done', 'failed', 'cancelled'] }).notNull(),
    progress: doublePrecision('progress').notNull().default(0),
    result: json('result'),
    error: text('error'),
    /** how often a server began with it */
    begun: integer('begun').notNull().default(0),
    addedAt: instant('added_at').notNull().defaultNow(),
    /** when the server that works it out last said so */
    heldAt: instant('held_at'),
  },
  (table) => [index('season_jobs_in_order').on(table.state, table.addedAt)],
);
