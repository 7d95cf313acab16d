import { group, sum } from 'd3-array';
import { closedSlots, countedFor, slotOf, takenFrom } from './placing.js';
import type { Placing } from './placing.js';
import type { Counts, PlanQuestion } from './planQuestion.js';
import { crumb, shareOut, WorkDays, workOf } from './workDays.js';

/** Whether rounds that were placed without regard to each other want more of something than there is, or the same place at once. */
export const collide = (question: PlanQuestion, placed: readonly Placing[], counts: Counts): boolean =>
  (counts('minutes') && isADayTooShort(question, placed)) ||
  (counts('stock') && isStockShort(question, placed)) ||
  (counts('season-max') && isTooOften(question, placed)) ||
  placed.some((one, i) =>
    placed
      .slice(i + 1)
      .some((other) => (counts('re-entry') && isShut(question.rounds, one, other)) || (counts('apart') && isTooNear(one, other))),
  );

function isADayTooShort(question: PlanQuestion, placed: readonly Placing[]): boolean {
  const workDays = new WorkDays(question);
  return [...group(placed, ({ day }) => day)].some(([day, all]) => {
    const work = workOf(question, all);
    const hands = workDays.handsOn(day);
    return sum(work, ({ minutes }) => minutes) > workDays.minutesOn(day) + crumb || (hands && !shareOut(work, hands));
  });
}

const isStockShort = ({ rules }: PlanQuestion, placed: readonly Placing[]) =>
  Object.entries(rules.stock ?? {}).some(
    ([pack, left]) => sum(placed, ({ product }) => (takenFrom(product) === pack ? product.amount : 0)) > left + crumb,
  );

const isTooOften = ({ rules }: PlanQuestion, placed: readonly Placing[]) =>
  Object.entries(rules.seasonMax ?? {}).some(([kind, most]) => {
    const done = (rules.done ?? []).filter(({ product }) => product === kind).length;
    return placed.filter(({ product }) => countedFor(product) === kind).length > Math.max(0, most - done);
  });

/** Whether one is done in a place while the other keeps it closed. */
export function isShut(rounds: PlanQuestion['rounds'], one: Placing, other: Placing): boolean {
  const place = rounds[one.round]!.place;
  if (place === undefined || place !== rounds[other.round]!.place) return false;
  const shutBy = (first: Placing, then: Placing) =>
    slotOf(then) >= slotOf(first) && slotOf(then) < slotOf(first) + closedSlots(first.product);
  return shutBy(one, other) || shutBy(other, one);
}

/** Whether one comes within the days that the other has to be kept apart from it. */
export function isTooNear(one: Placing, other: Placing): boolean {
  const asks = (first: Placing, then: Placing) =>
    first.product.apart?.some(({ from, days }) => from === then.product.id && Math.abs(first.day - then.day) < days) ?? false;
  return asks(one, other) || asks(other, one);
}
