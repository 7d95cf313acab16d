import type { Milp, MilpRow } from './milp.js';
import { dropLossOf } from './placing.js';
import type { Counts, PlanQuestion } from './planQuestion.js';
import { row, rowOf, saysSomething, weigh } from './planRow.js';
import type { Fault, PlacingColumn, RowTag, Terms } from './planRow.js';
import { rotationRows } from './rotation.js';
import { sharedRows } from './sharedRows.js';

/** A plan as a 0-1 programme: a column for each placing, then one for leaving out each round, then the days by which each is done. */
export interface PlanModel {
  readonly milp: Milp<RowTag>;
  /** the value of every column when these placings are chosen */
  readonly valuesOf: (chosen: readonly PlacingColumn[]) => number[];
}

/**
 * The rounds of a plan, their open placings and every line that ties them, as a programme.
 *
 * @param columns - the placings, in their order
 * @param counts - lines that count
 * @param mustPlace - a round that may not be left out
 * @param learned - lines that solutions broke before
 */
export function planModel(
  question: PlanQuestion,
  columns: readonly PlacingColumn[],
  counts: Counts,
  { mustPlace, learned }: { readonly mustPlace: number | undefined; readonly learned: readonly Fault[] },
): PlanModel {
  const { rounds, days } = question;
  const dropColumn = (round: number) => columns.length + round;
  const ofRound = rounds.map((_, r) => columns.filter(({ round }) => round === r));
  const once = rounds.map((_, r) => row('once', [...weigh(ofRound[r]!), [dropColumn(r), 1]], { lower: 1, upper: 1 }));
  const ties = [...afterRows(question, ofRound, columns.length + rounds.length), ...rotationRows(question, columns)];
  const valuesOf = (chosen: readonly PlacingColumn[]): number[] => {
    const dayOf = new Map(chosen.map(({ round, day }) => [round, day]));
    const isChosen = new Set(chosen);
    return [
      ...columns.map((one) => Number(isChosen.has(one))),
      ...rounds.map((_, r) => Number(!dayOf.has(r))),
      ...inOrderOf(rounds).flatMap((r) => Array.from({ length: days }, (_, day) => Number(day >= (dayOf.get(r) ?? Infinity)))),
    ];
  };
  return {
    valuesOf,
    milp: {
      costs: [
        ...columns.map(({ loss }) => loss),
        ...rounds.map((round) => dropLossOf(round, days)),
        ...inOrderOf(rounds).flatMap(() => Array.from({ length: days }, () => 0)),
      ],
      choices: columns.length + rounds.length,
      rows: [
        ...once,
        ...ties.filter((one) => saysSomething(one, counts)),
        ...sharedRows(question, columns, counts),
        ...learned.map((fault) => rowOf(fault, columns)),
      ],
      barred: mustPlace === undefined ? [] : [dropColumn(mustPlace)],
    },
  };
}

/** Rounds that follow another, or are followed. */
const inOrderOf = (rounds: PlanQuestion['rounds']): number[] =>
  [...rounds.keys()].filter((r) => rounds[r]!.after ?? rounds.some(({ after }) => after?.round === rounds[r]!.id));

/**
 * What follows another round is not done before it, nor sooner or later after it than it may be.
 *
 * Each round in such an order gets a column for each day that says whether it is done by then: the one is done by a day only if the other is by so
 * many days before, and done from a day on only if the other is from so many days before on.
 */
function afterRows({ rounds, days }: PlanQuestion, ofRound: readonly (readonly PlacingColumn[])[], firstColumn: number): MilpRow<RowTag>[] {
  const inOrder = inOrderOf(rounds);
  /** the column that says whether a round is done by the end of a day; nothing before the first */
  const by = (round: number, day: number, weight: number): Terms =>
    day < 0 ? [] : [[firstColumn + inOrder.indexOf(round) * days + Math.min(day, days - 1), weight]];
  const everyDay = Array.from({ length: days }, (_, day) => day);
  const done = inOrder.flatMap((r) =>
    everyDay.map((day) =>
      row(
        'after',
        [
          ...by(r, day, 1),
          ...by(r, day - 1, -1),
          ...weigh(
            ofRound[r]!.filter((one) => one.day === day),
            -1,
          ),
        ],
        { lower: 0, upper: 0 },
      ),
    ),
  );
  return [
    ...done,
    ...inOrder.flatMap((r) => {
      const { after } = rounds[r]!;
      if (!after) return [];
      const other = rounds.findIndex(({ id }) => id === after.round);
      return everyDay
        .filter((day) => ofRound[r]!.some((one) => one.day === day))
        .flatMap((day) => [
          row('after', [...by(r, day, 1), ...by(other, day - after.minDays, -1)], { upper: 0 }),
          ...(after.maxDays === undefined
            ? []
            : [
                row('after', [...by(r, days, 1), ...by(r, day - 1, -1), ...by(other, days, -1), ...by(other, day - after.maxDays - 1, 1)], {
                  upper: 0,
                }),
              ]),
        ]);
    }),
  ];
}
