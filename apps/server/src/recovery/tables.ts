import { sql } from 'drizzle-orm';
import { check, date, doublePrecision, foreignKey, index, integer, jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { cases } from '../cases/tables.js';
import { gardens, plantings } from '../gardens/tables.js';

export const assessments = pgTable(
  'assessments',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    caseId: uuid('case_id').notNull(),
    plantingId: uuid('planting_id').notNull(),
    assessedOn: date('assessed_on').notNull(),
    partId: uuid('part_id'),
    plant: integer('plant'),
    scale: text('scale').notNull().default('plant'),
    severity: doublePrecision('severity').notNull(),
    count: integer('count'),
    counts: jsonb('counts').notNull().default([]),
    countedOn: text('counted_on').notNull().default('plant'),
    plantsLooked: integer('plants_looked'),
    plantsMarked: integer('plants_marked'),
    newGrowth: text('new_growth').notNull(),
    flowers: integer('flowers'),
    photos: jsonb('photos').notNull().default([]),
    nextAssessmentOn: date('next_assessment_on'),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({ name: 'assessments_case', columns: [table.gardenId, table.caseId], foreignColumns: [cases.gardenId, cases.id] }),
    foreignKey({
      name: 'assessments_planting',
      columns: [table.gardenId, table.plantingId],
      foreignColumns: [plantings.gardenId, plantings.id],
    }),
    index('assessments_by_case').on(table.gardenId, table.caseId),
    check('assessments_severity', sql`${table.severity} between 0 and 100`),
    check('assessments_count', sql`${table.count} >= 0`),
    check('assessments_marked', sql`${table.plantsMarked} <= ${table.plantsLooked}`),
  ],
);

/** What was picked. */
export const harvests = pgTable(
  'harvests',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    plantingId: uuid('planting_id').notNull(),
    pickedOn: date('picked_on').notNull(),
    kg: doublePrecision('kg'),
    pieces: integer('pieces'),
    wasteKg: doublePrecision('waste_kg'),
    by: text('picked_by').notNull(),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({
      name: 'harvests_planting',
      columns: [table.gardenId, table.plantingId],
      foreignColumns: [plantings.gardenId, plantings.id],
    }),
    index('harvests_by_day').on(table.gardenId, table.pickedOn),
    check('harvests_amounts', sql`${table.kg} >= 0 and ${table.wasteKg} >= 0 and ${table.pieces} >= 0`),
  ],
);

/** What the grower makes of it for another year. */
export const lessons = pgTable(
  'lessons',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    writtenOn: date('written_on').notNull(),
    text: text('text').notNull(),
    condition: text('condition'),
    host: text('host'),
    dueOn: date('due_on'),
    doneOn: date('done_on'),
  },
  (table) => [primaryKey({ columns: [table.gardenId, table.id] })],
);

/** Plants that are taken out, step by step. */
export const removals = pgTable(
  'removals',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    caseId: uuid('case_id').notNull(),
    plantingId: uuid('planting_id').notNull(),
    startedOn: date('started_on').notNull(),
    plants: integer('plants').notNull(),
    reported: text('reported').notNull(),
    done: jsonb('done').notNull(),
    photos: jsonb('photos').notNull(),
    endedOn: date('ended_on'),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({ name: 'removals_case', columns: [table.gardenId, table.caseId], foreignColumns: [cases.gardenId, cases.id] }),
    foreignKey({
      name: 'removals_planting',
      columns: [table.gardenId, table.plantingId],
      foreignColumns: [plantings.gardenId, plantings.id],
    }),
    index('removals_by_case').on(table.gardenId, table.caseId),
    check('removals_plants', sql`${table.plants} > 0`),
  ],
);
