import { group } from 'd3-array';
import { isShut, isTooNear } from './collision.js';
import { countedFor, dropLossOf, slotOf, takenFrom } from './placing.js';
import type { Placing } from './placing.js';
import type { Counts, PlanQuestion } from './planQuestion.js';
import { groupBefore, lineOf, rotationFaults } from './rotation.js';
import { shareOut, WorkDays, workOf } from './workDays.js';

/** The best that a search came to; `isWhole` when everything that could be better was looked at. */
export interface Searched {
  readonly isWhole: boolean;
  /** nothing where no plan keeps all lines */
  readonly best: { readonly objective: number; readonly placed: readonly Placing[] } | undefined;
  /** nothing loses less */
  readonly bound: number;
}

const same = 1e-9;

/**
 * A few rounds placed where they lose least, by looking at everything that could be better than what was found.
 *
 * Round after round, cheapest first. What the rounds still to come lose at least is reckoned from when each may follow the one before it, and
 * from nothing else; a branch that can't be better with that is cut.
 *
 * @param mostSteps - so many placings are tried at most
 */
export const searchPart = (question: PlanQuestion, asked: SearchOf, counts: Counts, mostSteps: number): Searched =>
  new Search(question, asked, counts, mostSteps).run();

/** What is searched. */
export interface SearchOf {
  /** placings that may be used */
  readonly open: readonly Placing[];
  /** a round that may not be left out */
  readonly mustPlace?: number | undefined;
  /** rounds to be placed; all of them when left out */
  readonly rounds?: readonly number[] | undefined;
  /** placings of the others, that stay as they are */
  readonly settled?: readonly Placing[] | undefined;
}

/** A placing, and what it and the rounds that follow it lose at least. */
interface Way {
  readonly one: Placing;
  readonly least: number;
}

class Search {
  readonly #question: PlanQuestion;
  readonly #counts: Counts;
  readonly #mustPlace: number | undefined;
  readonly #ofRound: readonly (readonly Placing[])[];
  readonly #parent: readonly number[];
  readonly #children: readonly (readonly number[])[];
  readonly #droppedLoss: readonly number[];
  /** parents before children */
  readonly #order: readonly number[];
  readonly #workDays: WorkDays;
  readonly #inLine: ReadonlySet<number>;
  readonly #waysKnown = new Map<number, readonly Way[]>();
  readonly #put: Placing[];
  readonly #settled: number;
  #steps: number;
  #best: Searched['best'];

  constructor(question: PlanQuestion, { open, mustPlace, rounds: asked, settled = [] }: SearchOf, counts: Counts, mostSteps: number) {
    const { rounds } = question;
    const wanted = asked ?? [...rounds.keys()];
    this.#put = [...settled];
    this.#settled = settled.length;
    this.#question = question;
    this.#counts = counts;
    this.#mustPlace = mustPlace;
    this.#steps = mostSteps;
    this.#workDays = new WorkDays(question);
    const byRound = group(open, ({ round }) => round);
    this.#ofRound = rounds.map((_, r) => byRound.get(r) ?? []);
    this.#parent = rounds.map(({ after }) => (counts('after') && after ? rounds.findIndex(({ id }) => id === after.round) : -1));
    this.#children = rounds.map((_, r) => [...rounds.keys()].filter((c) => this.#parent[c] === r));
    const under = (r: number): number[] => [r, ...this.#children[r]!.flatMap(under)];
    this.#order = wanted.filter((r) => this.#parent[r] === -1).flatMap(under);
    const dropped = (r: number): number =>
      r === mustPlace ? Infinity : this.#children[r]!.reduce((sum, child) => sum + dropped(child), dropLossOf(rounds[r]!, question.days));
    this.#droppedLoss = rounds.map((_, r) => dropped(r));
    const cases = [...new Set(wanted.map((r) => rounds[r]!.case))];
    // Where a case is one line, each round's neighbour is the one that it follows; other orders are only known when all is placed.
    this.#inLine = new Set(
      question.rules.rotate !== false && counts('rotation') && counts('after') ? cases.flatMap((name) => lineOf(question, name) ?? []) : [],
    );
  }

