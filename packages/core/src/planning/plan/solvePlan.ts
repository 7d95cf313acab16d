import { group } from 'd3-array';
import { collisionsAmong } from './collision.js';
import type { Collision } from './collision.js';
import type { MilpSolver } from './milp.js';
import { dropLossOf, slotOf } from './placing.js';
import { Placings } from './placings.js';
import type { Placing } from './placing.js';
import { fewRounds, PlanPart } from './planPart.js';
import type { Found, Wanted } from './planPart.js';
import type { Counts, PlanQuestion } from './planQuestion.js';
import { searchPart } from './searchPart.js';

type Best = Extract<Found, { placed: readonly Placing[] }>;

// How often all parts are fitted in anew, and how much is looked at for each.
const mostSweeps = 3;
const stepsToFit = 300;

/**
 * A plan in the solver, to be asked what is best, as it is and with changes.
 *
 * Each case is planned for itself at first. Where two then want the same hours, stock, place or the like, they become one part: as long as lines are
 * left out nothing can be missed, so that what breaks none of them in the end is the best of all.
 */
export class OpenPlan {
  readonly placings: Placings;
  readonly #question: PlanQuestion;
  readonly #solver: MilpSolver;
  readonly #counts: Counts;
  readonly #few: number;
  #parts: readonly PlanPart[];

  /**
   * @param counts - lines that count; all of them, unless it is asked what would be without some
   * @param few - so many rounds are placed by search, more by the solver
   */
  constructor(question: PlanQuestion, solver: MilpSolver, counts: Counts = () => true, few = fewRounds) {
    this.#few = few;
    this.#question = question;
    this.#solver = solver;
    this.#counts = counts;
    this.placings = new Placings(question);
    this.#parts = tiedRounds(question).map((rounds) => this.#partOf(rounds, new Set()));
  }

  /**
   * The plan that loses least.
   *
   * @param secondsLeft - when to stop with what was found
   */
  best(secondsLeft: () => number, wanted: Omit<Wanted, 'hint'> = {}): Found {
    let fitted: Found | undefined;
    for (;;) {
      const hint = fitted && 'placed' in fitted ? fitted.placed : undefined;
      const found = this.#parts.map((part) => part.best(secondsLeft, { ...wanted, hint }));
      if (found.some(({ status }) => status === 'infeasible')) return { status: 'infeasible' };
      const best = found.flatMap((one) => ('placed' in one ? one : []));
      if (best.length < found.length) return fitted ?? { status: 'open' };
      const placed = inOrder(best.flatMap((one) => one.placed));
      const collisions = collisionsAmong(this.#question, placed, this.#counts);
      const bound = sumOf(best.map((one) => one.bound));
      if (collisions.length === 0) {
        const isOptimal = best.every(({ status }) => status === 'optimal');
        return { status: isOptimal ? 'optimal' : 'feasible', objective: sumOf(best.map(({ objective }) => objective)), bound, placed };
      }
      fitted = fitted && 'placed' in fitted ? { ...fitted, bound } : this.#fitted(best, bound, wanted);
      if (secondsLeft() <= 0) return fitted;
      this.#join(collisions);
    }
  }

  close(): void {
    for (const part of this.#parts) part.close();
  }

  /** What collides becomes one part, with all that it collides with in turn. */
  #join(collisions: readonly Collision[]): void {
    for (const { rounds, shortDay } of collisions) {
      const joined = this.#parts.filter((part) => isIn(part, rounds));
      const shortDays = new Set([...(shortDay === undefined ? [] : [shortDay]), ...joined.flatMap((part) => [...part.shortDays])]);
      const together = joined.flatMap((part) => part.rounds).sort((a, b) => a - b);
      for (const part of joined) part.close();
      this.#parts = [...this.#parts.filter((part) => !joined.includes(part)), this.#partOf(together, shortDays)];
    }
  }

  #partOf = (rounds: readonly number[], shortDays: ReadonlySet<number>) =>
    new PlanPart(this.#question, rounds, shortDays, this.#solver, this.#counts, this.#few);

  /** A good plan that keeps all lines: part after part is fitted in beside the others, the dearest first, until none gets better by it. */
  #fitted(best: readonly Best[], bound: number, { may = () => true, mustPlace }: Wanted): Found {
    const question = this.#question;
    const open = this.placings.open(this.#counts).filter(may);
    const lossOf = (placed: readonly Placing[]) =>
      question.rounds.reduce((sum, round, r) => sum + (placed.find((one) => one.round === r)?.loss ?? dropLossOf(round, question.days)), 0);
    const order = [...this.#parts.keys()].sort(
      (a, b) =>
        Number(this.#parts[b]!.rounds.includes(mustPlace ?? -1)) - Number(this.#parts[a]!.rounds.includes(mustPlace ?? -1)) ||
        best[b]!.bound - best[a]!.bound,
    );
    let placed: readonly Placing[] = [];
    for (let sweep = 0; sweep < mostSweeps; sweep++) {
      const before = lossOf(placed);
      for (const { rounds } of order.map((part) => this.#parts[part]!)) {
        const settled = placed.filter(({ round }) => !rounds.includes(round));
        const own = mustPlace !== undefined && rounds.includes(mustPlace) ? mustPlace : undefined;
        const fitted = searchPart(question, { open, rounds, settled, mustPlace: own }, this.#counts, stepsToFit).best;
        if (fitted) placed = [...settled, ...fitted.placed];
      }
      if (sweep > 0 && lossOf(placed) >= before - 1e-9) break;
    }
    if (mustPlace !== undefined && !placed.some(({ round }) => round === mustPlace)) return { status: 'open' };
    return { status: 'feasible', objective: lossOf(placed), bound, placed: inOrder(placed) };
  }
}

const inOrder = (placed: readonly Placing[]) => [...placed].sort((a, b) => slotOf(a) - slotOf(b) || a.round - b.round);
const isIn = (part: PlanPart, rounds: readonly number[]) => part.rounds.some((round) => rounds.includes(round));
const sumOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0);

/** Rounds of one case, with those that follow each other across cases: sets of places. */
function tiedRounds({ rounds }: PlanQuestion): number[][] {
  const caseOf = new Map(rounds.map((round) => [round.id, round.case]));
  const rootOf = new Map(rounds.map((round) => [round.case, round.case]));
  const root = (name: string): string => (rootOf.get(name) === name ? name : root(rootOf.get(name)!));
  for (const { case: name, after } of rounds) if (after) rootOf.set(root(name), root(caseOf.get(after.round)!));
  return [...group([...rounds.keys()], (r) => root(rounds[r]!.case)).values()];
}
