import { Temporal } from 'temporal-polyfill';
import { hourMs } from './weatherHour.js';
import type { WeatherHour } from './weatherHour.js';

/** What an hour must be like to spray in. */
export interface SprayLimits {
  /** no rain for so long after it */
  readonly dryAfterHours: number;
  readonly maxWindKmh: number;
  readonly minC: number;
  readonly maxC: number;
}

/**
 * Limits that many labels share, for planning only: the label in the hand goes before them. Wind: a light breeze, Beaufort 3 or less, carries drift;
 * soaps, oils and sulphur burn above the high twenties; most films are fast after some hours.
 */
export const usualSprayLimits: SprayLimits = { dryAfterHours: 4, maxWindKmh: 15, minC: 8, maxC: 26 };

/** A stretch of hours that fits. */
export interface SprayWindow {
  readonly from: string;
  readonly until: string;
}

// People work by daylight.
const [firstHour, lastHour] = [5, 21];
// In less, nobody mixes, sprays and cleans up.
const leastHours = 2;

/**
 * Stretches in which the forecast allows to spray: dry then and for some hours after, little wind, neither cold nor hot, between five and nine o'clock
 * by the garden's clock, for two hours or more. An hour of which rain, wind or temperature is not known is no window.
 *
 * @param hours - one for each instant, in any order
 */
export function sprayWindows(hours: readonly WeatherHour[], timeZone: string, limits: SprayLimits = usualSprayLimits): SprayWindow[] {
  const byInstant = new Map(hours.map((hour) => [Date.parse(hour.at), hour]));
  const fits = (at: number): boolean => {
    const hour = byInstant.get(at);
    if (!hour || hour.temperatureC === null || hour.windKmh === null) return false;
    if (hour.windKmh > limits.maxWindKmh || hour.temperatureC < limits.minC || hour.temperatureC > limits.maxC) return false;
    const clock = Temporal.Instant.fromEpochMilliseconds(at).toZonedDateTimeISO(timeZone).hour;
    if (clock < firstHour || clock >= lastHour) return false;
    for (let later = 0; later <= limits.dryAfterHours; later++) if (byInstant.get(at + later * hourMs)?.rainMm !== 0) return false;
    return true;
  };
  const windows: { from: number; until: number }[] = [];
  for (const at of [...byInstant.keys()].sort((a, b) => a - b)) {
    if (!fits(at)) continue;
    const last = windows.at(-1);
    if (last?.until === at) last.until = at + hourMs;
    else windows.push({ from: at, until: at + hourMs });
  }
  const long = windows.filter(({ from, until }) => until - from >= leastHours * hourMs);
  return long.map(({ from, until }) => ({ from: new Date(from).toISOString(), until: new Date(until).toISOString() }));
}
