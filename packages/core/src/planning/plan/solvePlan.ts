import type { MilpOutcome, MilpSession, MilpSolver } from './milp.js';
import { Placings, slotOf } from './placings.js';
import type { Placing } from './placings.js';
import { planModel } from './planModel.js';
import type { PlanModel } from './planModel.js';
import type { PlacingColumn, RowTag } from './planRow.js';
import type { PlanLine, PlanQuestion } from './planQuestion.js';
import { rotationFaults } from './rotation.js';

// So many placings of each round are tried before all others.
const triedFirst = 24;

/** A plan in the solver, to be asked what is best, as it is and with changes. */
export class OpenPlan {
  readonly placings: Placings;
  readonly model: PlanModel;
  readonly #question: PlanQuestion;
  readonly #columns: readonly PlacingColumn[];
  readonly #counts: (line: PlanLine) => boolean;
  readonly #session: MilpSession<RowTag>;
  /** placings that are left aside at first */
  readonly #dear: readonly number[];
  #isSought = false;

  /** @param counts - lines that count; all of them, unless it is asked what would be without some */
  constructor(question: PlanQuestion, solver: MilpSolver, counts: (line: PlanLine) => boolean = () => true) {
    this.#question = question;
    this.#counts = counts;
    this.placings = new Placings(question);
    this.model = planModel(question, this.placings.open(counts), counts);
    this.#columns = this.model.placings.map((placing, column) => ({ ...placing, column, slot: slotOf(placing) }));
    this.#session = solver.open(this.model.milp);
    this.#dear = question.rounds.flatMap((_, r) =>
      this.#columns
        .filter(({ round }) => round === r)
        .sort((a, b) => a.loss - b.loss)
        .slice(triedFirst)
        .map(({ column }) => column),
    );
  }

  /**
   * The plan that loses least.
   *
   * @param seconds - when to stop with what was found
   * @param may - placings that may be used this time
   * @param mustPlace - a round that may not be left out this time
   */
  best(seconds: number, may: (placing: Placing) => boolean = () => true, mustPlace?: number): MilpOutcome {
    const barred = [
      ...this.model.placings.flatMap((placing, column) => (may(placing) ? [] : [column])),
      ...(mustPlace === undefined ? [] : [this.model.dropColumn(mustPlace)]),
    ];
    // Among the cheapest placings of each round a good plan is found soon; from there the search of all of them proves it, or betters it.
    if (this.#dear.length > 0 && !this.#isSought) this.#keepingRotation(seconds / 2, [...barred, ...this.#dear]);
    this.#isSought = true;
    return this.#keepingRotation(seconds, barred);
  }

  #keepingRotation(seconds: number, barred: readonly number[]): MilpOutcome {
    for (;;) {
      const outcome = this.#session.solve(seconds, barred);
      if (!('chosen' in outcome) || !this.#counts('rotation')) return outcome;
      const faults = rotationFaults(this.#question, this.#columns, this.placed(outcome.chosen));
      if (faults.length === 0) return outcome;
      for (const fault of faults) this.#session.addRow(fault);
    }
  }

  /** The placings among chosen columns, in their order in time. */
  placed(chosen: readonly number[]): Placing[] {
    return chosen.flatMap((column) => this.model.placings[column] ?? []).sort((a, b) => slotOf(a) - slotOf(b) || a.round - b.round);
  }

  close(): void {
    this.#session.close();
  }
}
