import { sql } from 'drizzle-orm';
import { check, date, foreignKey, index, integer, jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { cases } from '../cases/tables.js';
import { treatmentPlans } from '../plans/tables.js';

export const decisions = pgTable(
  'decisions',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    caseId: uuid('case_id').notNull(),
    intervention: text('intervention').notNull(),
    verdict: text('verdict').notNull(),
    decidedOn: date('decided_on').notNull(),
    nextAssessmentOn: date('next_assessment_on').notNull(),
    weather: jsonb('weather'),
    planId: uuid('plan_id'),
    /** why the verdict is what it is, in the words that were told */
    reasons: jsonb('reasons').notNull(),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({ name: 'decisions_case', columns: [table.gardenId, table.caseId], foreignColumns: [cases.gardenId, cases.id] }),
    foreignKey({
      name: 'decisions_plan',
      columns: [table.gardenId, table.planId],
      foreignColumns: [treatmentPlans.gardenId, treatmentPlans.id],
    }),
    index('decisions_by_case').on(table.gardenId, table.caseId),
    check('decisions_verdict', sql`${table.verdict} in ('fits', 'care')`),
  ],
);
