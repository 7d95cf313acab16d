import { addDays, daysBetween } from '@field-nurse/core/timing';
import type { Span } from './strips';

/** Where days lie on a chart, and back; months in which nothing happened are narrower. */
export interface TimeScale {
  readonly span: Span;
  /** pixels from the left at a zoom of one */
  readonly x: (day: string) => number;
  readonly dayAt: (x: number) => string;
  readonly months: readonly { readonly from: string; readonly x: number; readonly width: number; readonly isNarrow: boolean }[];
}

// A month without anything takes so much of the room of another.
const narrow = 0.3;

/** @param eventful - months, as YYYY-MM, that are as wide as they are long */
export function timeScale(span: Span, eventful: ReadonlySet<string>, width: number): TimeScale {
  const months: { from: string; days: number; weight: number }[] = [];
  for (let from = `${span.from.slice(0, 7)}-01`; from <= span.to;) {
    const next = `${addDays(from, 32).slice(0, 7)}-01`;
    const days = daysBetween(from, next);
    months.push({ from, days, weight: days * (eventful.has(from.slice(0, 7)) ? 1 : narrow) });
    from = next;
  }
  const total = months.reduce((sum, { weight }) => sum + weight, 0);
  let at = 0;
  const placed = months.map(({ from, days, weight }) => {
    const own = (weight / total) * width;
    const month = { from, days, x: at, width: own, isNarrow: weight < days };
    at += own;
    return month;
  });
  const byMonth = new Map(placed.map((month) => [month.from.slice(0, 7), month]));
  const [first, last] = [placed[0]!, placed.at(-1)!];
  return {
    span,
    months: placed,
    x: (day) => {
      const month = byMonth.get(day.slice(0, 7));
      if (!month) return day < first.from ? 0 : width;
      return month.x + (month.width * (Number(day.slice(8)) - 1)) / month.days;
    },
    dayAt: (x) => {
      const month = placed.findLast((one) => one.x <= x) ?? first;
      const days = Math.floor(((x - month.x) / month.width) * month.days);
      const end = addDays(last.from, last.days - 1);
      const day = addDays(month.from, Math.max(0, days));
      return day > end ? end : day;
    },
  };
}
