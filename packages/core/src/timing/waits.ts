import { Temporal } from 'temporal-polyfill';

/** What must be waited for after an application. */
export interface Intervals {
  /** nobody without protection enters before this instant, ISO 8601 in UTC */
  readonly reEntryAt: string;
  /** first day on which the crop may be picked, in the garden's calendar; `null` for plants that are not eaten */
  readonly harvestSafeOn: string | null;
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
 * // => { reEntryAt: '2026-07-19T07:00:00Z', harvestSafeOn: '2026-07-19', repeatFrom: null }
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
    harvestSafeOn: eaten ? day.add({ days: limits.preHarvestDays }).toString() : null,
    repeatFrom: interval === undefined ? null : day.add({ days: interval }).toString(),
  };
}

/**
 * The garden's calendar day at an instant.
 *
 * @throws RangeError for a malformed instant or an unknown time zone
 */
export function dayAt(instant: string, timeZone: string): string {
  return Temporal.Instant.from(instant).toZonedDateTimeISO(timeZone).toPlainDate().toString();
}

/**
 * Whole days from one calendar day to another; below zero when it is past.
 *
 * @example
 * daysBetween('2026-07-18', '2026-07-21') // => 3
 */
export function daysBetween(from: string, to: string): number {
  return Temporal.PlainDate.from(from).until(Temporal.PlainDate.from(to), { largestUnit: 'days' }).days;
}

/** The calendar day so many days later (or earlier, below zero). */
export function addDays(day: string, days: number): string {
  return Temporal.PlainDate.from(day).add({ days }).toString();
}

/**
 * The garden's clock at an instant, to the minute, in the form that a date-and-time field holds.
 *
 * @example
 * clockAt('2026-07-18T19:00:00Z', 'Europe/London') // => '2026-07-18T20:00'
 */
export function clockAt(instant: string, timeZone: string): string {
  return Temporal.Instant.from(instant).toZonedDateTimeISO(timeZone).toPlainDateTime().toString({ smallestUnit: 'minute' });
}

/**
 * The instant at which the garden's clock shows a time; the earlier one where clocks are put back, the later where the hour is skipped.
 *
 * @param clock - `YYYY-MM-DDTHH:MM`
 * @throws RangeError for a malformed time or an unknown time zone
 * @example
 * instantOf('2026-07-18T20:00', 'Europe/London') // => '2026-07-18T19:00:00Z'
 */
export function instantOf(clock: string, timeZone: string): string {
  return Temporal.PlainDateTime.from(clock).toZonedDateTime(timeZone).toInstant().toString();
}
