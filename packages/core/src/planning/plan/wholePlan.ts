import type { MilpSolver } from './milp.js';
import { dropLossOf } from './placing.js';
import type { Placing } from './placing.js';
import { PlanPrices } from './planPrices.js';
import type { Counts, PlanQuestion } from './planQuestion.js';
import { Programme } from './programme.js';
import type { Broken, Solved } from './programme.js';

/** The best that was found. `optimal`: nothing is better; `feasible`: time was up, nothing is better than the bound. */
export type Found =
  | { readonly status: 'optimal' | 'feasible'; readonly objective: number; readonly bound: number; readonly placed: readonly Placing[] }
  | { readonly status: 'infeasible' | 'open' };

/** A plan that keeps all lines. */
export interface Plan {
  readonly objective: number;
  readonly placed: readonly Placing[];
}

/** What is asked of all rounds at once. */
export interface WholeAsked {
  /** for each placing, whether it may be used */
  readonly mays: readonly boolean[];
  /** a round that may not be left out */
  readonly mustPlace: number | undefined;
  /** no plan loses less */
  readonly bound: number;
  /** one that was found already */
  readonly known: Plan | undefined;
}

// Of what lies between the bound and the known plan so much is supposed at first, and this share of the bound at least; then so much more each time.
const [firstShare, leastShare, wider] = [1 / 32, 1 / 60, 3];
// To make a plan whole, whole cases are placed anew, up to so many rounds of them; and no more of the time that is left goes into it.
const [mostMended, shareToMend] = [16, 0.5];
const same = 1e-6;

/**
 * All rounds of a plan at once, where they collide.
 *
 * Prices on what they share tell what no plan can fall below, and with each placing. It is supposed that the best plan loses little more than that:
 * few placings could be in it, and the solver is asked about those alone. A plan among them that loses no more is the best of all; else more is
 * supposed. (Fixing by reduced costs as in Balas & Martin 1980.)
 */
export class WholePlan {
  readonly #question: PlanQuestion;
  readonly #placings: readonly Placing[];
  /** rounds that are tied to each other */
  readonly #parts: readonly (readonly number[])[];
  readonly #prices: PlanPrices;
  readonly #programme: Programme;

  constructor(
    question: PlanQuestion,
    placings: readonly Placing[],
    parts: readonly (readonly number[])[],
    counts: Counts,
    solver: MilpSolver,
  ) {
    this.#question = question;
    this.#placings = placings;
    this.#parts = parts;
    this.#prices = new PlanPrices(question, placings, counts);
    this.#programme = new Programme(question, counts, solver);
  }

  /** @param secondsLeft - when to stop with what was found */
  best({ mays, mustPlace, bound: least, known: first }: WholeAsked, secondsLeft: () => number): Found {
    const all = this.#placings;
    const losses = all.map(({ loss }, i) => (mays[i] ? loss : Infinity));
    const worst = first?.objective ?? this.#worst();
    const priced = this.#prices.seek(losses, worst, mustPlace, () => secondsLeft() <= 0);
    let [bound, known] = [Math.max(least, priced.bound), first];
    let more = Math.max((worst - bound) * firstShare, Math.abs(bound) * leastShare, same);
    while (known === undefined || known.objective > bound + same) {
      const supposed: number = Math.min(known?.objective ?? worst, bound + more);
      const open = all.filter((_, i) => priced.with[i]! <= supposed + same);
      const fits = known?.placed.every((one) => open.includes(one)) ?? false;
      const solved = this.#programme.best({ open, mustPlace, known: fits ? known?.placed : undefined, most: supposed }, secondsLeft);
      const may = all.filter((_, i) => mays[i]);
      const plan = solved.status === 'broken' ? this.#mended(solved, may, mustPlace, secondsLeft) : solved;
      if ('objective' in plan && plan.objective < (known?.objective ?? Infinity)) known = plan;
      // Whatever loses less than was supposed was among these.
      const leastOfThese = solved.status === 'infeasible' ? Infinity : 'bound' in solved ? solved.bound : -Infinity;
      const isWhole = solved.status === 'optimal' || leastOfThese > supposed;
      const isLast = supposed >= (known?.objective ?? worst) - same;
      if (isWhole && isLast && !known) return { status: 'infeasible' };
      bound = isWhole && isLast ? known!.objective : Math.max(bound, Math.min(supposed, leastOfThese));
      if (!isWhole || isLast) break;
      more = Math.max(more * wider, leastOfThese < Infinity ? (leastOfThese - bound) / 2 : 0);
    }
    if (!known) return { status: 'open' };
    const { objective, placed } = known;
    return objective <= bound + same
      ? { status: 'optimal', objective, bound: objective, placed }
      : { status: 'feasible', objective, bound, placed };
  }

  /** A plan that breaks some lines, made whole: the rounds that can't all stay are placed anew among the others, that do. */
  #mended({ placed, guilty }: Broken, may: readonly Placing[], mustPlace: number | undefined, secondsLeft: () => number): Solved {
    const cases = this.#parts.flatMap((rounds) => (rounds.some((r) => guilty.includes(r)) ? rounds : []));
    const free = new Set(cases.length <= mostMended ? cases : guilty);
    const open = may.filter((one) => free.has(one.round) || placed.includes(one));
    const until = secondsLeft() * (1 - shareToMend);
    return this.#programme.best({ open, mustPlace, most: Infinity }, () => secondsLeft() - until);
  }

  /** No plan loses more. */
  #worst(): number {
    const { rounds, days } = this.#question;
    const most = rounds.map((round) => dropLossOf(round, days));
    for (const { round, loss } of this.#placings) most[round] = Math.max(most[round]!, loss);
    return most.reduce((sum, loss) => sum + loss, 0);
  }
}
