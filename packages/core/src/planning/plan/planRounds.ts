import { addDays, daysBetween } from '../../timing/index.js';
import type { MilpSolver } from './milp.js';
import { conflictsOf, linesAgainst } from './planConflicts.js';
import type { PlanConflict, TimeLeft, Timer } from './planConflicts.js';
import { slotOf } from './placing.js';
import { Placings } from './placings.js';
import type { Placing } from './placing.js';
import type { HalfDay, PlanLine, PlanQuestion, PlanRound } from './planQuestion.js';
import { OpenPlan } from './solvePlan.js';
import { peopleFor } from './peopleFor.js';

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

/** Lines that keep a round from where it would be better, or that it would cost the others more, or that there was no time to find out. */
export type PlanWhy = readonly (PlanLine | 'costs-more' | 'no-time')[];

export interface PlacedRound {
  readonly round: string;
  readonly date: string;
  readonly slot: HalfDay;
  readonly product: string;
  /** who does it, where there are people to choose from */
  readonly person?: string;
  readonly loss: number;
  /** what keeps it from an earlier half-day; nothing: there is none before it */
  readonly why: PlanWhy;
}

export interface PlanAnswer {
  readonly schedule: readonly PlacedRound[];
  readonly notPlaced: readonly { readonly round: string; readonly why: PlanWhy }[];
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
  /** for all of it: after them nothing more is reckoned of conflicts and of what moves cost */
  readonly allSeconds: number;
  /** milliseconds since any moment */
  readonly clock: () => number;
  /** rounds of which the moves are wanted; all of them */
  readonly movesFor?: readonly string[] | undefined;
  /** is told of each half-day of a move as it is reckoned, the nearest first, and of how many there are */
  readonly told?: ((move: PlanMove, of: number) => void) | undefined;
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
export function planRounds(
  question: PlanQuestion,
  solver: MilpSolver,
  { seconds, allSeconds, clock, movesFor, told }: PlanEffort,
): PlanAnswer {
  requireOrder(question);
  const forSoLong: Timer = (long) => {
    const end = clock() + 1000 * long;
    return () => (end - clock()) / 1000;
  };
  const left = forSoLong(allSeconds);
  const time: TimeLeft = { isOver: () => left() <= 0, forSoLong };
  if (question.rounds.length === 0) return { schedule: [], notPlaced: [], objective: 0, bound: 0, optimal: true, moves: [], conflicts: [] };
  const plan = new OpenPlan(question, solver);
  const found = plan.best(forSoLong(seconds));
  if (!('placed' in found)) throw new Error('There is no plan, though to do nothing is always allowed.');
  const { rounds } = question;
  const isOptimal = found.objective - found.bound <= sameLoss;
  const { placed } = found;
  const doneBy = peopleFor(question, placed);
  const dropped = [...rounds.keys()].filter((r) => !placed.some(({ round }) => round === r));
  const leftOut = dropped.map((r) => {
    const own = time.isOver() ? undefined : conflictsOf(question, r, solver, time);
    const unhindered = own && isOptimal ? ('costs-more' as const) : ('no-time' as const);
    return { round: rounds[r]!.id, conflicts: own ?? [], why: own && own.length > 0 ? linesOf(own) : [unhindered] };
  });
  const moves = placed.flatMap((placing) =>
    movesFor && !movesFor.includes(rounds[placing.round]!.id) ? [] : movesOf(question, plan, placing, found.objective, solver, time, told),
  );
  return {
    schedule: placed.map((placing) => ({
      round: rounds[placing.round]!.id,
      ...whenOf(question, placing),
      product: placing.product.id,
      ...doneBy.get(placing),
      loss: placing.loss,
      why: whyNotBefore(question, plan, placing, moves),
    })),
    notPlaced: leftOut.map(({ round, why }) => ({ round, why })),
    objective: found.objective,
    bound: found.bound,
    optimal: isOptimal,
    moves,
    conflicts: leftOut.flatMap(({ conflicts }) => conflicts),
  };
}

const linesOf = (conflicts: readonly PlanConflict[]) => [...new Set(conflicts.flatMap(({ lines }) => lines))];

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
  { isOver, forSoLong }: TimeLeft,
  told: PlanEffort['told'],
): PlanMove[] {
  const round = question.rounds[placing.round]!;
  // The nearest first: where time runs out, it is the far ones that are not reckoned.
  const nearest = halfDaysOf(question).sort((a, b) => Math.abs(slotOf(a) - slotOf(placing)) - Math.abs(slotOf(b) - slotOf(placing)));
  const others = nearest.filter((at) => slotOf(at) !== slotOf(placing));
  const reckoned = (at: HalfDayOf): PlanMove => {
    const move = { round: round.id, ...whenOf(question, at) };
    const broken = ownLines(plan, round, at);
    if (broken.length > 0) return { ...move, lines: broken };
    if (isOver()) return { ...move, unknown: true };
    const may = (one: Placing) => one.round !== placing.round || slotOf(one) === slotOf(at);
    const outcome = plan.best(forSoLong(movesSeconds), { may, mustPlace: placing.round });
    if (outcome.status === 'infeasible')
      return { ...move, lines: linesAgainst(question, placing.round, at, solver, { isOver, forSoLong }) };
    if (outcome.status !== 'optimal') return { ...move, unknown: true };
    const product = outcome.placed.find((one) => one.round === placing.round)!.product.id;
    return { ...move, extraLoss: Math.max(0, outcome.objective - objective), product };
  };
  const moves = others.map((at) => {
    const move = reckoned(at);
    told?.(move, others.length);
    return move;
  });
  return moves.sort((a, b) => a.date.localeCompare(b.date) || b.slot.localeCompare(a.slot));
}

