import { bigserial, index, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { gardens } from '../gardens/tables.js';
import { people } from '../people/tables.js';

/** What happened around accounts and rights. Names are kept as they were, and stay when somebody goes. */
export const securityEvents = pgTable(
  'security_events',
  {
    id: bigserial('id', { mode: 'number' }).primaryKey(),
    at: timestamp('at', { withTimezone: true }).notNull(),
    kind: text('kind').notNull(),
    /** the garden whose owner may read it */
    gardenId: uuid('garden_id').references(() => gardens.id, { onDelete: 'cascade' }),
    /** the person whose account it concerns, who may read it */
    personId: uuid('person_id').references(() => people.id, { onDelete: 'cascade' }),
    by: text('by'),
    about: text('about').notNull(),
    address: text('address'),
  },
  (table) => [
    index('security_events_garden').on(table.gardenId, table.id),
    index('security_events_person').on(table.personId, table.id),
    index('security_events_at').on(table.at),
  ],
);
