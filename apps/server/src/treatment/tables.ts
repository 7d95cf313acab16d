import { sql } from 'drizzle-orm';
import { check, date, doublePrecision, foreignKey, index, integer, jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { cases } from '../cases/tables.js';
import { gardens, plantings } from '../gardens/tables.js';
import { treatmentPlans } from '../plans/tables.js';
import { products } from '../shelf/tables.js';

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

/** A sprayer or a can, with what was measured of it. */
export const sprayers = pgTable(
  'sprayers',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    name: text('name').notNull(),
    holdsL: doublePrecision('holds_l').notNull(),
    newFlowLPerMin: doublePrecision('new_flow_l_per_min'),
    calibrations: jsonb('calibrations').notNull(),
    endedOn: date('ended_on'),
  },
  (table) => [primaryKey({ columns: [table.gardenId, table.id] }), check('sprayers_holds', sql`${table.holdsL} > 0`)],
);

/** A few leaves that were sprayed first. */
export const testSprays = pgTable(
  'test_sprays',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    plantingId: uuid('planting_id').notNull(),
    caseId: uuid('case_id'),
    intervention: text('intervention').notNull(),
    productId: uuid('product_id'),
    sprayedOn: date('sprayed_on').notNull(),
    lookOn: date('look_on').notNull(),
    outcome: text('outcome').notNull(),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({
      name: 'test_sprays_planting',
      columns: [table.gardenId, table.plantingId],
      foreignColumns: [plantings.gardenId, plantings.id],
    }),
    foreignKey({ name: 'test_sprays_case', columns: [table.gardenId, table.caseId], foreignColumns: [cases.gardenId, cases.id] }),
    foreignKey({
      name: 'test_sprays_product',
      columns: [table.gardenId, table.productId],
      foreignColumns: [products.gardenId, products.id],
    }),
    index('test_sprays_by_planting').on(table.gardenId, table.plantingId),
    index('test_sprays_by_day').on(table.gardenId, table.lookOn),
    check('test_sprays_look', sql`${table.lookOn} > ${table.sprayedOn}`),
    check('test_sprays_outcome', sql`${table.outcome} in ('waiting', 'clean', 'marked')`),
  ],
);
