import { sql } from 'drizzle-orm';
import {
  check,
  date,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import { cases } from '../cases/tables.js';
import { gardens, plantings } from '../gardens/tables.js';
import { people } from '../people/tables.js';
import { products } from '../shelf/tables.js';

const instant = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' });

/** One tank or one job. */
export const applications = pgTable(
  'applications',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    intervention: text('intervention').notNull(),
    productId: uuid('product_id'),
    appliedAt: instant('applied_at').notNull(),
    productMl: doublePrecision('product_ml'),
    productG: doublePrecision('product_g'),
    productPieces: doublePrecision('product_pieces'),
    collected: integer('collected'),
    waterL: doublePrecision('water_l'),
    kit: text('kit').notNull(),
    /** who did it, by the name of then; and who logged it, nobody once that account is deleted */
    appliedBy: text('applied_by').notNull(),
    personId: uuid('person_id').references(() => people.id, { onDelete: 'set null' }),
    temperatureC: doublePrecision('temperature_c'),
    windKmh: doublePrecision('wind_kmh'),
    sky: text('sky').notNull(),
    why: text('why').notNull(),
    /** the card as it was then, the lines of it that were not kept, and the weather as it was measured */
    card: jsonb('card').notNull(),
    brokenLines: jsonb('broken_lines').notNull(),
    measured: jsonb('measured'),
    reEntryAt: instant('re_entry_at').notNull(),
    repeatFrom: date('repeat_from'),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({
      name: 'applications_product_used',
      columns: [table.gardenId, table.productId],
      foreignColumns: [products.gardenId, products.id],
    }),
    index('applications_by_day').on(table.gardenId, table.appliedAt),
    index('applications_by_product').on(table.gardenId, table.productId),
    index('applications_person').on(table.personId),
    check('applications_collected', sql`${table.collected} >= 0`),
    check('applications_water', sql`${table.waterL} >= 0`),
    check(
      'applications_product',
      sql`num_nonnulls(${table.productMl}, ${table.productG}, ${table.productPieces}) <= 1 and coalesce(${table.productMl}, ${table.productG}, ${table.productPieces}, 0) >= 0`,
    ),
  ],
);

/** The plantings that one tank or job went to. */
export const applicationTargets = pgTable(
  'application_targets',
  {
    gardenId: uuid('garden_id').notNull(),
    applicationId: uuid('application_id').notNull(),
    ordinal: integer('ordinal').notNull(),
    plantingId: uuid('planting_id').notNull(),
    caseId: uuid('case_id'),
    plants: integer('plants').notNull(),
    areaM2: doublePrecision('area_m2'),
    coveredPart: text('covered_part').notNull(),
    notPickedBefore: date('not_picked_before'),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.applicationId, table.plantingId] }),
    foreignKey({
      name: 'application_targets_application',
      columns: [table.gardenId, table.applicationId],
      foreignColumns: [applications.gardenId, applications.id],
    }).onDelete('cascade'),
    foreignKey({
      name: 'application_targets_planting',
      columns: [table.gardenId, table.plantingId],
      foreignColumns: [plantings.gardenId, plantings.id],
    }),
    foreignKey({ name: 'application_targets_case', columns: [table.gardenId, table.caseId], foreignColumns: [cases.gardenId, cases.id] }),
    index('application_targets_by_planting').on(table.gardenId, table.plantingId),
    index('application_targets_by_case').on(table.gardenId, table.caseId),
    check('application_targets_plants', sql`${table.plants} >= 1`),
    check('application_targets_area', sql`${table.areaM2} > 0`),
  ],
);
