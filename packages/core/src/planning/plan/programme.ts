import type { MilpSolver } from './milp.js';
import { peopleFor } from './peopleFor.js';
import { slotOf } from './placing.js';
import type { Placing } from './placing.js';
import { planModel } from './planModel.js';
import type { Counts, PlanQuestion } from './planQuestion.js';
import type { Fault, PlacingColumn } from './planRow.js';
import { rotationFaults } from './rotation.js';
import { crowdedDays, WorkDays } from './workDays.js';

// In less, the solver does not even begin.
const leastSeconds = 0.02;

/** What is asked of the solver. */
export interface Asked {
  /** placings that may be used */
  readonly open: readonly Placing[];
  /** a round that may not be left out */
  readonly mustPlace?: number | undefined;
  /** some of the placings that may be used, which keep all lines together */
  readonly known?: readonly Placing[] | undefined;
  /** what loses more is not wanted */
  readonly most: number;
}

/**
 * `optimal`: nothing is better; `feasible`: time was up, nothing is better than the bound; `broken`: nothing is better than the bound, which is more
 * than is wanted, or time was up: what loses so much still breaks some lines; `open`: time was up before anything was found.
 */
export type Solved =
  | { readonly status: 'optimal' | 'feasible'; readonly objective: number; readonly bound: number; readonly placed: readonly Placing[] }
  | Broken
  | { readonly status: 'infeasible' | 'open' };

export interface Broken {
  readonly status: 'broken';
  readonly bound: number;
  readonly placed: readonly Placing[];
  /** rounds that can't all stay */
  readonly guilty: readonly number[];
}

/**
 * The rounds of a plan as a 0-1 programme. Lines of which there would be too many are added as a solution breaks them, and kept: where the rounds of
 * a day can't be shared out, it is settled from then on who does what on it.
 */
export class Programme {
  readonly #question: PlanQuestion;
  readonly #counts: Counts;
  readonly #solver: MilpSolver;
  readonly #workDays: WorkDays;
  readonly #learned: Fault[] = [];
  readonly #crowded = new Set<number>();

  constructor(question: PlanQuestion, counts: Counts, solver: MilpSolver) {
    this.#question = question;
    this.#counts = counts;
    this.#solver = solver;
    this.#workDays = new WorkDays(question);
  }

  /**
   * The plan that loses least among some placings.
   *
   * @param secondsLeft - when to stop with what was found
   */
  best({ open, mustPlace, known, most }: Asked, secondsLeft: () => number): Solved {
    let broken: Broken | undefined;
    for (;;) {
      const seconds = secondsLeft();
      if (seconds < leastSeconds) return broken ?? { status: 'open' };
      const columns = this.#columns(open);
      const { milp, valuesOf } = planModel(this.#question, columns, this.#counts, { mustPlace, learned: this.#learned });
      const outcome = this.#solver(milp, seconds, known && valuesOf(this.#chosenBy(known, columns)));
      if (!('chosen' in outcome)) return outcome.status === 'open' && broken ? broken : outcome;
      const { status, objective, bound, chosen } = outcome;
      const placed = chosen.flatMap((column) => columns[column]?.placing ?? []);
      const guilty = this.#learnFrom(placed);
      if (guilty.length === 0) return { status, objective, bound, placed };
      broken = { status: 'broken', bound, placed, guilty };
      if (bound > most) return broken;
    }
  }

  /** A column for each placing; on a crowded day one for each who may do it. */
  #columns = (open: readonly Placing[]): SettledColumn[] =>
    open
      .flatMap((placing) =>
        (this.#crowded.has(placing.day) ? this.#workDays.whoMayDo(placing) : [undefined]).map((by) => ({ placing, by })),
      )
      .map(({ placing, by }, column) => ({ ...placing, column, slot: slotOf(placing), placing, by }));

  #chosenBy(known: readonly Placing[], columns: readonly SettledColumn[]): SettledColumn[] {
    const doneBy = peopleFor(this.#question, known);
    return columns.filter(({ placing, by }) => known.includes(placing) && (by === undefined || by === doneBy.get(placing)?.person));
  }

  /** @returns rounds that break a line together */
  #learnFrom(placed: readonly Placing[]): number[] {
    const faults = this.#counts('rotation') ? rotationFaults(this.#question, placed) : [];
    const crowded = this.#counts('minutes') ? crowdedDays(this.#question, placed) : [];
    this.#learned.push(...faults);
    for (const { day } of crowded) this.#crowded.add(day);
    const repeated = placed.filter((one) => faults.some(({ weightOf }) => weightOf(one) > 0));
    return [...crowded.flatMap(({ colliding }) => colliding), ...repeated].map(({ round }) => round);
  }
}

interface SettledColumn extends PlacingColumn {
  readonly placing: Placing;
}
