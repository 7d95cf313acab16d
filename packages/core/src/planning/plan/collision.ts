import { closedSlots, countedFor, slotOf, takenFrom } from './placing.js';
import type { Placing } from './placing.js';
import type { Counts, PlanLine, PlanQuestion } from './planQuestion.js';
import { shareOut, WorkDays, workOf } from './workDays.js';

/** Rounds that can't all be done as they are placed, as few as collide. */
export interface Collision {
  readonly rounds: readonly number[];
  /** the day that is too short for them, where that is why */
  readonly shortDay?: number;
}

const crumb = 1e-9;

/** The collisions among rounds that were placed without regard to each other; none: all of them can be done so. */
export const collisionsAmong = (question: PlanQuestion, placed: readonly Placing[], counts: Counts): Collision[] =>
  limitsOn(question, placed).flatMap(({ line, all, isAllowed, shortDay }) => {
    if (!counts(line) || isAllowed(all)) return [];
    const fewest = all.reduce((kept, one) => {
      const without = kept.filter((other) => other !== one);
      return isAllowed(without) ? kept : without;
    }, all);
    return [{ rounds: fewest.map(({ round }) => round), ...(shortDay !== undefined && { shortDay }) }];
  });

/** Something that placings share, and how much of it is allowed: whatever is allowed to some of them is allowed to fewer. */
interface Limit {
  readonly line: PlanLine;
  readonly all: readonly Placing[];
  readonly isAllowed: (some: readonly Placing[]) => boolean;
  readonly shortDay?: number;
}

function limitsOn(question: PlanQuestion, placed: readonly Placing[]): Limit[] {
  const { rules, rounds } = question;
  const workDays = new WorkDays(question);
  const days = [...new Set(placed.map(({ day }) => day))].map((day): Limit => {
    const hands = workDays.handsOn(day);
    return {
      line: 'minutes',
      all: placed.filter((one) => one.day === day),
      isAllowed: (some) => {
        const work = workOf(question, some);
        return (
          sumOf(work.map(({ minutes }) => minutes)) <= workDays.minutesOn(day) + crumb && (!hands || shareOut(work, hands) !== undefined)
        );
      },
      shortDay: day,
    };
  });
  const stock = Object.entries(rules.stock ?? {}).map(([pack, left]): Limit => ({
    line: 'stock',
    all: placed.filter(({ product }) => takenFrom(product) === pack),
    isAllowed: (some) => sumOf(some.map(({ product }) => product.amount ?? 0)) <= left + crumb,
  }));
  const done = (kind: string) => (rules.done ?? []).filter(({ product }) => product === kind).length;
  const season = Object.entries(rules.seasonMax ?? {}).map(([kind, most]): Limit => ({
    line: 'season-max',
    all: placed.filter(({ product }) => countedFor(product) === kind),
    isAllowed: (some) => some.length <= Math.max(0, most - done(kind)),
  }));
  const pairs = placed.flatMap((one, i) =>
    placed.slice(i + 1).flatMap((other): Limit[] => [
      { line: 're-entry', all: [one, other], isAllowed: (some) => some.length < 2 || !isShut(rounds, one, other) },
      { line: 'apart', all: [one, other], isAllowed: (some) => some.length < 2 || !isTooNear(one, other) },
    ]),
  );
  return [...days, ...stock, ...season, ...pairs];
}

const sumOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0);

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
