import { sql } from 'drizzle-orm';
import { check, date, index, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { gardens } from '../gardens/tables.js';
import { people } from '../people/tables.js';

const instant = (name: string) => timestamp(name, { withTimezone: true });
const ofGarden = () =>
  uuid('garden_id')
    .notNull()
    .references(() => gardens.id, { onDelete: 'cascade' });

export const invitations = pgTable(
  'invitations',
  {
    gardenId: ofGarden(),
    id: uuid('id').notNull(),
    /** SHA-256 of the secret in the link */
    secretHash: text('secret_hash').notNull().unique(),
    role: text('role').notNull(),
    email: text('email'),
    byId: uuid('by_id').references(() => people.id, { onDelete: 'set null' }),
    madeAt: instant('made_at').notNull(),
    expiresAt: instant('expires_at').notNull(),
    /** accepted, declined or withdrawn; nothing while it is open */
    ended: text('ended'),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    check('invitations_role', sql`${table.role} in ('member', 'adviser', 'viewer')`),
    check('invitations_ended', sql`${table.ended} in ('accepted', 'declined', 'withdrawn')`),
  ],
);

/** What a person's scripts sign in with, in one garden. */
export const tokens = pgTable(
  'tokens',
  {
    gardenId: ofGarden(),
    id: uuid('id').notNull(),
    personId: uuid('person_id')
      .notNull()
      .references(() => people.id, { onDelete: 'cascade' }),
    secretHash: text('secret_hash').notNull().unique(),
    name: text('name').notNull(),
    scope: text('scope').notNull(),
    madeAt: instant('made_at').notNull(),
    usedAt: instant('used_at'),
    expiresOn: date('expires_on'),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    index('tokens_person').on(table.personId),
    check('tokens_scope', sql`${table.scope} in ('read', 'write', 'calendar')`),
  ],
);
