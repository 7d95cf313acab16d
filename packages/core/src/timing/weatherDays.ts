import { Temporal } from 'temporal-polyfill';
import { addDays, daysBetween } from './days.js';
import { hourMs, leafWetMinutes } from './weatherHour.js';
import type { WeatherHour } from './weatherHour.js';

/** One day of weather on the garden's calendar. */
export interface WeatherDay {
  readonly day: string;
  readonly minC: number | null;
  readonly maxC: number | null;
  /** of the hours that are known: with hours missing, it rained at least this much */
  readonly rainMm: number | null;
  readonly wetHours: number | null;
  readonly maxWindKmh: number | null;
  /** hours of which nothing is known */
  readonly missing: number;
}

/**
 * Hours of weather, by day on the garden's calendar. Hours that nobody measured are counted as missing and left out.
 *
 * @param hours - one for each instant, in any order; those outside of the days are ignored
 * @param from - first day, to - last day, inclusive
 * @returns a row for every day; a day on which the clocks change has 23 or 25 hours
 * @throws RangeError if `to` is before `from`
 */
export function weatherDays(hours: readonly WeatherHour[], timeZone: string, from: string, to: string): WeatherDay[] {
  const count = daysBetween(from, to);
  if (count < 0) throw new RangeError(`weatherDays requires to ≥ from, got from=${from} and to=${to}`);
  const byInstant = new Map(hours.map((hour) => [Date.parse(hour.at), hour]));
  return Array.from({ length: count + 1 }, (_, i) => {
    const day = addDays(from, i);
    const own: WeatherHour[] = [];
    let expected = 0;
    // Hours begin on the full hour in UTC; where the zone is off by half an hour, each belongs to the day in which it begins.
    const first = Math.ceil(startOf(day, timeZone) / hourMs) * hourMs;
    for (let at = first; at < startOf(addDays(day, 1), timeZone); at += hourMs) {
      const hour = byInstant.get(at);
      expected++;
      if (hour && isKnown(hour)) own.push(hour);
    }
    return summary(day, own, expected - own.length);
  });
}

const isKnown = ({ temperatureC, humidityPercent, rainMm, windKmh, leafWetMinutes: wet }: WeatherHour) =>
  [temperatureC, humidityPercent, rainMm, windKmh, wet].some((value) => value !== null);

function startOf(day: string, timeZone: string): number {
  return Temporal.PlainDate.from(day).toZonedDateTime({ timeZone }).epochMilliseconds;
}

function summary(day: string, hours: readonly WeatherHour[], missing: number): WeatherDay {
  const known = (pick: (hour: WeatherHour) => number | null) => hours.flatMap((hour) => pick(hour) ?? []);
  const temperatures = known(({ temperatureC }) => temperatureC);
  const rain = known(({ rainMm }) => rainMm);
  const wet = known(leafWetMinutes);
  const wind = known(({ windKmh }) => windKmh);
  const over = (values: readonly number[], fold: (values: readonly number[]) => number) => (values.length > 0 ? fold(values) : null);
  const sum = (values: readonly number[]) => values.reduce((so, value) => so + value, 0);
  return {
    day,
    minC: over(temperatures, (values) => Math.min(...values)),
    maxC: over(temperatures, (values) => Math.max(...values)),
    rainMm: over(rain, sum),
    wetHours: over(wet, (values) => sum(values) / 60),
    maxWindKmh: over(wind, (values) => Math.max(...values)),
    missing,
  };
}
