import { index, integer, jsonb, pgTable, text, timestamp, uuid, bigint, varchar } from 'drizzle-orm/pg-core';

export const people = pgTable('people', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull(),
  /** lower case; unique */
  email: text('email').notNull().unique(),
  passwordHash: text('password_hash').notNull(),
  createdAt: timestamp('created_at', { withTimezone: true }).notNull(),
});

export const sessions = pgTable(
  'sessions',
  {
    /** SHA-256 of the key in the cookie, so that a leaked table opens no session */
    keyHash: text('key_hash').primaryKey(),
    data: jsonb('data').notNull(),
    expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
  },
  (table) => [index('sessions_expires_at').on(table.expiresAt)],
);

/** Shape asked for by rate-limiter-flexible. */
export const rateLimits = pgTable('rate_limits', {
  key: varchar('key', { length: 255 }).primaryKey(),
  points: integer('points').notNull().default(0),
  expire: bigint('expire', { mode: 'number' }),
});
