import { addDays } from './days.js';

/**
 * When a garden's season begins, where nobody has said otherwise: in the south half a year later, so that a summer is one season.
 *
 * @param latitude - degrees north; not known: north
 * @returns month and day, `MM-DD`
 */
export const usualSeasonStart = (latitude: number | null): string => ((latitude ?? 0) < 0 ? '07-01' : '01-01');

/**
 * The season that a day lies in, by its first and last day.
 *
 * @param start - month and day on which a season begins, `MM-DD`, up to the 28th
 * @throws RangeError for a malformed day
 * @example
 * seasonOf('2027-02-03', '07-01') // => { from: '2026-07-01', to: '2027-06-30' }
 */
export function seasonOf(day: string, start: string): { readonly from: string; readonly to: string } {
  const year = Number(day.slice(0, 4)) - (day.slice(5) < start ? 1 : 0);
  const first = (of: number) => `${String(of).padStart(4, '0')}-${start}`;
  return { from: first(year), to: addDays(first(year + 1), -1) };
}

/** The month of the northern hemisphere that a month's season is like: January in the south is like July. */
export const northernMonth = (month: number, hemisphere: 'north' | 'south' | undefined): number =>
  hemisphere === 'south' ? ((month + 5) % 12) + 1 : month;
