import type { Stored, Written } from '@field-nurse/contract';
import { plantingOn } from '@field-nurse/core/ground';
import { dayAt } from '@field-nurse/core/timing';
import { treatmentQuestion } from '@field-nurse/core/treatment';
import type { Library } from '@field-nurse/library';
import { answerOptions } from '@field-nurse/library/answers';
import { and, eq } from 'drizzle-orm';
import { ApiError, invalidField } from '../http/apiError.js';
import { appliedOn } from '../applications/queries.js';
import type { Db } from '../db/client.js';
import type { GardenLaw } from '../gardens/gardenQueries.js';
import { shelfOf } from '../shelf/queries.js';
import { testSprays } from './tables.js';
import { recordById } from '../records/recordStore.js';

/**
 * How a decision stands on its day, judged from the garden's own records.
 *
 * @throws ApiError where the case is not taken for anything yet, or where the intervention is ruled out
 */
export async function judgeDecision(
  db: Db,
  library: Library,
  garden: GardenLaw,
  { caseId, intervention, decidedOn, weather }: Required<Written<'decisions'>>,
): Promise<Pick<Stored<'decisions'>, 'verdict' | 'reasons'>> {
  const one = await recordById(db, 'cases', garden.id, caseId);
  const planting = one && (await recordById(db, 'plantings', garden.id, one.plantingId));
  if (!planting) throw invalidField(['value', 'caseId'], 'reference', 'This case is not in the garden.');
  const question = treatmentQuestion({
    on: decidedOn,
    // What it was taken for by then; a decision that is older than any diagnosis goes by the first.
    conditions: (one.diagnoses.findLast(({ on }) => on <= decidedOn) ?? one.diagnoses[0])?.conditions ?? [],
    // The stage is that of today: what it was on an earlier day is not known any more.
    case: decidedOn === dayAt(garden.now.toISOString(), garden.timeZone) ? one : { ...one, stage: null, hidden: null },
    planting: { ...planting, ...plantingOn(planting, decidedOn) },
    applied: await appliedOn(db, garden, planting.id),
    tests: await testsOf(db, garden.id, planting.id),
    shelf: await shelfOf(db, garden.id),
    garden,
    weather,
  });
  if (!question) throw new ApiError(422, 'no-diagnosis', 'Say first what the case is taken for: then it can be decided what to do.');
  const judged = answerOptions(library, question).options.find(({ id }) => id === intervention);
  if (!judged)
    throw invalidField(['value', 'intervention'], 'no-effect', 'The library knows no effect of this on what the case is taken for.');
  const { verdict, reasons } = judged;
  if (verdict === 'ruled-out') {
    const against = reasons.filter(({ weight }) => weight === 'ruled-out');
    throw new ApiError(422, 'ruled-out', `${judged.name} is ruled out here: ${against.map(({ text }) => text).join(' ')}`, {
      rule: { intervention, reasons: against.map(({ code }) => code) },
    });
  }
  return { verdict, reasons: reasons.map(({ code, weight, text }) => ({ code, weight: weight as 'care' | 'for', text })) };
}

const testsOf = async (db: Db, gardenId: string, plantingId: string): Promise<Stored<'testSprays'>[]> =>
  (await db
    .select()
    .from(testSprays)
    .where(and(eq(testSprays.gardenId, gardenId), eq(testSprays.plantingId, plantingId)))) as Stored<'testSprays'>[];
