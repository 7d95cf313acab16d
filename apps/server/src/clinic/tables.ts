import { sql } from 'drizzle-orm';
import { check, date, foreignKey, index, integer, jsonb, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { cases } from '../cases/tables.js';

const instant = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' });

export const clinicSamples = pgTable(
  'clinic_samples',
  {
    gardenId: uuid('garden_id').notNull(),
    id: uuid('id').notNull(),
    version: integer('version').notNull(),
    caseId: uuid('case_id').notNull(),
    clinic: text('clinic'),
    clinicName: text('clinic_name').notNull(),
    material: text('material').notNull(),
    testFor: jsonb('test_for').notNull(),
    registeredOn: date('registered_on').notNull(),
    packed: jsonb('packed').notNull(),
    sentOn: date('sent_on'),
    results: jsonb('results').notNull(),
    reportedOn: date('reported_on'),
    note: text('note').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    foreignKey({ name: 'clinic_samples_case', columns: [table.gardenId, table.caseId], foreignColumns: [cases.gardenId, cases.id] }),
    index('clinic_samples_by_case').on(table.gardenId, table.caseId),
    check('clinic_samples_sent', sql`${table.sentOn} >= ${table.registeredOn}`),
    check('clinic_samples_reported', sql`${table.reportedOn} >= ${table.registeredOn}`),
  ],
);

/** What the clinics say of the samples. It goes with its sample when that is taken back. */
export const clinicReports = pgTable(
  'clinic_reports',
  {
    gardenId: uuid('garden_id').notNull(),
    sampleId: uuid('sample_id').notNull(),
    reference: text('reference').notNull(),
    receipt: text('receipt').notNull(),
    status: text('status').notNull(),
    since: date('since'),
    results: jsonb('results').notNull(),
    askedAt: instant('asked_at').notNull(),
    failedAt: instant('failed_at'),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.sampleId] }),
    foreignKey({
      name: 'clinic_reports_sample',
      columns: [table.gardenId, table.sampleId],
      foreignColumns: [clinicSamples.gardenId, clinicSamples.id],
    }).onDelete('cascade'),
  ],
);
