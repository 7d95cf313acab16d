import { group } from 'd3-array';
import type { MilpOutcome, MilpSession, MilpSolver } from './milp.js';
import { dropLossOf, slotOf } from './placing.js';
import { Placings } from './placings.js';
import type { Placing } from './placing.js';
import { planModel } from './planModel.js';
import type { PlanModel } from './planModel.js';
import type { PlacingColumn, RowTag } from './planRow.js';
import type { Counts, PlanQuestion } from './planQuestion.js';
import { rotationFaults } from './rotation.js';
import { searchPart } from './searchPart.js';
import type { Searched } from './searchPart.js';
import { workFaults } from './workDays.js';

// So many placings of each round are tried before all others.
const triedFirst = 24;
// A few rounds are placed by looking at so much; of more rounds only a good plan is found that way, and the solver does the rest.
const stepsForFew = 20_000;
const stepsForMany = 2000;
export const fewRounds = 6;
// In less, the solver does not even begin.
const leastSeconds = 0.02;

/** What may be chosen this time. */
export interface Wanted {
  /** a round of the whole plan that may not be left out */
  readonly mustPlace?: number | undefined;
  /** placings that may be used, their round counted in the whole plan */
  readonly may?: ((placing: Placing) => boolean) | undefined;
  /** something that is allowed, to begin with */
  readonly hint?: readonly Placing[] | undefined;
}

/** The best that was found. `optimal`: nothing is better; `feasible`: time was up, nothing is better than the bound. */
export type Found =
  | { readonly status: 'optimal' | 'feasible'; readonly objective: number; readonly bound: number; readonly placed: readonly Placing[] }
  | { readonly status: 'infeasible' | 'open' };

/** Rounds as a programme in the solver. */
interface Programme {
  readonly model: PlanModel;
  readonly columns: readonly PlacingColumn[];
  /** placings that are left aside at first */
  readonly dear: readonly number[];
  readonly session: MilpSession<RowTag>;
}

/** Rounds that are planned together, in the solver, to be asked what is best as it is and with changes. */
export class PlanPart {
  /** their places in the whole plan */
  readonly rounds: readonly number[];
  /** days that are known to be too short for all that would be done on them */
  readonly shortDays: ReadonlySet<number>;
  readonly #question: PlanQuestion;
  readonly #placings: readonly Placing[];
  readonly #counts: Counts;
  readonly #few: number;
  readonly #solver: MilpSolver;
  /** opened by the first question that is too much to search */
  #programme: Programme | undefined;
  #known: Found | undefined;

  /** @param few - so many rounds are placed by search, more by the solver */
  constructor(
    whole: PlanQuestion,
    rounds: readonly number[],
    shortDays: ReadonlySet<number>,
    solver: MilpSolver,
    counts: Counts,
    few = fewRounds,
  ) {
    this.#few = few;
    this.rounds = rounds;
    this.shortDays = shortDays;
    this.#question = { ...whole, rounds: rounds.map((r) => whole.rounds[r]!) };
    this.#counts = counts;
    this.#solver = solver;
    this.#placings = new Placings(this.#question).open(counts);
  }

