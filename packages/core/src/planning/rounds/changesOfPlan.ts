import { linesAt } from '../plan/index.js';
import type { HalfDay, PlanLine, PlanQuestion } from '../plan/index.js';

/** A round in its half-day, by the id that the planner has for it. */
export interface RoundInSlot {
  readonly round: string;
  readonly date: string;
  readonly slot: HalfDay;
  readonly product: string;
}

/** A round that is new, or stands elsewhere than it did. */
export interface PlanChange {
  readonly round: string;
  readonly from: RoundInSlot | undefined;
  readonly to: RoundInSlot;
  /** lines that it would break where it stood; none: the plan as a whole loses less so */
  readonly why: readonly PlanLine[];
}

/**
 * What the planner would have otherwise than it stands, in the order of the new days.
 *
 * @param known - the rounds as they stand
 * @param schedule - as the planner placed them
 */
export const changesOfPlan = (question: PlanQuestion, known: readonly RoundInSlot[], schedule: readonly RoundInSlot[]): PlanChange[] =>
  schedule.flatMap((to) => {
    const from = known.find(({ round }) => round === to.round);
    if (from && from.date === to.date && from.slot === to.slot && from.product === to.product) return [];
    return [{ round: to.round, from, to, why: from ? linesAt(question, from) : [] }];
  });
