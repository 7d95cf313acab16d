import type { Effect, Situation, StageKind, TreatableCondition } from './interventionFacts.js';

/** What bears on the stage of a condition. */
export interface StageEvidence {
  /** kinds of stage that something was seen of */
  readonly seen: ReadonlySet<StageKind>;
  /** kinds that were looked for and are not there */
  readonly absent: ReadonlySet<StageKind>;
  /** month of the northern hemisphere */
  readonly month?: number | undefined;
}

// What was seen is there; others may be beside it. What was looked for and not found may still be there.
const seenOdds = 12;
const absentOdds = 0.2;
const outOfSeasonOdds = 0.1;

/**
 * Which stage a condition is in now, with its doubt: from what was seen and looked for, and from the months in which each stage is about.
 *
 * Odds multiply and are then made to sum to one. The factors are rounded judgement.
 *
 * @returns chances by id of stage
 */
export function stageChances({ stages }: Pick<TreatableCondition, 'stages'>, { seen, absent, month }: StageEvidence): Map<string, number> {
  const odds = stages.map(({ id, kind, months }): [string, number] => [
    id,
    (seen.has(kind) ? seenOdds : absent.has(kind) ? absentOdds : 1) * (month && months && !months.includes(month) ? outOfSeasonOdds : 1),
  ]);
  const total = odds.reduce((sum, [, one]) => sum + one, 0);
  return new Map(odds.map(([id, one]) => [id, one / total]));
}

/** Whether an effect acts on a stage: on its kind, on the stage itself, or on any. */
export const actsOn = ({ stages }: Pick<Effect, 'stages'>, { id, kind }: { readonly id: string; readonly kind: StageKind }): boolean =>
  stages.includes('any') || stages.includes(kind) || stages.includes(id);

/** Stages of a condition that somebody said there are now; nothing when nobody said, or said it of another condition. */
export function stagesSaid({ stages }: TreatableCondition, { stage }: Pick<Situation, 'stage'>): TreatableCondition['stages'] {
  return stage && stage !== 'any' ? stages.filter(({ id, kind }) => id === stage || kind === stage) : [];
}

/** Share of what there is now that an effect acts on, 0 to 1. Where nothing is known of the stage, all of it. */
export function stageShare(effect: Effect, condition: TreatableCondition, situation: Situation): number {
  const said = stagesSaid(condition, situation);
  if (said.length > 0) return said.some((stage) => actsOn(effect, stage)) ? 1 : 0;
  const chances = situation.stageChances?.get(condition.id);
  if (!chances) return 1;
  return condition.stages.filter((stage) => actsOn(effect, stage)).reduce((sum, { id }) => sum + (chances.get(id) ?? 0), 0);
}
