import { sql } from 'drizzle-orm';
import { boolean, check, date, foreignKey, index, integer, jsonb, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { people } from '../people/tables.js';
import { plantings } from '../gardens/tables.js';

export const cases = pgTable(
  'cases',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    plantingId: uuid('planting_id').notNull(),
    openedOn: date('opened_on').notNull(),
    words: text('words').notNull(),
    findings: jsonb('findings').notNull(),
    onset: text('onset'),
    pattern: text('pattern'),
    stage: text('stage'),
    hidden: text('hidden'),
    helpersSeen: boolean('helpers_seen').notNull(),
    /** for this case alone */
    stance: text('stance'),
    schools: jsonb('schools').notNull().default([]),
    photos: jsonb('photos').notNull().default([]),
    /** parts of the stand that are looked at apart */
    parts: jsonb('parts').notNull().default([]),
    closedOn: date('closed_on'),
    outcome: text('outcome'),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({ name: 'cases_planting', columns: [table.gardenId, table.plantingId], foreignColumns: [plantings.gardenId, plantings.id] }),
    index('cases_open')
      .on(table.gardenId, table.openedOn)
      .where(sql`${table.closedOn} is null`),
    index('cases_by_planting').on(table.gardenId, table.plantingId),
    check('cases_stance', sql`${table.stance} in ('hands', 'organic', 'softest', 'protect')`),
    check('cases_closed', sql`${table.closedOn} >= ${table.openedOn}`),
    check('cases_outcome', sql`(${table.closedOn} is null) = (${table.outcome} is null)`),
  ],
);

/** Working diagnoses, a row for each condition, so that the first sight of one is a single query. */
export const caseDiagnoses = pgTable(
  'case_diagnoses',
  {
    gardenId: uuid('garden_id').notNull(),
    caseId: uuid('case_id').notNull(),
    /** of the diagnosis, and of the condition in it */
    ordinal: integer('ordinal').notNull(),
    rank: integer('rank').notNull(),
    on: date('diagnosed_on').notNull(),
    condition: text('condition').notNull(),
    why: text('why').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.caseId, table.ordinal, table.rank] }),
    foreignKey({
      name: 'case_diagnoses_case',
      columns: [table.gardenId, table.caseId],
      foreignColumns: [cases.gardenId, cases.id],
    }).onDelete('cascade'),
    index('case_diagnoses_by_condition').on(table.gardenId, table.condition, table.on),
  ],
);

/** What members and advisers say of a case. */
export const comments = pgTable(
  'comments',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    caseId: uuid('case_id').notNull(),
    writtenAt: timestamp('written_at', { withTimezone: true, mode: 'string' }).notNull(),
    text: text('text').notNull(),
    /** nobody once the account is deleted; the name stays */
    personId: uuid('person_id').references(() => people.id, { onDelete: 'set null' }),
    by: text('by').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({ name: 'comments_case', columns: [table.gardenId, table.caseId], foreignColumns: [cases.gardenId, cases.id] }),
    index('comments_by_case').on(table.gardenId, table.caseId),
  ],
);
