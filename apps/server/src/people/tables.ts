import { sql } from 'drizzle-orm';
import { bigint, check, index, integer, jsonb, pgTable, text, timestamp, uuid, varchar } from 'drizzle-orm/pg-core';

const instant = (name: string) => timestamp(name, { withTimezone: true });
const ofPerson = () =>
  uuid('person_id')
    .notNull()
    .references(() => people.id, { onDelete: 'cascade' });

export const people = pgTable(
  'people',
  {
    id: uuid('id').primaryKey(),
    name: text('name').notNull(),
    /** lower case; unique; none for a visitor of the demo garden */
    email: text('email').unique(),
    passwordHash: text('password_hash'),
    createdAt: instant('created_at').notNull(),
    /** when a visitor and their garden go */
    visitEndsAt: instant('visit_ends_at'),
  },
  (table) => [
    check(
      'people_account',
      sql`(${table.email} is null) = (${table.visitEndsAt} is not null) and (${table.email} is null) = (${table.passwordHash} is null)`,
    ),
    index('people_visits')
      .on(table.visitEndsAt)
      .where(sql`${table.visitEndsAt} is not null`),
  ],
);

/** Devices that are signed in. */
export const sessions = pgTable(
  'sessions',
  {
    /** SHA-256 of the key in the cookie, so that a leaked table opens no session */
    keyHash: text('key_hash').primaryKey(),
    id: uuid('id').notNull().unique(),
    personId: ofPerson(),
    /** as the browser calls itself */
    device: text('device').notNull(),
    data: jsonb('data').notNull(),
    begunAt: instant('begun_at').notNull(),
    seenAt: instant('seen_at').notNull(),
    expiresAt: instant('expires_at').notNull(),
  },
  (table) => [index('sessions_expires_at').on(table.expiresAt), index('sessions_person').on(table.personId)],
);

export const passwordResets = pgTable(
  'password_resets',
  {
    /** SHA-256 of the secret in the link */
    secretHash: text('secret_hash').primaryKey(),
    personId: ofPerson(),
    expiresAt: instant('expires_at').notNull(),
  },
  (table) => [index('password_resets_person').on(table.personId)],
);

/** Shape asked for by rate-limiter-flexible. */
export const rateLimits = pgTable('rate_limits', {
  key: varchar('key', { length: 255 }).primaryKey(),
  points: integer('points').notNull().default(0),
  expire: bigint('expire', { mode: 'number' }),
});
