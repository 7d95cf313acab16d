import { Temporal } from 'temporal-polyfill';

/** What must be waited for after an application. */
export interface Intervals {
  /** nobody without protection enters before this instant, ISO 8601 in UTC */
  readonly reEntryAt: string;
  /** first day on which the crop may be picked by the card, in the garden's calendar; `null` for plants that are not eaten */
  readonly notPickedBefore: string | null;
  /** first day on which the same product may be used again; `null` where no interval is known */
  readonly repeatFrom: string | null;
}

/**
 * Re-entry, harvest and repeat times that follow from one application.
 *
 * Days are counted on the garden's calendar: applied on the 1st with three days to harvest, picking is safe on the 4th.
 *
 * @param appliedAt - instant, ISO 8601 with offset
 * @param timeZone - IANA name
 * @throws RangeError for a malformed instant or an unknown time zone
 * @example
 * intervalsAfter('2026-07-18T19:00:00Z', 'Europe/London', { reEntryHours: 12, preHarvestDays: 1 }, true)
 * // => { reEntryAt: '2026-07-19T07:00:00Z', notPickedBefore: '2026-07-19', repeatFrom: null }
 */
export function intervalsAfter(
  appliedAt: string,
  timeZone: string,
  limits: { readonly reEntryHours: number; readonly preHarvestDays: number; readonly repeatDays?: readonly number[] | undefined },
  eaten: boolean,
): Intervals {
  const instant = Temporal.Instant.from(appliedAt);
  const day = instant.toZonedDateTimeISO(timeZone).toPlainDate();
  const interval = limits.repeatDays?.[0];
  return {
    reEntryAt: instant.add({ hours: limits.reEntryHours }).toString(),
    notPickedBefore: eaten ? day.add({ days: limits.preHarvestDays }).toString() : null,
    repeatFrom: interval === undefined ? null : day.add({ days: interval }).toString(),
  };
}