/** Lines that a round would break in a half-day by itself, with a product of its own; none, also where there is no such round, product or day. */
export function linesAt(question: PlanQuestion, at: { round: string; date: string; slot: HalfDay; product: string }): PlanLine[] {
  const round = question.rounds.find(({ id }) => id === at.round);
  const product = round?.products.find(({ id }) => id === at.product);
  const day = daysBetween(question.start, at.date);
  if (!round || !product) return [];
  return day < 0 ? ['earliest'] : new Placings(question).broken(round, product, day, at.slot === 'evening');
}

type HalfDayOf = Pick<Placing, 'day' | 'evening'>;

const halfDaysOf = ({ days }: PlanQuestion): HalfDayOf[] =>
  Array.from({ length: 2 * days }, (_, slot) => ({ day: Math.floor(slot / 2), evening: slot % 2 === 1 }));

/** Lines that a round breaks in a half-day by itself, with the product that breaks the fewest. */
const ownLines = ({ placings }: OpenPlan, round: PlanRound, { day, evening }: HalfDayOf): readonly PlanLine[] =>
  round.products.map((product) => placings.broken(round, product, day, evening)).sort((a, b) => a.length - b.length)[0]!;

/** What keeps a round from each half-day before the one that it has: its own lines, and what was reckoned of the others. */
function whyNotBefore(question: PlanQuestion, plan: OpenPlan, placing: Placing, moves: readonly PlanMove[]): PlanWhy {
  const round = question.rounds[placing.round]!;
  const before = halfDaysOf(question).filter((at) => slotOf(at) < slotOf(placing));
  const why = before.flatMap((at): PlanWhy => {
    const own = ownLines(plan, round, at);
    const { date, slot } = whenOf(question, at);
    const move = moves.find((one) => one.round === round.id && one.date === date && one.slot === slot);
    return own.length > 0 ? own : (move?.lines ?? ((move?.extraLoss ?? 0) > sameLoss ? ['costs-more'] : []));
  });
  // That it may not be before its first day needs no saying.
  return [...new Set(why)].filter((line) => line !== 'earliest');
}
