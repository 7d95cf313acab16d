import { dropLossOf } from './placing.js';
import type { Placing } from './placing.js';
import type { Counts, PlanQuestion } from './planQuestion.js';
import { groupBefore, lineOf } from './rotation.js';

/** What rounds come to where each heeds only the one that it follows. */
export interface LeastLoss {
  /** of all rounds; nothing that keeps all lines loses less */
  readonly loss: number;
  /** for each placing, the loss of all with this one chosen */
  readonly with: Float64Array;
  /** placings that lose so little together */
  readonly chosen: readonly number[];
}

/** Days from one round to another, and whether their modes of action must differ. */
interface Step {
  readonly least: number;
  readonly most: number;
  readonly rotates: boolean;
}

/** The least of some values that a step leads to, from each day and mode of action; and which it is of, −1 where to leave it out is best. */
interface Ahead {
  readonly value: (placing: number) => number;
  readonly by: (placing: number) => number;
}

/**
 * Rounds as trees: each hangs from the one that it follows. What they lose at least, and with each placing, is known without search
 * (Bellman 1957): of a round only its day and its mode of action matter to those that follow it.
 */
export class RoundTrees {
  readonly #days: number;
  readonly #dayOf: Int32Array;
  /** mode of action of each placing, from 1; 0 where it has none */
  readonly #groupOf: Int32Array;
  readonly #groups: number;
  readonly #ofRound: readonly (readonly number[])[];
  readonly #parent: readonly number[];
  readonly #children: readonly (readonly number[])[];
  /** parents before children */
  readonly #order: readonly number[];
  readonly #dropLoss: readonly number[];
  /** from the round that each follows to it */
  readonly #steps: readonly Step[];

