import { daysBetween } from '../timing/index.js';
import type { TrapCatch } from './trapCatch.js';

/** Where a trap stood, from a day on; in order of day. */
export interface TrapPlace {
  readonly from: string;
  readonly name: string;
}

/** One reading: everything that is in the trap. */
export interface TrapReading {
  readonly checkedOn: string;
  readonly count: number;
  readonly emptied: boolean;
}

/** Days on which a trap was set aside; it still is when there is no last day. */
export interface TrapPause {
  readonly from: string;
  readonly until: string | null;
}

/**
 * What a trap caught between readings, by where it stood. A trap that was not emptied shows the old catch again: only what is more counts.
 * A reading on the day of the one before adds to it. Days at rest do not count.
 *
 * @param readings - in any order
 * @param pauses - that do not overlap
 * @returns in order of day; each for the spot at which the trap stood when it was read
 */
export function trapIntervals(
  places: readonly TrapPlace[],
  readings: readonly TrapReading[],
  pauses: readonly TrapPause[] = [],
): (TrapCatch & { readonly until: string })[] {
  const ordered = [...readings].sort((a, b) => a.checkedOn.localeCompare(b.checkedOn));
  const intervals: (TrapCatch & { readonly until: string })[] = [];
  let since = places[0]?.from;
  let carried = 0;
  for (const { checkedOn, count, emptied } of ordered) {
    const spot = places.findLast(({ from }) => from < checkedOn) ?? places[0];
    if (!spot || !since) continue;
    const days = daysBetween(since, checkedOn) - pausedDays(pauses, since, checkedOn);
    if (days > 0) intervals.push({ spot: spot.name, days, caught: Math.max(0, count - carried), until: checkedOn });
    carried = emptied ? 0 : count;
    since = checkedOn;
  }
  return intervals;
}

function pausedDays(pauses: readonly TrapPause[], from: string, until: string): number {
  return pauses.reduce((sum, rest) => {
    const first = rest.from > from ? rest.from : from;
    const last = rest.until && rest.until < until ? rest.until : until;
    return sum + Math.max(0, daysBetween(first, last));
  }, 0);
}

/** Catch in a week at the newest rate; none before the first reading. */
export function weeklyCatch(intervals: readonly TrapCatch[]): number | null {
  const last = intervals.at(-1);
  return last ? (7 * last.caught) / last.days : null;
}
