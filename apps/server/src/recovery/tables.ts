import { sql } from 'drizzle-orm';
import { check, date, doublePrecision, foreignKey, index, integer, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { cases } from '../cases/tables.js';
import { plantings } from '../gardens/tables.js';

export const assessments = pgTable(
  'assessments',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    caseId: uuid('case_id').notNull(),
    plantingId: uuid('planting_id').notNull(),
    assessedOn: date('assessed_on').notNull(),
    severity: doublePrecision('severity').notNull(),
    count: integer('count'),
    newGrowth: text('new_growth').notNull(),
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
  ],
);
