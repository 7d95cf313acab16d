import type { WeatherAnswer, WeatherSource } from '@field-nurse/contract';
import type { WeatherHour } from '@field-nurse/core/timing';
import { and, asc, count, desc, eq, gte, isNotNull, lt, max, min, sql } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import { gardens } from '../gardens/tables.js';
import { forecasts, weatherHours, weatherSources } from './tables.js';

type SourceRow = typeof weatherSources.$inferSelect;

const iso = (text: string) => new Date(text).toISOString();
const isoOrNull = (text: string | null) => (text === null ? null : iso(text));

/** Hours of a garden, one for each instant: a file goes before the station, the newest file before the older ones. */
export async function hoursBetween(db: Db, gardenId: string, from: string, to: string): Promise<WeatherHour[]> {
  const rows = await db
    .selectDistinctOn([weatherHours.at], {
      at: weatherHours.at,
      temperatureC: weatherHours.temperatureC,
      humidityPercent: weatherHours.humidityPercent,
      rainMm: weatherHours.rainMm,
      windKmh: weatherHours.windKmh,
      leafWetMinutes: weatherHours.leafWetMinutes,
    })
    .from(weatherHours)
    .innerJoin(weatherSources, and(eq(weatherSources.gardenId, weatherHours.gardenId), eq(weatherSources.id, weatherHours.sourceId)))
    .where(and(eq(weatherHours.gardenId, gardenId), eq(weatherSources.kept, true), gte(weatherHours.at, from), lt(weatherHours.at, to)))
    .orderBy(asc(weatherHours.at), asc(weatherSources.kind), desc(weatherSources.addedAt), asc(weatherSources.id));
  return rows.map((row) => ({ ...row, at: iso(row.at) }));
}

export async function newestForecast(db: Db, gardenId: string): Promise<WeatherAnswer['forecast']> {
  const [row] = await db.select().from(forecasts).where(eq(forecasts.gardenId, gardenId));
  return row ? { issuedAt: iso(row.issuedAt), hours: row.hours as WeatherHour[] } : null;
}

export async function keepForecast(db: Db, gardenId: string, issuedAt: string, hours: readonly WeatherHour[]): Promise<void> {
  const set = { issuedAt, hours };
  await db
    .insert(forecasts)
    .values({ gardenId, ...set })
    .onConflictDoUpdate({ target: forecasts.gardenId, set });
}

/** The sources with what each holds, newest first. */
export async function sourcesOf(db: Db, gardenId: string): Promise<WeatherSource[]> {
  const rows = await db
    .select({ source: weatherSources, hours: count(weatherHours.at), firstAt: min(weatherHours.at), lastAt: max(weatherHours.at) })
    .from(weatherSources)
    .leftJoin(weatherHours, and(eq(weatherHours.gardenId, weatherSources.gardenId), eq(weatherHours.sourceId, weatherSources.id)))
    .where(and(eq(weatherSources.gardenId, gardenId), eq(weatherSources.kept, true)))
    .groupBy(weatherSources.gardenId, weatherSources.id)
    .orderBy(desc(weatherSources.addedAt), asc(weatherSources.id));
  return rows.map(({ source, hours, firstAt, lastAt }) => ({
    id: source.id,
    kind: source.kind as WeatherSource['kind'],
    name: source.name,
    addedAt: iso(source.addedAt),
    hours,
    firstAt: isoOrNull(firstAt),
    lastAt: isoOrNull(lastAt),
  }));
}

/** The station that the garden is read from, as it was last found; none before the first reading. */
export async function stationOf(db: Db, gardenId: string): Promise<SourceRow | undefined> {
  const [row] = await db
    .select({ source: weatherSources })
    .from(weatherSources)
    .innerJoin(gardens, and(eq(gardens.id, weatherSources.gardenId), eq(gardens.weatherStation, weatherSources.station)))
    .where(eq(weatherSources.gardenId, gardenId));
  return row?.source;
}

export async function addSource(db: Db, source: typeof weatherSources.$inferInsert): Promise<void> {
  await db.insert(weatherSources).values(source).onConflictDoNothing();
}

/** What kind of source has this id; none where it is free. */
export async function sourceKind(db: Db, gardenId: string, id: string): Promise<string | undefined> {
  const [row] = await db
    .select({ kind: weatherSources.kind })
    .from(weatherSources)
    .where(and(eq(weatherSources.gardenId, gardenId), eq(weatherSources.id, id)));
  return row?.kind;
}

export const countFiles = (db: Db, gardenId: string): Promise<number> =>
  db.$count(weatherSources, and(eq(weatherSources.gardenId, gardenId), eq(weatherSources.kind, 'file')));

export async function noteReading(
  db: Db,
  { gardenId, id }: SourceRow,
  change: { readAt?: string; failedAt: string | null },
): Promise<void> {
  await db
    .update(weatherSources)
    .set(change)
    .where(and(eq(weatherSources.gardenId, gardenId), eq(weatherSources.id, id)));
}

export async function lastHourOf(db: Db, { gardenId, id }: SourceRow): Promise<string | null> {
  const [row] = await db
    .select({ last: max(weatherHours.at) })
    .from(weatherHours)
    .where(and(eq(weatherHours.gardenId, gardenId), eq(weatherHours.sourceId, id)));
  return isoOrNull(row?.last ?? null);
}

/** No instrument tells thousandths apart, and the columns hold no smaller number than 1e-38. */
const rounded = ({ at, ...values }: WeatherHour): WeatherHour => ({
  at,
  ...(Object.fromEntries(
    Object.entries(values).map(([name, value]) => [name, typeof value === 'number' ? Math.round(value * 1000) / 1000 : value]),
  ) as Omit<WeatherHour, 'at'>),
});

// PostgreSQL takes 65,535 parameters in one statement.
const rowsInStatement = 4000;

/** Keep hours of one source; an hour that comes again takes the place of what it was. */
export async function keepHours(db: Db, gardenId: string, sourceId: string, hours: readonly WeatherHour[]): Promise<void> {
  const newest = sql.raw;
  for (let i = 0; i < hours.length; i += rowsInStatement)
    await db
      .insert(weatherHours)
      .values(hours.slice(i, i + rowsInStatement).map((hour) => ({ ...rounded(hour), gardenId, sourceId })))
      .onConflictDoUpdate({
        target: [weatherHours.gardenId, weatherHours.at, weatherHours.sourceId],
        set: {
          temperatureC: newest('excluded.temperature_c'),
          humidityPercent: newest('excluded.humidity_percent'),
          rainMm: newest('excluded.rain_mm'),
          windKmh: newest('excluded.wind_kmh'),
          leafWetMinutes: newest('excluded.leaf_wet_minutes'),
        },
      });
}

/** Take a file out, or put it back. @returns false where there is no such file */
export async function keepFile(db: Db, gardenId: string, id: string, kept: boolean): Promise<boolean> {
  const changed = await db
    .update(weatherSources)
    .set({ kept })
    .where(and(eq(weatherSources.gardenId, gardenId), eq(weatherSources.id, id), eq(weatherSources.kind, 'file')))
    .returning({ id: weatherSources.id });
  return changed.length > 0;
}

export async function gardensWithStation(db: Db): Promise<string[]> {
  const rows = await db.select({ id: gardens.id }).from(gardens).where(isNotNull(gardens.weatherStation));
  return rows.map(({ id }) => id);
}
