import type { MilpSolver } from './milp.js';
import { countedFor, slotOf, takenFrom } from './placing.js';
import { Placings } from './placings.js';
import type { Placing } from './placing.js';
import type { PlanLine, PlanQuestion, PlanRound } from './planQuestion.js';
import { OpenPlan } from './solvePlan.js';

/** Lines that together keep a round from being done, with the rounds that it follows as far as they matter; without any one of them it could be. */
export interface PlanConflict {
  readonly round: string;
  readonly rounds: readonly string[];
  readonly lines: readonly PlanLine[];
}

// More lines than these hardly ever have to collide; sets of so many are sought one by one, larger ones by leaving out what is not needed.
const soughtTogether = 3;
const mostSets = 4;
const secondsEach = 1;

/** A time that begins now, in seconds: what is left of it, below zero when it is over. */
export type Timer = (seconds: number) => () => number;

export interface TimeLeft {
  readonly isOver: () => boolean;
  readonly forSoLong: Timer;
}

/** Whether some lines alone keep a round from being done; by the rounds that it follows; any other can be dropped to make room for it. */
class Impossibility {
  readonly chain: readonly PlanRound[];
  /** lines that could keep any of these rounds from anything */
  readonly lines: readonly PlanLine[];
  readonly #question: PlanQuestion;
  readonly #solver: MilpSolver;
  readonly #forSoLong: Timer;
  readonly #at: Pick<Placing, 'day' | 'evening'> | undefined;

  constructor(question: PlanQuestion, round: number, solver: MilpSolver, forSoLong: Timer, at?: Pick<Placing, 'day' | 'evening'>) {
    this.#forSoLong = forSoLong;
    this.chain = chainTo(question.rounds, question.rounds[round]!);
    this.lines = linesThatMatter({ ...question, rounds: this.chain });
    this.#question = question;
    this.#solver = solver;
    this.#at = at;
  }

  /** @param of - the last so many of the chain; all of them where what follows what counts, else the round alone */
  by(lines: readonly PlanLine[], of = lines.includes('after') ? this.chain.length : 1): boolean {
    const [first, ...others] = this.chain.slice(-of);
    const rounds = [of === this.chain.length ? first! : { ...first!, after: undefined }, ...others];
    const plan = new OpenPlan({ ...this.#question, rounds }, this.#solver, (line) => lines.includes(line));
    const at = this.#at;
    const may = (one: Placing) => !at || one.round !== of - 1 || slotOf(one) === slotOf(at);
    return plan.best(this.#forSoLong(secondsEach), { may, mustPlace: of - 1 }).status === 'infeasible';
  }

  /** A set of lines of which none may be left out; nothing where it can be done. */
  least(): readonly PlanLine[] | undefined {
    if (!this.by(this.lines)) return undefined;
    return this.lines.reduce<readonly PlanLine[]>((kept, line) => {
      const without = kept.filter((one) => one !== line);
      return this.by(without) ? without : kept;
    }, this.lines);
  }
}

/** Lines that together keep a round from a half-day which its own lines leave open to it; none where it could be done then. */
export const linesAgainst = (
  question: PlanQuestion,
  round: number,
  at: Pick<Placing, 'day' | 'evening'>,
  solver: MilpSolver,
  { forSoLong }: TimeLeft,
): readonly PlanLine[] => new Impossibility(question, round, solver, forSoLong, at).least() ?? [];

/**
 * The smallest sets of lines that keep a round from being done at all.
 *
 * @param round - its place among the rounds
 * @param time - once it is over, one set is told, of which no line may be left out
 * @returns none where it could be done
 */
export function conflictsOf(question: PlanQuestion, round: number, solver: MilpSolver, { isOver, forSoLong }: TimeLeft): PlanConflict[] {
  const impossible = new Impossibility(question, round, solver, forSoLong);
  const least = impossible.least();
  if (!least) return [];
  const keep = (lines: readonly PlanLine[]) => !isOver() && impossible.by(lines);
  const smallest = setsOf(impossible.lines, Math.min(least.length, soughtTogether))
    .map((sets) => sets.filter(keep).slice(0, mostSets))
    .find((found) => found.length > 0);
  return (smallest ?? [least]).map((lines) => {
    const last = impossible.chain.findIndex((_, k) => impossible.by(lines, k + 1)) + 1;
    return { round: question.rounds[round]!.id, rounds: impossible.chain.slice(-last).map(({ id }) => id), lines };
  });
}

/** A round behind all that it follows. */
function chainTo(rounds: readonly PlanRound[], round: PlanRound): PlanRound[] {
  const before = rounds.find(({ id }) => id === round.after?.round);
  return before ? [...chainTo(rounds, before), round] : [round];
}

function linesThatMatter(question: PlanQuestion): PlanLine[] {
  const { rounds, rules, days } = question;
  const placings = new Placings(question);
  const own = rounds.flatMap((round) =>
    round.products.flatMap((product) =>
      Array.from({ length: 2 * days }, (_, slot) => placings.broken(round, product, Math.floor(slot / 2), slot % 2 === 1)).flat(),
    ),
  );
  const products = rounds.flatMap((round) => round.products);
  const share = (of: (round: PlanRound) => string | undefined) => {
    const names = rounds.flatMap((round) => of(round) ?? []);
    return new Set(names).size < names.length;
  };
  const isSameCase = share((round) => round.case);
  const wasDone = (rules.done ?? []).some((one) => rounds.some((round) => round.case === one.case));
  const between: [PlanLine, boolean][] = [
    ['after', rounds.some(({ after }) => after)],
    ['same-slot', isSameCase],
    ['rotation', rules.rotate !== false && (isSameCase || wasDone)],
    ['season-max', products.some((one) => countedFor(one) in (rules.seasonMax ?? {}))],
    ['stock', products.some((one) => takenFrom(one) in (rules.stock ?? {}))],
    ['minutes', rules.minutesPerDay !== undefined || rules.people !== undefined],
    ['apart', products.some(({ apart }) => apart?.some(({ from }) => products.some(({ id }) => id === from)))],
    ['re-entry', share(({ place }) => place) && products.some(({ reEntryHours = 0 }) => reEntryHours > 0)],
  ];
  return [...new Set([...own, ...between.flatMap(([line, matters]) => (matters ? [line] : []))])].sort();
}

/** All sets of some lines up to a size, by size. */
function setsOf(lines: readonly PlanLine[], most: number): PlanLine[][][] {
  const bySize: PlanLine[][][] = [[[]]];
  for (let size = 1; size <= most; size++)
    bySize.push(bySize[size - 1]!.flatMap((set) => lines.slice(lines.indexOf(set.at(-1)!) + 1).map((line) => [...set, line])));
  return bySize.slice(1);
}
