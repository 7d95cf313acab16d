import { addDays, daysBetween } from '../../timing/index.js';
import type { MilpSolver } from './milp.js';
import { conflictsOf } from './planConflicts.js';
import type { PlanConflict } from './planConflicts.js';
import { dropLossOf, slotOf } from './placings.js';
import type { Placing } from './placings.js';
import type { HalfDay, PlanLine, PlanQuestion } from './planQuestion.js';
import { OpenPlan } from './solvePlan.js';

/** Another half-day for a round: what the whole plan would lose more, with the others moved as is best, or the lines that it breaks. */
export interface PlanMove {
  readonly round: string;
  readonly date: string;
  readonly slot: HalfDay;
  readonly extraLoss?: number;
  readonly product?: string;
  readonly lines?: readonly PlanLine[];
  /** there was no time to reckon it */
  readonly unknown?: true;
}

export interface PlacedRound {
  readonly round: string;
  readonly date: string;
  readonly slot: HalfDay;
  readonly product: string;
  readonly loss: number;
  /** what keeps it from an earlier half-day; nothing: there is none before it */
  readonly why: readonly (PlanLine | 'costs-more')[];
}

export interface PlanAnswer {
  readonly schedule: readonly PlacedRound[];
  readonly notPlaced: readonly { readonly round: string; readonly why: readonly (PlanLine | 'costs-more')[] }[];
  readonly objective: number;
  /** nothing loses less */
  readonly bound: number;
  readonly optimal: boolean;
  readonly moves: readonly PlanMove[];
  readonly conflicts: readonly PlanConflict[];
}

export interface PlanEffort {
  /** for the plan itself */
  readonly seconds: number;
  /** true once there is no more time for what moves cost */
  readonly isOver: () => boolean;
  /** rounds of which the moves are wanted; all of them */
  readonly movesFor?: readonly string[] | undefined;
}

// One move alone is reckoned so long at most.
const movesSeconds = 1;
// Losses that differ by less are the same.
const sameLoss = 1e-6;

/**
 * Place every round of a plan once or not at all, so that all together lose least: by delay, by what a treatment leaves, in money and in work.
 *
 * A mixed-integer programme over half-days and products, solved by branch and cut to proven optimality, or to the bound that is told. What
 * another half-day would cost is the best plan with the round held there.
 *
 * @throws RangeError if a round follows one that is not there, itself, or in a circle
 */
export function planRounds(question: PlanQuestion, solver: MilpSolver, { seconds, isOver, movesFor }: PlanEffort): PlanAnswer {
  requireOrder(question);
  const plan = new OpenPlan(question, solver);
  try {
    const outcome = plan.best(seconds);
    const { rounds } = question;
    // To do nothing is always allowed: it is what was found where time was up before anything else.
    const found = 'chosen' in outcome ? outcome : { objective: leftOut(question), bound: -Infinity, status: 'feasible', chosen: [] };
    const placed = plan.placed(found.chosen);
    const moves = placed.flatMap((placing) =>
      movesFor && !movesFor.includes(rounds[placing.round]!.id) ? [] : movesOf(question, plan, placing, found.objective, solver, isOver),
    );
    const dropped = [...rounds.keys()].filter((r) => !placed.some(({ round }) => round === r));
    const conflicts = dropped.flatMap((r) => conflictsOf(question, r, solver));
    return {
      schedule: placed.map((placing) => ({
        round: rounds[placing.round]!.id,
        ...whenOf(question, placing),
        product: placing.product.id,
        loss: placing.loss,
        why: whyNotBefore(question, placing, moves),
      })),
      notPlaced: dropped.map((r) => {
        const own = conflicts.filter(({ round }) => round === rounds[r]!.id);
        return { round: rounds[r]!.id, why: own.length > 0 ? linesOf(own) : (['costs-more'] as const) };
      }),
      objective: found.objective,
      bound: found.bound,
      optimal: found.objective - found.bound <= sameLoss,
      moves,
      conflicts,
    };
  } finally {
    plan.close();
  }
}

const linesOf = (conflicts: readonly PlanConflict[]) => [...new Set(conflicts.flatMap(({ lines }) => lines))];

const leftOut = ({ rounds, days }: PlanQuestion) => rounds.reduce((sum, round) => sum + dropLossOf(round, days), 0);

const whenOf = ({ start }: PlanQuestion, { day, evening }: Pick<Placing, 'day' | 'evening'>) => ({
  date: addDays(start, day),
  slot: evening ? ('evening' as const) : ('morning' as const),
});

function requireOrder({ rounds }: PlanQuestion): void {
  const byId = new Map(rounds.map((round) => [round.id, round]));
  for (const { id, after } of rounds) {
    const before = new Set([id]);
    for (let next = after; next; next = byId.get(next.round)!.after) {
      if (!byId.has(next.round)) throw new RangeError(`rounds: ${id} follows ${next.round}, which is not among them`);
      if (before.has(next.round)) throw new RangeError(`rounds: ${id} follows itself, by way of ${next.round}`);
      before.add(next.round);
    }
  }
}

/** Every other half-day of a round that is placed. */
function movesOf(
  question: PlanQuestion,
  plan: OpenPlan,
  placing: Placing,
  objective: number,
  solver: MilpSolver,
  isOver: () => boolean,
): PlanMove[] {
  const { days, rounds } = question;
  const round = rounds[placing.round]!;
  return Array.from({ length: 2 * days }, (_, slot) => ({ day: Math.floor(slot / 2), evening: slot % 2 === 1 })).flatMap(
    (at): PlanMove[] => {
      if (slotOf(at) === slotOf(placing)) return [];
      const move = { round: round.id, ...whenOf(question, at) };
      const broken = round.products.map((product) => plan.placings.broken(round, product, at.day, at.evening));
      const least = [...broken].sort((a, b) => a.length - b.length)[0]!;
      if (least.length > 0) return [{ ...move, lines: least }];
      if (isOver()) return [{ ...move, unknown: true }];
      const there = (one: Placing) => one.round !== placing.round || slotOf(one) === slotOf(at);
      const outcome = plan.best(movesSeconds, there, placing.round);
      if (outcome.status === 'infeasible') return [{ ...move, lines: linesOf(conflictsOf(question, placing.round, solver, at)) }];
      if (!('chosen' in outcome) || outcome.status !== 'optimal') return [{ ...move, unknown: true }];
      const product = plan.placed(outcome.chosen).find((one) => one.round === placing.round)!.product.id;
      return [{ ...move, extraLoss: Math.max(0, outcome.objective - objective), product }];
    },
  );
}

/** What keeps a round from each half-day before the one that it has. */
function whyNotBefore(question: PlanQuestion, placing: Placing, moves: readonly PlanMove[]): PlacedRound['why'] {
  const { id, earliest } = question.rounds[placing.round]!;
  const slot = ({ date, slot: half }: PlanMove) => slotOf({ day: daysBetween(question.start, date), evening: half === 'evening' });
  const before = moves.filter(
    (move) => move.round === id && slot(move) < slotOf(placing) && (earliest === undefined || move.date >= earliest),
  );
  return [
    ...new Set(before.flatMap(({ lines, extraLoss = 0 }): PlacedRound['why'] => lines ?? (extraLoss > sameLoss ? ['costs-more'] : []))),
  ];
}
