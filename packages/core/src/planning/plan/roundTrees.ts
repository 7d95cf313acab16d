import { isShut, isTooNear } from './collision.js';
import { dropLossOf, slotOf } from './placing.js';
import type { Placing } from './placing.js';
import type { Counts, PlanQuestion } from './planQuestion.js';
import { groupBefore, lineOf } from './rotation.js';

/** What rounds come to where only those that follow each other heed each other. */
export interface LeastLoss {
  /** of all rounds; nothing that keeps all lines loses less */
  readonly loss: number;
  /** for each placing, the loss of all with this one chosen */
  readonly with: Float64Array;
  /** placings that lose so little together */
  readonly chosen: readonly number[];
}

/**
 * Rounds as trees: each hangs from the one that it follows. What they lose at least, and with each placing, is known without search
 * (Bellman 1957): of a round only its placing matters to those that follow it.
 */
export class RoundTrees {
  readonly #placings: readonly Placing[];
  readonly #ofRound: readonly (readonly number[])[];
  readonly #parent: readonly number[];
  readonly #children: readonly (readonly number[])[];
  /** parents before children */
  readonly #order: readonly number[];
  readonly #dropLoss: readonly number[];
  /** for each placing, and each round that follows its own, the placings of that round which may follow it */
  readonly #next: readonly (readonly (readonly number[])[])[];

  constructor(question: PlanQuestion, placings: readonly Placing[], counts: Counts) {
    const { rounds, days } = question;
    this.#placings = placings;
    this.#parent = rounds.map(({ after }) => (counts('after') && after ? rounds.findIndex(({ id }) => id === after.round) : -1));
    this.#children = rounds.map((_, r) => [...rounds.keys()].filter((c) => this.#parent[c] === r));
    const under = (r: number): number[] => [r, ...this.#children[r]!.flatMap(under)];
    this.#order = [...rounds.keys()].filter((r) => this.#parent[r] === -1).flatMap(under);
    this.#dropLoss = rounds.map((round) => dropLossOf(round, days));
    const rotates = question.rules.rotate !== false && counts('rotation') && counts('after');
    const lines = rotates ? [...new Set(rounds.map((round) => round.case))].flatMap((name) => lineOf(question, name) ?? []) : [];
    const inLine = new Set(lines);
    const repeats = (one: Placing) => {
      const round = rounds[one.round]!;
      const isFirst = inLine.has(one.round) && rounds[this.#parent[one.round]!]?.case !== round.case;
      return isFirst && one.product.group !== undefined && one.product.group === groupBefore(question, round.case);
    };
    const own: number[][] = rounds.map(() => []);
    placings.forEach((one, i) => {
      if (!repeats(one)) own[one.round]!.push(i);
    });
    this.#ofRound = own;
    this.#next = placings.map((first) =>
      this.#children[first.round]!.map((child) => {
        const { case: name, after } = rounds[child]!;
        const isSameCase = name === rounds[first.round]!.case;
        const mayFollow = (then: Placing) => {
          const wait = then.day - first.day;
          if (wait < after!.minDays || wait > (after!.maxDays ?? Infinity)) return false;
          if (isSameCase && inLine.has(child) && then.product.group !== undefined && then.product.group === first.product.group)
            return false;
          if (isSameCase && (counts('same-slot') || counts('rotation')) && slotOf(first) === slotOf(then)) return false;
          return !(counts('re-entry') && isShut(rounds, first, then)) && !(counts('apart') && isTooNear(first, then));
        };
        return own[child]!.filter((i) => mayFollow(placings[i]!));
      }),
    );
  }

  /**
   * @param losses - of each placing; infinite where it may not be chosen
   * @param mustPlace - a round that may not be left out
   */
  least(losses: ArrayLike<number>, mustPlace?: number): LeastLoss {
    const { length } = this.#placings;
    /** of a round and all that follow it, with this placing */
    const below = new Float64Array(length).fill(Infinity);
    /** the same without the round */
    const dropped = new Float64Array(this.#order.length);
    /** for each placing, what each of the rounds that follow it comes to, and by which placing; −1: it is left out */
    const least: Float64Array[] = [];
    const best: Int32Array[] = [];
    for (const r of this.#order.toReversed()) {
      const children = this.#children[r]!;
      dropped[r] = r === mustPlace ? Infinity : children.reduce((sum, child) => sum + dropped[child]!, this.#dropLoss[r]!);
      for (const p of this.#ofRound[r]!) {
        least[p] = new Float64Array(children.length);
        best[p] = new Int32Array(children.length);
        let sum = losses[p]!;
        for (let c = 0; c < children.length; c++) {
          let [loss, by] = [dropped[children[c]!]!, -1];
          for (const q of this.#next[p]![c]!)
            if (below[q]! < loss) {
              loss = below[q]!;
              by = q;
            }
          least[p][c] = loss;
          best[p][c] = by;
          sum += loss;
        }
        below[p] = sum;
      }
    }
    let loss = 0;
    const chosen: number[] = [];
    const take = (p: number): void => {
      if (p < 0) return;
      chosen.push(p);
      best[p]!.forEach(take);
    };
    const ofRoot = new Float64Array(this.#order.length);
    for (const r of this.#order) {
      if (this.#parent[r] !== -1) continue;
      const first = this.#ofRound[r]!.reduce((so, p) => ((so < 0 ? below[p]! < dropped[r]! : below[p]! < below[so]!) ? p : so), -1);
      ofRoot[r] = first < 0 ? dropped[r]! : below[first]!;
      loss += ofRoot[r];
      take(first);
    }
    return { loss, chosen, with: this.#withEach(below, least, ofRoot, loss) };
  }

  /** From the roots down: what all else comes to, where a placing is chosen. */
  #withEach(below: Float64Array, least: readonly Float64Array[], ofRoot: Float64Array, loss: number): Float64Array {
    const above = new Float64Array(below.length).fill(Infinity);
    for (const r of this.#order) {
      for (const p of this.#ofRound[r]!) {
        if (this.#parent[r] === -1) above[p] = loss - ofRoot[r]!;
        if (above[p] === Infinity || below[p] === Infinity) continue;
        this.#next[p]!.forEach((next, c) => {
          const rest = above[p]! + below[p]! - least[p]![c]!;
          for (const q of next) if (rest < above[q]!) above[q] = rest;
        });
      }
    }
    return below.map((own, p) => own + above[p]!);
  }
}
