import { Temporal } from 'temporal-polyfill';

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
  return (midnight(to) - midnight(from)) / dayMs;
}

/** The calendar day so many days later (or earlier, below zero). */
export function addDays(day: string, days: number): string {
  return new Date(midnight(day) + days * dayMs).toISOString().slice(0, 10);
}

const dayMs = 86_400_000;

/** A calendar day has no clock: in UTC each is as long as any other. By arithmetic alone, since years of days are counted in one answer. */
function midnight(day: string): number {
  const ms = Date.UTC(Number(day.slice(0, 4)), Number(day.slice(5, 7)) - 1, Number(day.slice(8, 10)));
  if (Number.isNaN(ms)) throw new RangeError(`A day is written YYYY-MM-DD, and not “${day}”.`);
  return ms;
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
