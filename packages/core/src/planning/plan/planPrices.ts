import type { MilpRow } from './milp.js';
import { slotOf } from './placing.js';
import type { Placing } from './placing.js';
import type { Counts, PlanQuestion } from './planQuestion.js';
import type { RowTag } from './planRow.js';
import { RoundTrees } from './roundTrees.js';
import type { LeastLoss } from './roundTrees.js';
import { sharedRows } from './sharedRows.js';

// Turns of the search for prices, the first length of a step, and after how many turns without gain it is halved.
const [mostTurns, firstStep, patience, shortest] = [200, 1, 6, 1e-3];
const crumb = 1e-9;

/** What is known of the best plan from prices on what rounds share. */
export interface Priced {
  /** no plan loses less */
  readonly bound: number;
  /** for each placing: no plan with it loses less */
  readonly with: Float64Array;
}

/**
 * Prices on what rounds share (hours, stock, a place), so that each tree of rounds, planned by itself, leaves it to those that need it most.
 *
 * Whatever the prices, no plan loses less than the trees do with them, less the price of all there is (Lagrangian relaxation, Geoffrion 1974);
 * prices that show the most are sought by subgradients with Polyak's step (Held, Wolfe & Crowder 1974).
 */
export class PlanPrices {
  readonly #trees: RoundTrees;
  readonly #rows: readonly MilpRow<RowTag>[];
  /** kept for the next question, which is hardly different */
  #prices: Float64Array;

  /** @param placings - all that may ever be chosen */
  constructor(question: PlanQuestion, placings: readonly Placing[], counts: Counts) {
    this.#trees = new RoundTrees(question, placings, counts);
    const columns = placings.map((one, column) => ({ ...one, column, slot: slotOf(one) }));
    this.#rows = sharedRows(question, columns, counts);
    this.#prices = new Float64Array(this.#rows.length);
  }

  /**
   * @param losses - of each placing; infinite where it may not be chosen
   * @param known - what a plan loses that keeps all lines
   */
  seek(losses: readonly number[], known: number, mustPlace: number | undefined, isOver: () => boolean): Priced {
    let prices = this.#prices;
    let best = this.#at(losses, prices, mustPlace);
    let [now, step, idle] = [best, firstStep, 0];
    for (let turn = 0; turn < mostTurns && step > shortest && !isOver() && best.bound < known - crumb; turn++) {
      const over = this.#over(now.chosen, prices);
      const norm = over.reduce((sum, one) => sum + one * one, 0);
      if (norm === 0) break;
      const length = (step * (known - now.bound)) / norm;
      prices = prices.map((price, r) => Math.max(0, price + length * over[r]!));
      now = this.#at(losses, prices, mustPlace);
      if (now.bound > best.bound + crumb) {
        best = now;
        this.#prices = prices;
        idle = 0;
      } else if (++idle >= patience) {
        [step, idle, prices, now] = [step / 2, 0, this.#prices, best];
      }
    }
    return best;
  }

  #at(losses: readonly number[], prices: Float64Array, mustPlace: number | undefined) {
    const priced = Float64Array.from(losses);
    let all = 0;
    this.#rows.forEach(({ indices, values, upper }, r) => {
      const price = prices[r]!;
      if (price === 0) return;
      all += price * upper;
      for (let i = 0; i < indices.length; i++) priced[indices[i]!]! += price * values[i]!;
    });
    const least: LeastLoss = this.#trees.least(priced, mustPlace);
    return { bound: least.loss - all, with: least.with.map((one) => one - all), chosen: least.chosen };
  }

  /** By how much each line is broken, or kept to spare. What is to spare and has no price anyway says nothing. */
  #over(chosen: readonly number[], prices: Float64Array): Float64Array {
    const isChosen = new Set(chosen);
    return Float64Array.from(this.#rows, ({ indices, values, upper }, r) => {
      const used = indices.reduce((sum, column, i) => sum + (isChosen.has(column) ? values[i]! : 0), 0);
      return used < upper && prices[r] === 0 ? 0 : used - upper;
    });
  }
}
