/** One hour of weather; what nobody measured is null, and is never filled in. */
export interface WeatherHour {
  /** begin of the hour, ISO 8601 in UTC */
  readonly at: string;
  readonly temperatureC: number | null;
  readonly humidityPercent: number | null;
  readonly rainMm: number | null;
  readonly windKmh: number | null;
  /** minutes of the hour with wet leaves, from a sensor */
  readonly leafWetMinutes: number | null;
}

export const hourMs = 3_600_000;

// Sentelhas et al. (2008), Agric. For. Meteorol. 148:392–400: 90 % is the usual level where no sensor is at hand.
const wetHumidityPercent = 90;

/**
 * Minutes of an hour with wet leaves: from the sensor; without one, wet when it rained or the air held 90 % or more.
 *
 * @returns 0 to 60; `null` when neither sensor, rain nor humidity is known
 */
export function leafWetMinutes({ leafWetMinutes: sensed, rainMm, humidityPercent }: WeatherHour): number | null {
  if (sensed !== null) return sensed;
  if (rainMm === null && humidityPercent === null) return null;
  return (rainMm ?? 0) > 0 || (humidityPercent ?? 0) >= wetHumidityPercent ? 60 : 0;
}