  /**
   * What loses least.
   *
   * @param secondsLeft - when to stop with what was found
   */
  best(secondsLeft: () => number, { may = () => true, mustPlace, hint }: Wanted = {}): Found {
    const open = this.#placings.filter((one) => may(this.#inWhole(one)));
    const local = mustPlace === undefined ? -1 : this.rounds.indexOf(mustPlace);
    const isAsItIs = open.length === this.#placings.length && local === -1;
    if (isAsItIs && this.#known) return this.#known;
    const asked = { open, mustPlace: local === -1 ? undefined : local };
    const searched = searchPart(
      this.#question,
      asked,
      this.#counts,
      this.rounds.length <= this.#few ? stepsForFew : hint ? 1 : stepsForMany,
    );
    const begun = hint ? this.#hinted(searched, hint) : searched;
    const found = searched.isWhole ? this.#found('optimal', searched) : this.#solved(secondsLeft, open, local, begun);
    if (isAsItIs && found.status === 'optimal') this.#known = found;
    return found;
  }

  /** What was found, its rounds counted in the whole plan. */
  #found = (status: 'optimal' | 'feasible', { best, bound }: Searched): Found =>
    best ? { status, objective: best.objective, bound, placed: best.placed.map((one) => this.#inWhole(one)) } : { status: 'infeasible' };

  /** What was searched, or the hint where that is better. */
  #hinted(searched: Searched, hint: readonly Placing[]): Searched {
    const { rounds, days } = this.#question;
    const own = hint.filter(({ round }) => this.rounds.includes(round)).map((one) => ({ ...one, round: this.rounds.indexOf(one.round) }));
    const objective = rounds.reduce((sum, round, r) => sum + (own.find((one) => one.round === r)?.loss ?? dropLossOf(round, days)), 0);
    return objective < (searched.best?.objective ?? Infinity) ? { ...searched, best: { objective, placed: own } } : searched;
  }

  /** What is too much to search goes to the solver; where it comes to nothing better in time, what the search came to. */
  #solved(secondsLeft: () => number, open: readonly Placing[], mustPlace: number, searched: Searched): Found {
    const isFirst = !this.#programme;
    const programme = (this.#programme ??= this.#open());
    const { model, dear } = programme;
    const used = new Set(open);
    const barred = [
      ...this.#placings.flatMap((one, column) => (used.has(one) ? [] : [column])),
      ...(mustPlace === -1 ? [] : [model.dropColumn(mustPlace)]),
    ];
    const known = searched.best && model.valuesOf(searched.best.placed);
    // Among the cheapest placings of each round a good plan is found soon; from there the search of all of them proves it, or betters it.
    if (isFirst && dear.length > 0 && !known) this.#keepingOrder(programme, () => secondsLeft() / 2, [...new Set([...barred, ...dear])]);
    const outcome = this.#keepingOrder(programme, secondsLeft, barred, known);
    if ('chosen' in outcome && outcome.objective <= (searched.best?.objective ?? Infinity))
      return {
        ...outcome,
        bound: Math.max(outcome.bound, searched.bound),
        placed: this.#placed(outcome.chosen).map((one) => this.#inWhole(one)),
      };
    if (outcome.status === 'infeasible') return outcome;
    const bound = Math.max(searched.bound, 'bound' in outcome ? outcome.bound : -Infinity);
    return searched.best ? this.#found('feasible', { ...searched, bound }) : { status: 'open' };
  }

  close(): void {
    this.#programme?.session.close();
  }

  #open(): Programme {
    const model = planModel(this.#question, this.#placings, this.#counts, this.shortDays);
    const columns = this.#placings.map((placing, column) => ({ ...placing, column, slot: slotOf(placing) }));
    const byRound = group(columns, ({ round }) => round);
    const dear = [...byRound.values()].flatMap((own) =>
      own
        .sort((a, b) => a.loss - b.loss)
        .slice(triedFirst)
        .map(({ column }) => column),
    );
    return { model, columns, dear, session: this.#solver.open(model.milp) };
  }

  #keepingOrder(
    { session, columns }: Programme,
    secondsLeft: () => number,
    barred: readonly number[],
    known?: readonly number[],
  ): MilpOutcome {
    for (;;) {
      const seconds = secondsLeft();
      const outcome: MilpOutcome = seconds > leastSeconds ? session.solve(seconds, barred, known) : { status: 'open' };
      if (!('chosen' in outcome)) return outcome;
      const placed = this.#placed(outcome.chosen);
      const faults = [
        ...(this.#counts('rotation') ? rotationFaults(this.#question, columns, placed) : []),
        ...(this.#counts('minutes') ? workFaults(this.#question, columns, placed) : []),
      ];
      if (faults.length === 0) return outcome;
      for (const fault of faults) session.addRow(fault);
    }
  }

  #placed = (chosen: readonly number[]): Placing[] => chosen.flatMap((column) => this.#placings[column] ?? []);

  #inWhole = (placing: Placing): Placing => ({ ...placing, round: this.rounds[placing.round]! });
}
