import { customType, integer, pgTable, primaryKey, timestamp, uuid } from 'drizzle-orm/pg-core';
import { gardens } from '../gardens/tables.js';
import { people } from '../people/tables.js';

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** Photos never change: another picture is another photo. */
export const photos = pgTable(
  'photos',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    /** the picture, as earlier versions kept it; those of today are in the file store */
    image: bytes('image'),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    /** nobody once the account is deleted */
    personId: uuid('person_id').references(() => people.id, { onDelete: 'set null' }),
    addedAt: timestamp('added_at', { withTimezone: true }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.gardenId, table.id] })],
);
