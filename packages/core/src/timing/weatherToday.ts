import { hourMs } from './weatherHour.js';
import type { WeatherHour } from './weatherHour.js';

/** The weather around one instant, as far as it decides what may be done; what is not known is `null`. */
export interface WeatherToday {
  readonly temperatureC: number | null;
  /** of the coming day */
  readonly warmestC: number | null;
  readonly windKmh: number | null;
  /** hours until rain is forecast, within two days */
  readonly rainInHours: number | null;
  /** days until frost is forecast */
  readonly daysToFrost: number | null;
}

const dayHours = 24;
const rainHours = 48;
// The last hour that a station gave may be some hours old.
const freshHours = 3;
const rainFromMm = 0.2;

/**
 * What hours that were measured and hours that are forecast say of today.
 *
 * @param measured - up to now, in any order
 * @param forecast - from now on, in any order
 * @param now - instant, ISO 8601
 */
export function weatherToday(measured: readonly WeatherHour[], forecast: readonly WeatherHour[], now: string): WeatherToday {
  const start = Date.parse(now);
  const hoursFrom = ({ at }: WeatherHour) => (Date.parse(at) - start) / hourMs;
  const coming = forecast.filter((hour) => hoursFrom(hour) >= 0).sort((a, b) => hoursFrom(a) - hoursFrom(b));
  const newest = measured
    .filter((hour) => hoursFrom(hour) <= 0 && hoursFrom(hour) >= -freshHours)
    .sort((a, b) => hoursFrom(b) - hoursFrom(a))[0];
  const current = newest ?? coming[0];
  const warmest = coming.filter((hour) => hoursFrom(hour) < dayHours).flatMap(({ temperatureC }) => temperatureC ?? []);
  const rain = coming.find((hour) => hoursFrom(hour) < rainHours && (hour.rainMm ?? 0) >= rainFromMm);
  const frost = coming.find(({ temperatureC }) => temperatureC !== null && temperatureC <= 0);
  return {
    temperatureC: current?.temperatureC ?? null,
    warmestC: warmest.length > 0 ? Math.max(...warmest) : null,
    windKmh: current?.windKmh ?? null,
    rainInHours: rain ? Math.round(hoursFrom(rain)) : null,
    daysToFrost: frost ? Math.floor(hoursFrom(frost) / dayHours) : null,
  };
}
