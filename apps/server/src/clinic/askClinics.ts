import { calculations, mostFindings } from '@field-nurse/contract';
import type { CaseFinding } from '@field-nurse/contract';
import { dayAt } from '@field-nurse/core/timing';
import type { Library } from '@field-nurse/library';
import { and, eq } from 'drizzle-orm';
import { invalidField } from '../http/apiError.js';
import { cases } from '../cases/tables.js';
import type { Deps } from '../deps.js';
import { gardenClock } from '../gardens/gardenQueries.js';
import { plantings } from '../gardens/tables.js';
import { gardenLibrary, ownEntriesOf } from '../library/gardenLibrary.js';
import { ClinicFault } from './clinics.js';
import type { Receipt, SampleForm } from './clinics.js';
import { keepReceipt, noteAnswer, openSamples } from './queries.js';
import type { SampleRow } from './queries.js';

export type ClinicDeps = Pick<Deps, 'db' | 'library' | 'clinics' | 'now' | 'calculator'>;
type Asked = Pick<SampleRow, 'gardenId' | 'id' | 'caseId' | 'material' | 'testFor'> & { readonly clinic: string };

/**
 * Ask how a garden's samples stand, and register what is not registered yet. One clinic that is silent does not keep the others from being asked.
 *
 * @throws ClinicFault when any did not answer; the time is noted beside its sample
 */
export async function askClinics(deps: ClinicDeps, gardenId: string): Promise<void> {
  const { now, timeZone } = await gardenClock(deps.db, gardenId, deps.now);
  let fault: ClinicFault | undefined;
  for (const { sample, report } of await openSamples(deps.db, gardenId)) {
    try {
      const receipt = report?.receipt ?? (await registerAgain(deps, sample, now)).receipt;
      if (!sample.sentOn) continue;
      const answer = await deps.clinics.ask(sample.clinic, receipt, sample, dayAt(now.toISOString(), timeZone));
      await noteAnswer(deps.db, sample, { ...answer, askedAt: now.toISOString(), failedAt: null });
    } catch (error) {
      if (!(error instanceof ClinicFault)) throw error;
      fault ??= error;
      await noteAnswer(deps.db, sample, { failedAt: now.toISOString() });
    }
  }
  if (fault) throw fault;
}

async function registerAgain(deps: ClinicDeps, sample: SampleRow, now: Date): Promise<Receipt> {
  const receipt = await register(deps, await gardenLibrary(deps, sample.gardenId), sample);
  await keepReceipt(deps.db, sample, receipt, now.toISOString());
  return receipt;
}

/** Tell the clinic of a sample: what to test for, and how likely each is by what was found so far. @throws ClinicFault */
export async function register(deps: ClinicDeps, library: Library, sample: Asked): Promise<Receipt> {
  return deps.clinics.register(sample.clinic, await formOf(deps, library, sample));
}

async function formOf(
  { db, calculator }: ClinicDeps,
  library: Library,
  { gardenId, id, caseId, material, testFor }: Asked,
): Promise<SampleForm> {
  const [row] = await db
    .select({ findings: cases.findings, host: plantings.host, setting: plantings.setting, openedOn: cases.openedOn })
    .from(cases)
    .innerJoin(plantings, and(eq(plantings.gardenId, cases.gardenId), eq(plantings.id, cases.plantingId)))
    .where(and(eq(cases.gardenId, gardenId), eq(cases.id, caseId)));
  if (!row) throw invalidField(['value', 'caseId'], 'reference', 'This case is not in the garden.');
  const findings = (row.findings as CaseFinding[])
    .flatMap(({ sign, state }) => (state === 'seen' || state === 'absent' ? [{ sign, state }] : []))
    .slice(0, mostFindings);
  const month = Number(row.openedOn.slice(5, 7));
  const question = { host: row.host, findings, month, asked: [...testFor] };
  const own = await ownEntriesOf(db, gardenId);
  const result = await calculator.calculate('differential', calculations.differential.body.parse(question), own);
  const chances = new Map('answer' in result ? result.answer.asked.map(({ condition, probability }) => [condition, probability]) : []);
  const requests = testFor.map((condition) => ({
    code: condition,
    kind: library.conditions.find((one) => one.id === condition)?.kind ?? 'unknown',
    chance: chances.get(condition) ?? 0,
  }));
  return { sample: id, crop: library.hosts.find((one) => one.id === row.host)?.name ?? row.host, material, requests };
}
