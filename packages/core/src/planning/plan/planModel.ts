import { group } from 'd3-array';
import type { Milp, MilpRow } from './milp.js';
import { closedSlots, dropLossOf, slotOf } from './placings.js';
import type { Placing } from './placings.js';
import type { PlanLine, PlanQuestion } from './planQuestion.js';
import { row } from './planRow.js';
import type { PlacingColumn, RowTag, Terms } from './planRow.js';
import { rotationRows } from './rotation.js';

/** A plan as a 0-1 programme: a column for each placing, then one for leaving out each round. */
export interface PlanModel {
  readonly placings: readonly Placing[];
  readonly milp: Milp<RowTag>;
  /** column in which a round is left out */
  readonly dropColumn: (round: number) => number;
}

/**
 * The rounds of a plan, their open placings and every line that ties them, as a programme.
 *
 * @param counts - lines that count
 */
export function planModel(question: PlanQuestion, placings: readonly Placing[], counts: (line: PlanLine) => boolean): PlanModel {
  const { rounds, days } = question;
  const dropColumn = (round: number) => placings.length + round;
  const columns = placings.map((placing, column) => ({ ...placing, column, slot: slotOf(placing) }));
  const ofRound = rounds.map((_, r) => columns.filter(({ round }) => round === r));
  const rows = [
    ...rounds.map((_, r) => row('once', [...weigh(ofRound[r]!), [dropColumn(r), 1]], { lower: 1, upper: 1 })),
    ...afterRows(question, ofRound, placings.length + rounds.length),
    ...sameSlotRows(question, columns),
    ...reEntryRows(question, columns),
    ...supplyRows(question, columns),
    ...rotationRows(question, columns),
  ];
  return {
    placings,
    dropColumn,
    milp: {
      costs: [
        ...placings.map(({ loss }) => loss),
        ...rounds.map((round) => dropLossOf(round, days)),
        ...rounds.flatMap(() => Array.from({ length: days }, () => 0)),
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
const isMeant = (line: PlanLine, counts: (line: PlanLine) => boolean) => counts(line) || (line === 'same-slot' && counts('rotation'));

const weigh = (columns: readonly PlacingColumn[], weight = 1): Terms => columns.map(({ column }) => [column, weight] as const);
const sumOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0);

/**
 * What follows another round is not done before it, nor sooner or later after it than it may be.
 *
 * Each round in such an order gets a column for each day that says whether it is done by then: the one is done by a day only if the other is by so
 * many days before, and done from a day on only if the other is from so many days before on.
 */
function afterRows({ rounds, days }: PlanQuestion, ofRound: readonly (readonly PlacingColumn[])[], firstColumn: number): MilpRow<RowTag>[] {
  const inOrder = [...rounds.keys()].filter((r) => rounds[r]!.after ?? rounds.some(({ after }) => after?.round === rounds[r]!.id));
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

/** Two rounds of a case never share a half-day. */
function sameSlotRows({ rounds }: PlanQuestion, columns: readonly PlacingColumn[]): MilpRow<RowTag>[] {
  const bySlot = group(columns, ({ round, slot }) => `${slot} ${rounds[round]!.case}`);
  return [...bySlot.values()]
    .filter((shared) => new Set(shared.map(({ round }) => round)).size > 1)
    .map((shared) => row('same-slot', weigh(shared), { upper: 1 }));
}

/**
 * While a place is closed after an application, nothing else is done there. In each half-day at most one application keeps it closed, and what
 * closes nothing may only be done while none does.
 */
function reEntryRows({ rounds, days }: PlanQuestion, columns: readonly PlacingColumn[]): MilpRow<RowTag>[] {
  const places = group(
    columns.filter(({ round }) => rounds[round]!.place !== undefined),
    ({ round }) => rounds[round]!.place!,
  );
  return [...places.values()].flatMap((here) => {
    const closing = here.filter(({ product }) => closedSlots(product) > 0);
    if (closing.length === 0 || new Set(here.map(({ round }) => round)).size < 2) return [];
    return Array.from({ length: 2 * days }, (_, slot) => slot).flatMap((slot) => {
      const closed = closing.filter((one) => one.slot <= slot && slot < one.slot + closedSlots(one.product));
      if (closed.length === 0) return [];
      const open = group(
        here.filter((one) => one.slot === slot && closedSlots(one.product) === 0),
        ({ round }) => round,
      );
      return [[], ...open.values()].map((also) => row('re-entry', [...weigh(closed), ...weigh(also)], { upper: 1 }));
    });
  });
}

/** Season's maxima, stock, and the minutes of each day. */
function supplyRows({ rules, days }: PlanQuestion, columns: readonly PlacingColumn[]): MilpRow<RowTag>[] {
  const { seasonMax = {}, stock = {}, done = [], minutesPerDay } = rules;
  const of = (product: string) => columns.filter((one) => one.product.id === product);
  const used = (product: string) => done.filter((one) => one.product === product).length;
  return [
    ...Object.entries(seasonMax).map(([product, most]) =>
      row('season-max', weigh(of(product)), { upper: Math.max(0, most - used(product)) }),
    ),
    ...Object.entries(stock).map(([product, left]) =>
      row(
        'stock',
        of(product).map((one) => [one.column, one.product.amount ?? 0] as const),
        { upper: left },
      ),
    ),
    ...(minutesPerDay === undefined
      ? []
      : Array.from({ length: days }, (_, day) =>
          row(
            'minutes',
            columns.filter((one) => one.day === day).map((one) => [one.column, one.product.minutes] as const),
            { upper: minutesPerDay },
          ),
        )),
  ];
}
