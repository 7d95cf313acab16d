import { sql } from 'drizzle-orm';
import { check, date, doublePrecision, foreignKey, index, integer, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { cases } from '../cases/tables.js';
import { plantings } from '../gardens/tables.js';

export const applications = pgTable(
  'applications',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    caseId: uuid('case_id'),
    plantingId: uuid('planting_id').notNull(),
    intervention: text('intervention').notNull(),
    appliedAt: timestamp('applied_at', { withTimezone: true, mode: 'string' }).notNull(),
    plants: integer('plants').notNull(),
    productAmount: doublePrecision('product_amount'),
    productUnit: text('product_unit'),
    waterL: doublePrecision('water_l'),
    coveredPart: text('covered_part').notNull(),
    appliedBy: text('applied_by').notNull(),
    temperatureC: doublePrecision('temperature_c'),
    windKmh: doublePrecision('wind_kmh'),
    sky: text('sky').notNull(),
    why: text('why').notNull(),
    reEntryAt: timestamp('re_entry_at', { withTimezone: true, mode: 'string' }).notNull(),
    harvestSafeOn: date('harvest_safe_on'),
    repeatFrom: date('repeat_from'),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({
      name: 'applications_planting',
      columns: [table.gardenId, table.plantingId],
      foreignColumns: [plantings.gardenId, plantings.id],
    }),
    foreignKey({ name: 'applications_case', columns: [table.gardenId, table.caseId], foreignColumns: [cases.gardenId, cases.id] }),
    index('applications_by_planting').on(table.gardenId, table.plantingId),
    check('applications_plants', sql`${table.plants} >= 1`),
    check('applications_amounts', sql`${table.productAmount} >= 0 and ${table.waterL} >= 0`),
  ],
);
