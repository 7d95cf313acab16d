import { addDays, daysBetween } from '../timing/index.js';

/** How a new arrival is held apart. */
export interface Quarantine {
  readonly from: string;
  readonly days: number;
  /** clean looks that are wanted */
  readonly looks: number;
  readonly releasedOn: string | null;
}

export interface QuarantineState {
  /** clean looks in a row, one a day at most, since it came or since something was found */
  readonly cleanLooks: number;
  readonly looksLeft: number;
  /** first day on which it may join the others, if the looks are done */
  readonly until: string;
  readonly nextLookOn: string | null;
  readonly mayRelease: boolean;
}

/**
 * How far a quarantine has come. A find starts both the looks and the days anew: what hatches later must be given its time.
 *
 * Looks are spread evenly over the days, the last on the last day.
 *
 * @param looks - in any order; those before it came do not count
 */
export function quarantineState(
  quarantine: Quarantine,
  looks: readonly { readonly on: string; readonly clean: boolean }[],
  today: string,
): QuarantineState {
  const own = looks.filter(({ on }) => on >= quarantine.from && on <= today).sort((a, b) => a.on.localeCompare(b.on));
  const lastFind = own.findLast(({ clean }) => !clean)?.on;
  const from = lastFind ?? quarantine.from;
  const cleanLooks = new Set(own.filter(({ on, clean }) => clean && (!lastFind || on > lastFind)).map(({ on }) => on)).size;
  const looksLeft = Math.max(0, quarantine.looks - cleanLooks);
  const until = addDays(from, quarantine.days);
  const planned = addDays(from, Math.round((quarantine.days * (cleanLooks + 1)) / quarantine.looks));
  return {
    cleanLooks,
    looksLeft,
    until,
    nextLookOn: quarantine.releasedOn || looksLeft === 0 ? null : planned,
    mayRelease: !quarantine.releasedOn && looksLeft === 0 && daysBetween(until, today) >= 0,
  };
}
