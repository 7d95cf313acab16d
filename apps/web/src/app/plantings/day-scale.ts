import { scaleUtc, utcMonths } from 'd3';
import type { Span } from './strips';

const dateOf = (day: string) => new Date(`${day}T00:00:00Z`);

/** Days of a span on a line of so many pixels. */
export function dayScale({ from, to }: Span, width: number): (day: string) => number {
  const scale = scaleUtc([dateOf(from), dateOf(to)], [0, width]);
  return (day) => scale(dateOf(day));
}

/** First days of the months within a span. */
export const monthStarts = ({ from, to }: Span): string[] =>
  utcMonths(dateOf(from), new Date(dateOf(to).getTime() + 1)).map((date) => date.toISOString().slice(0, 10));

const letterOnly = new Intl.DateTimeFormat('en-GB', { month: 'narrow', timeZone: 'UTC' });
const shortName = new Intl.DateTimeFormat('en-GB', { month: 'short', timeZone: 'UTC' });
const roomForNames = 420;

/** "Jul"; its first letter alone on a chart too narrow for names. */
export const monthWord = (day: string, chartWidth: number): string =>
  (chartWidth < roomForNames ? letterOnly : shortName).format(dateOf(day));
