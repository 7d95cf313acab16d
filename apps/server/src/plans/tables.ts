import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  date,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { applications } from '../applications/tables.js';
import { cases } from '../cases/tables.js';
import { gardens, plantings } from '../gardens/tables.js';
import { products } from '../shelf/tables.js';

/** What shall be done on a planting, and how often. */
export const treatmentPlans = pgTable(
  'treatment_plans',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    plantingId: uuid('planting_id').notNull(),
    caseId: uuid('case_id'),
    against: text('against').array().notNull(),
    /** in turn */
    interventions: text('interventions').array().notNull(),
    startsOn: date('starts_on').notNull(),
    rounds: integer('rounds').notNull(),
    betweenDays: integer('between_days').notNull(),
    endedOn: date('ended_on'),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({
      name: 'treatment_plans_planting',
      columns: [table.gardenId, table.plantingId],
      foreignColumns: [plantings.gardenId, plantings.id],
    }),
    foreignKey({ name: 'treatment_plans_case', columns: [table.gardenId, table.caseId], foreignColumns: [cases.gardenId, cases.id] }),
    index('treatment_plans_by_case').on(table.gardenId, table.caseId),
    index('treatment_plans_by_planting').on(table.gardenId, table.plantingId),
    check('treatment_plans_rounds', sql`${table.rounds} between 1 and 8`),
    check('treatment_plans_between', sql`${table.betweenDays} >= 0`),
  ],
);

/** One round of a plan in its half-day. */
export const plannedApplications = pgTable(
  'planned_applications',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    planId: uuid('plan_id').notNull(),
    ordinal: integer('ordinal').notNull(),
    intervention: text('intervention').notNull(),
    productId: uuid('product_id'),
    plannedFor: date('planned_for').notNull(),
    slot: text('slot').notNull(),
    held: boolean('held').notNull(),
    person: text('person').notNull(),
    state: text('state').notNull(),
    startedAt: timestamp('started_at', { withTimezone: true, mode: 'string' }),
    applicationId: uuid('application_id'),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({
      name: 'planned_applications_plan',
      columns: [table.gardenId, table.planId],
      foreignColumns: [treatmentPlans.gardenId, treatmentPlans.id],
    }),
    foreignKey({
      name: 'planned_applications_product',
      columns: [table.gardenId, table.productId],
      foreignColumns: [products.gardenId, products.id],
    }),
    foreignKey({
      name: 'planned_applications_application',
      columns: [table.gardenId, table.applicationId],
      foreignColumns: [applications.gardenId, applications.id],
    }),
    uniqueIndex('planned_applications_once').on(table.gardenId, table.planId, table.ordinal),
    index('planned_applications_by_product').on(table.gardenId, table.productId),
    index('planned_applications_by_application').on(table.gardenId, table.applicationId),
    check('planned_applications_slot', sql`${table.slot} in ('morning', 'evening')`),
    check('planned_applications_state', sql`${table.state} in ('planned', 'under-way', 'done', 'not-needed')`),
    check('planned_applications_done', sql`(${table.state} = 'done') = (${table.applicationId} is not null)`),
  ],
);

/** How long somebody works for the garden's health, day by day. */
export const workTimes = pgTable(
  'work_times',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    person: text('person').notNull(),
    minutesPerDay: integer('minutes_per_day').notNull(),
    exceptions: jsonb('exceptions').notNull(),
    endedOn: date('ended_on'),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    uniqueIndex('work_times_once').on(table.gardenId, table.person),
    check('work_times_minutes', sql`${table.minutesPerDay} between 0 and 1440`),
  ],
);