  constructor(question: PlanQuestion, placings: readonly Placing[], counts: Counts) {
    const { rounds, days, rules } = question;
    this.#days = days;
    const names = [...new Set(placings.flatMap(({ product }) => product.group ?? []))];
    this.#groups = names.length + 1;
    this.#dayOf = Int32Array.from(placings, ({ day }) => day);
    this.#groupOf = Int32Array.from(placings, ({ product }) => (product.group === undefined ? 0 : names.indexOf(product.group) + 1));
    this.#parent = rounds.map(({ after }) => (counts('after') && after ? rounds.findIndex(({ id }) => id === after.round) : -1));
    this.#children = rounds.map((_, r) => [...rounds.keys()].filter((c) => this.#parent[c] === r));
    const under = (r: number): number[] => [r, ...this.#children[r]!.flatMap(under)];
    this.#order = [...rounds.keys()].filter((r) => this.#parent[r] === -1).flatMap(under);
    this.#dropLoss = rounds.map((round) => dropLossOf(round, days));
    const rotates = rules.rotate !== false && counts('rotation') && counts('after');
    const lines = rotates ? [...new Set(rounds.map((round) => round.case))].flatMap((name) => lineOf(question, name) ?? []) : [];
    const inLine = new Set(lines);
    const followsOwn = (r: number) => rounds[this.#parent[r]!]?.case === rounds[r]!.case;
    this.#steps = rounds.map(({ after }, r) => ({
      least: after?.minDays ?? 0,
      most: after?.maxDays ?? days,
      rotates: inLine.has(r) && followsOwn(r),
    }));
    const own: number[][] = rounds.map(() => []);
    placings.forEach(({ round, product }, i) => {
      const isFirst = inLine.has(round) && !followsOwn(round);
      const repeats = isFirst && product.group !== undefined && product.group === groupBefore(question, rounds[round]!.case);
      if (!repeats) own[round]!.push(i);
    });
    this.#ofRound = own;
  }

  /**
   * @param losses - of each placing; infinite where it may not be chosen
   * @param mustPlace - a round that may not be left out
   */
  least(losses: ArrayLike<number>, mustPlace?: number): LeastLoss {
    /** of a round and all that follow it, with this placing */
    const below = new Float64Array(losses.length).fill(Infinity);
    /** the same without the round */
    const dropped = new Float64Array(this.#order.length);
    const ahead: Ahead[] = [];
    for (const r of this.#order.toReversed()) {
      const children = this.#children[r]!;
      dropped[r] = r === mustPlace ? Infinity : children.reduce((sum, child) => sum + dropped[child]!, this.#dropLoss[r]!);
      for (const p of this.#ofRound[r]!) below[p] = children.reduce((sum, child) => sum + ahead[child]!.value(p), losses[p]!);
      if (this.#parent[r] !== -1) ahead[r] = this.#ahead(r, below, this.#steps[r]!, dropped[r]);
    }
    let loss = 0;
    const chosen: number[] = [];
    const take = (r: number, p: number): void => {
      if (p < 0) return;
      chosen.push(p);
      for (const child of this.#children[r]!) take(child, ahead[child]!.by(p));
    };
    const ofRoot = new Float64Array(this.#order.length);
    for (const r of this.#order) {
      if (this.#parent[r] !== -1) continue;
      let first = -1;
      ofRoot[r] = dropped[r]!;
      for (const p of this.#ofRound[r]!)
        if (below[p]! < ofRoot[r]) {
          ofRoot[r] = below[p]!;
          first = p;
        }
      loss += ofRoot[r];
      take(r, first);
    }
    return { loss, chosen, with: this.#withEach(below, ahead, ofRoot, loss) };
  }

  /** From the roots down: what all else comes to, where a placing is chosen. */
  #withEach(below: Float64Array, ahead: readonly Ahead[], ofRoot: Float64Array, loss: number): Float64Array {
    const above = new Float64Array(below.length).fill(Infinity);
    for (const r of this.#order) {
      const own = this.#ofRound[r]!;
      if (this.#parent[r] === -1) for (const p of own) above[p] = loss - ofRoot[r]!;
      for (const child of this.#children[r]!) {
        const rest = new Float64Array(below.length).fill(Infinity);
        for (const p of own) if (above[p]! + below[p]! < Infinity) rest[p] = above[p]! + below[p]! - ahead[child]!.value(p);
        const { least, most, rotates } = this.#steps[child]!;
        const behind = this.#ahead(r, rest, { least: -most, most: -least, rotates }, Infinity);
        for (const q of this.#ofRound[child]!) above[q] = behind.value(q);
      }
    }
    return below.map((own, p) => own + above[p]!);
  }

  /** The least value of a round's placings, a step away from each day and mode of action. @param without - where none of them is chosen */
  #ahead(r: number, values: Float64Array, { least, most, rotates }: Step, without: number): Ahead {
    const [days, groups] = [this.#days, rotates ? this.#groups : 1];
    const groupOf = (p: number) => (rotates ? this.#groupOf[p]! : 0);
    // Of each day the least of all, and the least of another mode of action than that.
    const first = new Int32Array(days).fill(-1);
    const other = new Int32Array(days).fill(-1);
    const isLess = (p: number, q: number) => q < 0 || values[p]! < values[q]!;
    for (const p of this.#ofRound[r]!) {
      const day = this.#dayOf[p]!;
      const best = first[day]!;
      if (isLess(p, best)) {
        if (best >= 0 && groupOf(best) !== groupOf(p)) other[day] = best;
        first[day] = p;
      } else if (groupOf(p) !== groupOf(best) && isLess(p, other[day]!)) other[day] = p;
    }
    const by = new Int32Array(days * groups).fill(-1);
    const value = new Float64Array(days * groups).fill(without);
    for (let day = 0; day < days; day++)
      for (let group = 0; group < groups; group++) {
        const at = day * groups + group;
        const until = Math.min(days - 1, day + most);
        for (let then = Math.max(0, day + least); then <= until; then++) {
          const best = first[then]!;
          const p = best >= 0 && group > 0 && groupOf(best) === group ? other[then]! : best;
          if (p >= 0 && values[p]! < value[at]!) {
            value[at] = values[p]!;
            by[at] = p;
          }
        }
      }
    const at = (p: number) => this.#dayOf[p]! * groups + groupOf(p);
    return { value: (p) => value[at(p)]!, by: (p) => by[at(p)]! };
  }
}
