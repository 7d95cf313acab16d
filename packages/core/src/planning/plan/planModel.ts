import type { Milp, MilpRow } from './milp.js';
import { dropLossOf, slotOf } from './placing.js';
import type { Placing } from './placing.js';
import type { Counts, PlanLine, PlanQuestion } from './planQuestion.js';
import { row, weigh } from './planRow.js';
import type { PlacingColumn, RowTag, Terms } from './planRow.js';
import { rotationRows } from './rotation.js';
import { apartRows, minutesRows, reEntryRows, sameSlotRows, supplyRows } from './sharedRows.js';

/** A plan as a 0-1 programme: a column for each placing, then one for leaving out each round. */
export interface PlanModel {
  readonly placings: readonly Placing[];
  readonly milp: Milp<RowTag>;
  /** column in which a round is left out */
  readonly dropColumn: (round: number) => number;
  /** the value of every column when these are placed */
  readonly valuesOf: (placed: readonly Placing[]) => number[];
}

/**
 * The rounds of a plan, their open placings and every line that ties them, as a programme.
 *
 * @param counts - lines that count
 * @param shortDays - days of which the minutes are lines of the programme; others are left to whoever asks
 */
export function planModel(question: PlanQuestion, placings: readonly Placing[], counts: Counts, shortDays: ReadonlySet<number>): PlanModel {
  const { rounds, days } = question;
  const dropColumn = (round: number) => placings.length + round;
  const columns = placings.map((placing, column) => ({ ...placing, column, slot: slotOf(placing) }));
  const ofRound = rounds.map((_, r) => columns.filter(({ round }) => round === r));
  const rows = [
    ...rounds.map((_, r) => row('once', [...weigh(ofRound[r]!), [dropColumn(r), 1]], { lower: 1, upper: 1 })),
    ...afterRows(question, ofRound, placings.length + rounds.length),
    ...sameSlotRows(question, columns),
    ...reEntryRows(question, columns),
    ...apartRows(question, columns),
    ...supplyRows(question, columns),
    ...minutesRows(question, columns, shortDays),
    ...rotationRows(question, columns),
  ];
  const valuesOf = (placed: readonly Placing[]): number[] => [
    ...placings.map((one) => Number(placed.some((other) => isSame(one, other)))),
    ...rounds.map((_, r) => Number(!placed.some(({ round }) => round === r))),
    ...inOrderOf(rounds).flatMap((r) => {
      const day = placed.find(({ round }) => round === r)?.day ?? Infinity;
      return Array.from({ length: days }, (_, one) => Number(one >= day));
    }),
  ];
  return {
    placings,
    dropColumn,
    valuesOf,
    milp: {
      costs: [
        ...placings.map(({ loss }) => loss),
        ...rounds.map((round) => dropLossOf(round, days)),
        ...inOrderOf(rounds).flatMap(() => Array.from({ length: days }, () => 0)),
      ],
      choices: placings.length + rounds.length,
      // What can't be exceeded says nothing, and would only tie rounds together that have nothing to do with each other.
      rows: rows.filter(
        ({ tag, values, upper }) => tag === 'once' || (isMeant(tag, counts) && sumOf(values.filter((value) => value > 0)) > upper),
      ),
    },
  };
}

/** Which mode of action follows which is only known where no two rounds of a case share a half-day. */
const isMeant = (line: PlanLine, counts: Counts) => counts(line) || (line === 'same-slot' && counts('rotation'));

const sumOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0);

const isSame = (one: Placing, other: Placing) =>
  one.round === other.round && one.day === other.day && one.evening === other.evening && one.product === other.product;

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
