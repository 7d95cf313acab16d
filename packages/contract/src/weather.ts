import { z } from 'zod';
import { day, id, instant, shortText } from './words.js';

/** One hour of weather; what nobody measured is null and stays so. */
export const weatherHour = z.strictObject({
  at: instant.refine((text) => Date.parse(text) % 3_600_000 === 0, { error: 'an hour begins on the full hour, in UTC' }),
  temperatureC: z.number().min(-60).max(60).nullable().default(null),
  humidityPercent: z.number().min(0).max(100).nullable().default(null),
  rainMm: z.number().min(0).max(300).nullable().default(null),
  windKmh: z.number().min(0).max(400).nullable().default(null),
  leafWetMinutes: z.number().min(0).max(60).nullable().default(null),
});

/** Where hours of weather came from: the station, or a file that somebody gave. */
export const weatherSource = z.object({
  id,
  kind: z.enum(['station', 'file']),
  name: z.string(),
  addedAt: instant,
  hours: z.int(),
  firstAt: instant.nullable(),
  lastAt: instant.nullable(),
});

/** How the last reading of the station went. */
export const stationState = z.object({
  name: z.string(),
  simulated: z.boolean(),
  readAt: instant.nullable(),
  failedAt: instant.nullable(),
});

export const weatherQuery = z.strictObject({ from: instant, to: instant });
export const weatherAnswer = z.object({
  hours: z.array(weatherHour),
  forecast: z.object({ issuedAt: instant, hours: z.array(weatherHour) }).nullable(),
  station: stationState.nullable(),
});

/** A day of the garden's calendar, from the hours that are known; null is what nobody measured. */
export const weatherDay = z.object({
  day,
  minC: z.number().nullable(),
  maxC: z.number().nullable(),
  /** with hours missing, it rained at least this much */
  rainMm: z.number().nullable(),
  /** hours in which leaves were wet */
  wetHours: z.number().nullable(),
  maxWindKmh: z.number().nullable(),
  /** hours of which nothing is known */
  missing: z.int(),
});

export const weatherDaysQuery = z.strictObject({ from: day, to: day });

export const mostHoursInFile = 2000;
export const weatherFileRequest = z.strictObject({
  id,
  name: shortText,
  hours: z.array(weatherHour).min(1).max(mostHoursInFile),
});

export type WeatherSource = z.infer<typeof weatherSource>;
export type StationState = z.infer<typeof stationState>;
export type WeatherAnswer = z.infer<typeof weatherAnswer>;
