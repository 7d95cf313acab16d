import type { MilpSolver } from './milp.js';
import { Placings, slotOf } from './placings.js';
import type { Placing } from './placings.js';
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

/**
 * The smallest sets of lines that keep a round from being done at all, or from a half-day. Any other round may be left out for it, save those that it follows.
 *
 * @param round - its place among the rounds
 * @param at - a half-day in which it is wanted
 * @returns none where it could be done
 */
export function conflictsOf(
  { rounds, ...rest }: PlanQuestion,
  round: number,
  solver: MilpSolver,
  at?: Pick<Placing, 'day' | 'evening'>,
): PlanConflict[] {
  const chain = chainTo(rounds, rounds[round]!);
  const isImpossible = (lines: readonly PlanLine[], last = chain.length): boolean => {
    const [first, ...others] = chain.slice(-last);
    const own = { ...rest, rounds: [last === chain.length ? first! : { ...first!, after: undefined }, ...others] };
    const plan = new OpenPlan(own, solver, (line) => lines.includes(line));
    try {
      const wanted = (one: Placing) => !at || one.round !== last - 1 || slotOf(one) === slotOf(at);
      return plan.best(secondsEach, wanted, last - 1).status === 'infeasible';
    } finally {
      plan.close();
    }
  };
  const possible = linesThatMatter({ ...rest, rounds: chain });
  if (!isImpossible(possible)) return [];
  const needed = possible.reduce<readonly PlanLine[]>((kept, line) => {
    const without = kept.filter((one) => one !== line);
    return isImpossible(without) ? without : kept;
  }, possible);
  const smallest = setsOf(possible, Math.min(needed.length, soughtTogether))
    .map((sets) => sets.filter((lines) => isImpossible(lines)).slice(0, mostSets))
    .find((found) => found.length > 0) ?? [needed];
  return smallest.map((lines) => {
    const last = chain.findIndex((_, k) => isImpossible(lines, k + 1)) + 1;
    return { round: rounds[round]!.id, rounds: chain.slice(-last).map(({ id }) => id), lines };
  });
}

/** A round behind all that it follows. */
function chainTo(rounds: readonly PlanRound[], round: PlanRound): PlanRound[] {
  const before = rounds.find(({ id }) => id === round.after?.round);
  return before ? [...chainTo(rounds, before), round] : [round];
}

/** Lines that could keep any of these rounds from anything. */
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
  const isOneOf = (list: Readonly<Record<string, number>> = {}) => products.some(({ id }) => id in list);
  const isSameCase = share((round) => round.case);
  const wasDone = (rules.done ?? []).some((one) => rounds.some((round) => round.case === one.case));
  const between: [PlanLine, boolean][] = [
    ['after', rounds.some(({ after }) => after)],
    ['same-slot', isSameCase],
    ['rotation', rules.rotate !== false && (isSameCase || wasDone)],
    ['season-max', isOneOf(rules.seasonMax)],
    ['stock', isOneOf(rules.stock)],
    ['minutes', rules.minutesPerDay !== undefined],
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
