import { group, sum } from 'd3-array';
import type { MilpRow } from './milp.js';
import { closedSlots, countedFor, takenFrom } from './placing.js';
import type { Counts, PlanProduct, PlanQuestion } from './planQuestion.js';
import { row, saysSomething, weigh } from './planRow.js';
import type { PlacingColumn, RowTag } from './planRow.js';
import { crumb, piecesOf, WorkDays } from './workDays.js';

/** Every line on what rounds share. None has a weight below zero; all have an upper limit, which some placings together exceed. */
export const sharedRows = (question: PlanQuestion, columns: readonly PlacingColumn[], counts: Counts): MilpRow<RowTag>[] =>
  [sameSlotRows, reEntryRows, apartRows, supplyRows, minutesRows]
    .flatMap((rows) => rows(question, columns))
    .filter((one) => saysSomething(one, counts));

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

/** What has to be kept apart from something else is not done within so many days of it: round against round, a day at a time. */
function apartRows({ days, rounds }: PlanQuestion, columns: readonly PlacingColumn[]): MilpRow<RowTag>[] {
  const everyDay = Array.from({ length: days }, (_, day) => day);
  return rounds.flatMap(({ products }, r) =>
    products.flatMap((product) =>
      (product.apart ?? []).flatMap(({ from, days: least }) => {
        const own = columns.filter((one) => one.round === r && one.product === product);
        const others = group(
          columns.filter((one) => one.round !== r && one.product.id === from),
          ({ round }) => round,
        );
        return [...others.values()].flatMap((other) =>
          everyDay.flatMap((day) => {
            const here = own.filter((one) => one.day === day);
            const near = other.filter((one) => Math.abs(one.day - day) < least);
            return here.length > 0 && near.length > 0 ? [row('apart', [...weigh(here), ...weigh(near)], { upper: 1 })] : [];
          }),
        );
      }),
    ),
  );
}

/** Season's maxima, and stock. */
function supplyRows({ rules }: PlanQuestion, columns: readonly PlacingColumn[]): MilpRow<RowTag>[] {
  const { seasonMax = {}, stock = {}, done = [] } = rules;
  const of = (name: string, by: (product: PlanProduct) => string) => columns.filter(({ product }) => by(product) === name);
  const used = (product: string) => done.filter((one) => one.product === product).length;
  return [
    ...Object.entries(seasonMax).map(([product, most]) =>
      row('season-max', weigh(of(product, countedFor)), { upper: Math.max(0, most - used(product)) }),
    ),
    ...Object.entries(stock).map(([product, left]) =>
      row(
        'stock',
        of(product, takenFrom).map((one) => [one.column, one.product.amount ?? 0] as const),
        { upper: left },
      ),
    ),
  ];
}

// Work that is longer than a half, a third and so on of what somebody has that day is counted by pieces.
const mostPieces = 4;

/**
 * The minutes of each day, of all together and of whoever has to do it; and, where each does their work alone, the pieces that there is time for:
 * of work that takes a given time or longer, each has room for so many pieces and no part of another (Chvátal 1973).
 */
function minutesRows(question: PlanQuestion, columns: readonly PlacingColumn[]): MilpRow<RowTag>[] {
  const workDays = new WorkDays(question);
  return [...group(columns, ({ day }) => day)].flatMap(([day, here]) => {
    const hands = workDays.handsOn(day) ?? [];
    const minutes = (some: readonly PlacingColumn[], upper: number) =>
      row(
        'minutes',
        some.map((one) => [one.column, one.product.minutes] as const),
        { upper },
      );
    const lengths = [...new Set(here.map(({ product }) => product.minutes))].sort((a, b) => a - b);
    const overShare = hands.flatMap((one) =>
      Array.from({ length: mostPieces }, (_, k) => lengths.find((length) => length > one.minutes / (k + 1) + crumb)),
    );
    const pieces = [...new Set(overShare.flatMap((one) => one ?? []))].map((length) => {
      const terms = here.flatMap((one) =>
        one.product.minutes >= length ? [[one.column, piecesOf(one.product.minutes, length)] as const] : [],
      );
      return row('minutes', terms, { upper: sum(hands, (one) => piecesOf(one.minutes, length)) });
    });
    const named = hands.flatMap((one) => {
      const own = here.filter(({ round, by }) => (by ?? question.rounds[round]!.person) === one.id);
      return own.length > 0 ? [minutes(own, one.minutes)] : [];
    });
    return [minutes(here, workDays.minutesOn(day)), ...named, ...pieces];
  });
}
