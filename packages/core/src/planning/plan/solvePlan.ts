import { group, sum } from 'd3-array';
import { collide } from './collision.js';
import type { MilpSolver } from './milp.js';
import { dropLossOf, slotOf } from './placing.js';
import { Placings } from './placings.js';
import type { Placing } from './placing.js';
import type { Counts, PlanQuestion } from './planQuestion.js';
import { searchPart } from './searchPart.js';
import type { Searched } from './searchPart.js';
import { WholePlan } from './wholePlan.js';
import type { Found, Plan } from './wholePlan.js';

// How often all parts are fitted in anew, and how much is looked at for each.
const mostSweeps = 3;
const stepsToFit = 300;
// A few rounds are placed by looking at so much; of more, only a good plan is found that way.
const stepsForFew = 20_000;
const stepsForMany = 2000;
const fewRounds = 6;
// More placings are not weighed against each other: it takes longer than anybody waits, and more memory than there may be.
const mostPlacings = 10_000;
const same = 1e-9;

/** What may be chosen this time. */
export interface Wanted {
  /** a round that may not be left out */
  readonly mustPlace?: number | undefined;
  /** placings that may be used */
  readonly may?: ((placing: Placing) => boolean) | undefined;
}

/** Rounds that are tied to each other. */
interface Part {
  readonly rounds: readonly number[];
  readonly placings: readonly Placing[];
  /** the best of them by themselves, once that was asked */
  alone: Searched | undefined;
}

/**
 * A plan, to be asked what is best, as it is and with changes.
 *
 * Each case is planned for itself at first: where nothing collides then, that is best. Else all are planned at once.
 */
export class OpenPlan {
  readonly placings: Placings;
  readonly #question: PlanQuestion;
  readonly #solver: MilpSolver;
  readonly #counts: Counts;
  readonly #bySearch: boolean;
  readonly #open: readonly Placing[];
  readonly #parts: readonly Part[];
  #whole: WholePlan | undefined;

  /**
   * @param counts - lines that count; all of them, unless it is asked what would be without some
   * @param bySearch - false: the solver does all the work
   */
  constructor(question: PlanQuestion, solver: MilpSolver, counts: Counts = () => true, bySearch = true) {
    this.#question = question;
    this.#solver = solver;
    this.#counts = counts;
    this.#bySearch = bySearch;
    this.placings = new Placings(question);
    this.#open = this.placings.open(counts);
    const ofRound = group(this.#open, ({ round }) => round);
    this.#parts = tiedRounds(question).map((rounds) => ({
      rounds,
      placings: rounds.flatMap((r) => ofRound.get(r) ?? []),
      alone: undefined,
    }));
  }

  /**
   * The plan that loses least.
   *
   * @param secondsLeft - when to stop with what was found
   */
  best(secondsLeft: () => number, { may = () => true, mustPlace }: Wanted = {}): Found {
    const alone = this.#parts.map((part) => ({ part, ...this.#alone(part, may, mustPlace) }));
    if (alone.some(({ isWhole, best }) => isWhole && !best)) return { status: 'infeasible' };
    const bound = sum(alone, (one) => one.bound);
    const placed = inOrder(alone.flatMap(({ best }) => best?.placed ?? []));
    if (alone.every(({ isWhole }) => isWhole) && !collide(this.#question, placed, this.#counts))
      return { status: 'optimal', objective: bound, bound, placed };
    const dearest = [...alone].sort((a, b) => dearness(b, mustPlace) - dearness(a, mustPlace)).map(({ part }) => part);
    const known = this.#fitted(dearest, may, mustPlace);
    if (this.#open.length > mostPlacings || secondsLeft() <= 0)
      return known ? { status: 'feasible', bound, ...inOrderOf(known) } : { status: 'open' };
    const parts = this.#parts.map(({ rounds }) => rounds);
    this.#whole ??= new WholePlan(this.#question, this.#open, parts, this.#counts, this.#solver);
    const found = this.#whole.best({ mays: this.#open.map(may), mustPlace, bound, known }, secondsLeft);
    return 'placed' in found ? { ...found, ...inOrderOf(found) } : found;
  }

  /** A part by itself. */
  #alone(part: Part, may: (placing: Placing) => boolean, mustPlace: number | undefined): Searched {
    const open = part.placings.filter(may);
    const own = ownOf(part, mustPlace);
    const isAsItIs = open.length === part.placings.length && own === undefined;
    if (isAsItIs && part.alone) return part.alone;
    const steps = !this.#bySearch ? 1 : part.rounds.length <= fewRounds ? stepsForFew : stepsForMany;
    const found = searchPart(this.#question, { open, rounds: part.rounds, mustPlace: own }, this.#counts, steps);
    if (isAsItIs) part.alone = found;
    return found;
  }

  /** A good plan that keeps all lines: part after part is fitted in beside the others, until none gets better by it. */
  #fitted(parts: readonly Part[], may: (placing: Placing) => boolean, mustPlace: number | undefined): Plan | undefined {
    const question = this.#question;
    const lossOf = (placed: readonly Placing[]) => {
      const losses = new Map(placed.map(({ round, loss }) => [round, loss]));
      return sum(question.rounds, (round, r) => losses.get(r) ?? dropLossOf(round, question.days));
    };
    let placed: readonly Placing[] = [];
    for (let sweep = 0; sweep < mostSweeps; sweep++) {
      const before = lossOf(placed);
      for (const part of parts) {
        const { rounds, placings } = part;
        const settled = placed.filter(({ round }) => !rounds.includes(round));
        const asked = { open: placings.filter(may), rounds, settled, mustPlace: ownOf(part, mustPlace) };
        const fitted = searchPart(question, asked, this.#counts, stepsToFit).best;
        if (fitted) placed = [...settled, ...fitted.placed];
      }
      if (sweep > 0 && lossOf(placed) >= before - same) break;
    }
    if (mustPlace !== undefined && !placed.some(({ round }) => round === mustPlace)) return undefined;
    return { objective: lossOf(placed), placed };
  }
}

/** The round that may not be left out, where it is of this part. */
const ownOf = ({ rounds }: Part, mustPlace: number | undefined) =>
  mustPlace !== undefined && rounds.includes(mustPlace) ? mustPlace : undefined;

/** What is dearest is fitted in first, and what may not be left out before all. */
const dearness = ({ part, bound }: { readonly part: Part; readonly bound: number }, mustPlace: number | undefined) =>
  ownOf(part, mustPlace) === undefined ? bound : Infinity;

const inOrderOf = ({ objective, placed }: Plan): Plan => ({ objective, placed: inOrder(placed) });
const inOrder = (placed: readonly Placing[]) => [...placed].sort((a, b) => slotOf(a) - slotOf(b) || a.round - b.round);

/** Rounds of one case, with those that follow each other across cases: sets of places. */
function tiedRounds({ rounds }: PlanQuestion): number[][] {
  const caseOf = new Map(rounds.map((round) => [round.id, round.case]));
  const rootOf = new Map(rounds.map((round) => [round.case, round.case]));
  const root = (name: string): string => (rootOf.get(name) === name ? name : root(rootOf.get(name)!));
  for (const { case: name, after } of rounds) if (after) rootOf.set(root(name), root(caseOf.get(after.round)!));
  return [...group([...rounds.keys()], (r) => root(rounds[r]!.case)).values()];
}