  run(): Searched {
    const bound = this.#order.filter((r) => this.#parent[r] === -1).reduce((sum, r) => sum + this.#least(r, undefined), 0);
    this.#visit(0, 0, bound);
    const isWhole = this.#steps > 0;
    const { objective = Infinity } = this.#best ?? {};
    return { isWhole, best: this.#best, bound: isWhole ? objective : Math.min(bound, objective) };
  }

  /**
   * @param lost - by the rounds before
   * @param atLeast - by all rounds
   */
  #visit(next: number, lost: number, atLeast: number): void {
    if (atLeast >= (this.#best?.objective ?? Infinity) - same) return;
    const r = this.#order[next];
    if (r === undefined) {
      if (this.#keepsRotation()) this.#best = { objective: lost, placed: this.#put.slice(this.#settled) };
      return;
    }
    const parent = this.#parent[r]!;
    const before = parent === -1 ? undefined : this.#put.find(({ round }) => round === parent);
    const isOrphan = parent !== -1 && !before;
    const wait = atLeast - (isOrphan ? this.#dropped(r) : this.#least(r, before?.day));
    for (const { one, least } of isOrphan ? [] : this.#ways(r, before?.day)) {
      if (wait + least >= (this.#best?.objective ?? Infinity) - same) break;
      if (!this.#fits(one, before)) continue;
      if (this.#steps-- <= 0) return;
      this.#put.push(one);
      this.#visit(next + 1, lost + one.loss, wait + least);
      this.#put.pop();
    }
    if (r === this.#mustPlace) return;
    // What follows a round that is left out is left out too.
    const drop = dropLossOf(this.#question.rounds[r]!, this.#question.days);
    this.#visit(next + 1, lost + drop, wait + this.#dropped(r));
  }

  /** Placings of a round that come neither too soon nor too late after the round before it, best first. */
  #ways(r: number, day: number | undefined): readonly Way[] {
    const key = r * 1000 + (day ?? 999);
    const known = this.#waysKnown.get(key);
    if (known) return known;
    const { minDays = 0, maxDays = Infinity } = this.#question.rounds[r]!.after ?? {};
    const isInTime = (one: Placing) => day === undefined || (one.day - day >= minDays && one.day - day <= maxDays);
    const ways = this.#ofRound
      [r]!.filter(isInTime)
      .map((one) => ({ one, least: one.loss + this.#leastOfChildren(r, one.day) }))
      .sort((a, b) => a.least - b.least);
    this.#waysKnown.set(key, ways);
    return ways;
  }

  /** What a round and those that follow it lose at least, after a day on which the one before it is done. */
  #least = (r: number, day: number | undefined): number => Math.min(this.#dropped(r), this.#ways(r, day)[0]?.least ?? Infinity);

  #leastOfChildren = (r: number, day: number): number => this.#children[r]!.reduce((sum, child) => sum + this.#least(child, day), 0);

  /** What is lost without a round and all that follows it. */
  #dropped = (r: number): number => this.#droppedLoss[r]!;

  #fits(one: Placing, before: Placing | undefined): boolean {
    const { rounds, rules } = this.#question;
    const round = rounds[one.round]!;
    const counts = this.#counts;
    if (this.#inLine.has(one.round) && one.product.group !== undefined) {
      const isSameCase = before && rounds[before.round]!.case === round.case;
      const last = isSameCase ? before.product.group : groupBefore(this.#question, round.case);
      if (last === one.product.group) return false;
    }
    const keepsSlots = counts('same-slot') || counts('rotation');
    for (const other of this.#put) {
      if (keepsSlots && rounds[other.round]!.case === round.case && slotOf(other) === slotOf(one)) return false;
      if (counts('re-entry') && isShut(rounds, one, other)) return false;
      if (counts('apart') && isTooNear(one, other)) return false;
    }
    const [pack, kind] = [takenFrom(one.product), countedFor(one.product)];
    const left = rules.stock?.[pack];
    const sharing = (of: (placing: Placing) => boolean) => [...this.#put.filter(of), one];
    if (counts('stock') && left !== undefined) {
      const taken = sharing(({ product }) => takenFrom(product) === pack).reduce((sum, { product }) => sum + (product.amount ?? 0), 0);
      if (taken > left + same) return false;
    }
    const most = rules.seasonMax?.[kind];
    if (counts('season-max') && most !== undefined) {
      const done = (rules.done ?? []).filter(({ product }) => product === kind).length;
      if (sharing(({ product }) => countedFor(product) === kind).length > Math.max(0, most - done)) return false;
    }
    return !counts('minutes') || this.#hasTime(sharing(({ day }) => day === one.day));
  }

  #hasTime(together: readonly Placing[]): boolean {
    const { day } = together[0]!;
    const work = workOf(this.#question, together);
    const hands = this.#workDays.handsOn(day);
    const minutes = work.reduce((sum, one) => sum + one.minutes, 0);
    return minutes <= this.#workDays.minutesOn(day) + same && (!hands || shareOut(work, hands) !== undefined);
  }

  #keepsRotation = (): boolean =>
    !this.#counts('rotation') ||
    this.#inLine.size === this.#order.length ||
    rotationFaults(this.#question, this.#put.slice(this.#settled)).length === 0;
}
