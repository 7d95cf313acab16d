import type { ClinicReport, ClinicSample } from '@field-nurse/contract';
import { and, eq, isNotNull, isNull, notInArray, or } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import type { ClinicAnswer, Receipt } from './clinics.js';
import { clinicReports, clinicSamples } from './tables.js';

type ReportRow = typeof clinicReports.$inferSelect;
export type SampleRow = typeof clinicSamples.$inferSelect & Pick<ClinicSample, 'testFor' | 'packed'> & { readonly clinic: string };

const over = ['reported', 'lost'];
const isoOrNull = (text: string | null) => (text === null ? null : new Date(text).toISOString());

/** Every sample that a clinic is asked about over the net; one that has not answered yet is waiting. */
export async function reportsOf(db: Db, gardenId: string): Promise<ClinicReport[]> {
  const rows = await db
    .select({ sample: clinicSamples.id, report: clinicReports })
    .from(clinicSamples)
    .leftJoin(clinicReports, and(eq(clinicReports.gardenId, clinicSamples.gardenId), eq(clinicReports.sampleId, clinicSamples.id)))
    .where(and(eq(clinicSamples.gardenId, gardenId), isNotNull(clinicSamples.clinic)))
    .orderBy(clinicSamples.id);
  return rows.map(({ sample, report }) => ({
    sample,
    reference: report?.reference ?? null,
    status: (report?.status ?? 'waiting') as ClinicReport['status'],
    since: report?.since ?? null,
    results: (report?.results ?? []) as ClinicReport['results'],
    askedAt: isoOrNull(report?.askedAt ?? null),
    failedAt: isoOrNull(report?.failedAt ?? null),
  }));
}

/** Samples whose clinic may have something new to say: not registered yet, or sent and neither lost nor reported. */
export async function openSamples(db: Db, gardenId: string): Promise<{ readonly sample: SampleRow; readonly report: ReportRow | null }[]> {
  const rows = await db
    .select({ sample: clinicSamples, report: clinicReports })
    .from(clinicSamples)
    .leftJoin(clinicReports, and(eq(clinicReports.gardenId, clinicSamples.gardenId), eq(clinicReports.sampleId, clinicSamples.id)))
    .where(and(eq(clinicSamples.gardenId, gardenId), isNotNull(clinicSamples.clinic), isOpen))
    .orderBy(clinicSamples.id);
  return rows as { sample: SampleRow; report: ReportRow | null }[];
}

export async function gardensWithOpenSamples(db: Db): Promise<string[]> {
  const rows = await db
    .selectDistinct({ id: clinicSamples.gardenId })
    .from(clinicSamples)
    .leftJoin(clinicReports, and(eq(clinicReports.gardenId, clinicSamples.gardenId), eq(clinicReports.sampleId, clinicSamples.id)))
    .where(and(isNotNull(clinicSamples.clinic), isOpen));
  return rows.map(({ id }) => id);
}

const isOpen = or(isNull(clinicReports.status), and(isNotNull(clinicSamples.sentOn), notInArray(clinicReports.status, over)));

export async function isRegistered(db: Db, gardenId: string, sampleId: string): Promise<SampleRow | undefined> {
  const [row] = await db
    .select({ sample: clinicSamples })
    .from(clinicSamples)
    .innerJoin(clinicReports, and(eq(clinicReports.gardenId, clinicSamples.gardenId), eq(clinicReports.sampleId, clinicSamples.id)))
    .where(and(eq(clinicSamples.gardenId, gardenId), eq(clinicSamples.id, sampleId)));
  return row?.sample as SampleRow | undefined;
}

export async function keepReceipt(db: Db, { gardenId, id }: SampleRow, receipt: Receipt, askedAt: string): Promise<void> {
  await db
    .insert(clinicReports)
    .values({ gardenId, sampleId: id, ...receipt, status: 'registered', results: [], askedAt })
    .onConflictDoNothing();
}

export async function noteAnswer(
  db: Db,
  { gardenId, id }: SampleRow,
  change: (ClinicAnswer & { readonly askedAt: string; readonly failedAt: null }) | { readonly failedAt: string },
): Promise<void> {
  await db
    .update(clinicReports)
    .set(change)
    .where(and(eq(clinicReports.gardenId, gardenId), eq(clinicReports.sampleId, id)));
}
