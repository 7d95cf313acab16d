import { hourMs, leafWetMinutes } from './weatherHour.js';
import type { WeatherHour } from './weatherHour.js';

const lookBackHours = 72;
// With less than half of the hours known, nothing is said of the rest.
const leastKnown = lookBackHours / 2;

/**
 * Weather of the last three days as far as it hastens trouble: hours with wet leaves, and the highest temperature.
 *
 * @param now - instant, ISO 8601
 * @returns `null` when fewer than half of the hours are known; missing hours are counted as dry, so the figure is "at least"
 */
export function recentWeather(hours: readonly WeatherHour[], now: string): { readonly wetHours: number; readonly maxC: number } | null {
  const end = Date.parse(now);
  const own = hours.filter(({ at }) => Date.parse(at) < end && Date.parse(at) >= end - lookBackHours * hourMs);
  const temperatures = own.flatMap(({ temperatureC }) => temperatureC ?? []);
  if (temperatures.length < leastKnown) return null;
  return {
    wetHours: own.reduce((sum, hour) => sum + (leafWetMinutes(hour) ?? 0), 0) / 60,
    maxC: Math.max(...temperatures),
  };
}
