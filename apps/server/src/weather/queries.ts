import type { StationState, WeatherAnswer, WeatherSource } from '@field-nurse/contract';
import type { WeatherHour } from '@field-nurse/core/timing';
import { and, desc, eq, isNotNull, max, sql } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import { gardens } from '../gardens/tables.js';
import { forgetDays } from './forgetDays.js';
import { stationForecasts, stationHours, weatherHours, weatherSources, weatherStations } from './tables.js';

const iso = (text: string) => new Date(text).toISOString();
const isoOrNull = (text: string | null) => (text === null ? null : iso(text));

/** No hour and no forecast of after this: a garden's clock may stand still while its station goes on. */
const gardensEnd = sql`coalesce(${gardens.fixedNow}, 'infinity'::timestamptz)`;
const hourColumns = ['temperature_c', 'humidity_percent', 'rain_mm', 'wind_kmh', 'leaf_wet_minutes'];
const columnsOf = (table: string) => sql.raw(hourColumns.map((name) => `${table}.${name}`).join(', '));

/** Hours of a garden, one for each instant: a file goes before the stations, the newest before the older ones. @param to - instant that they end before */
export async function hoursBetween(db: Db, gardenId: string, from: string, to: string): Promise<WeatherHour[]> {
  const { rows } = await db.execute<{ at: string } & Record<string, number | null>>(sql`
    select distinct on (at) at, ${columnsOf('one')} from (
      select h.at, ${columnsOf('h')}, 0 as place, s.added_at, s.id
        from ${weatherHours} h join ${weatherSources} s on s.garden_id = h.garden_id and s.id = h.source_id
        where h.garden_id = ${gardenId} and s.kept and h.at >= ${from} and h.at < ${to}
      union all
      select h.at, ${columnsOf('h')}, 1, s.added_at, s.id
        from ${weatherSources} s join ${gardens} on ${gardens.id} = s.garden_id join ${stationHours} h on h.station = s.station
        where s.garden_id = ${gardenId} and h.at >= ${from} and h.at < ${to} and h.at < ${gardensEnd}
    ) one order by at, place, added_at desc, id`);
  return rows.map((row) => ({
    at: iso(row.at),
    temperatureC: row['temperature_c']!,
    humidityPercent: row['humidity_percent']!,
    rainMm: row['rain_mm']!,
    windKmh: row['wind_kmh']!,
    leafWetMinutes: row['leaf_wet_minutes']!,
  }));
}

/** Begin of the first hour of which the garden has weather. */
export async function firstHour(db: Db, gardenId: string): Promise<string | null> {
  const { rows } = await db.execute<{ first: string | null }>(sql`
    select least(
      (select min(h.at) from ${weatherSources} s join ${weatherHours} h on h.garden_id = s.garden_id and h.source_id = s.id
        where s.garden_id = ${gardenId} and s.kept),
      (select min(h.at) from ${weatherSources} s join ${stationHours} h on h.station = s.station where s.garden_id = ${gardenId})) as first`);
  return isoOrNull(rows[0]!.first);
}

/** The newest forecast that was issued for the garden's station by the garden's now. */
export async function newestForecast(db: Db, gardenId: string): Promise<WeatherAnswer['forecast']> {
  const [row] = await db
    .select({ issuedAt: stationForecasts.issuedAt, hours: stationForecasts.hours })
    .from(stationForecasts)
    .innerJoin(gardens, eq(gardens.weatherStation, stationForecasts.station))
    .where(and(eq(gardens.id, gardenId), sql`${stationForecasts.issuedAt} <= ${gardensEnd}`))
    .orderBy(desc(stationForecasts.issuedAt))
    .limit(1);
  return row ? { issuedAt: iso(row.issuedAt), hours: row.hours as WeatherHour[] } : null;
}

export async function keepForecast(db: Db, station: string, issuedAt: string, hours: readonly WeatherHour[]): Promise<void> {
  await db
    .insert(stationForecasts)
    .values({ station, issuedAt, hours })
    .onConflictDoUpdate({ target: [stationForecasts.station, stationForecasts.issuedAt], set: { hours } });
}

/** The sources with what each holds, newest first. */
export async function sourcesOf(db: Db, gardenId: string): Promise<WeatherSource[]> {
  const { rows } = await db.execute<{
    id: string;
    kind: WeatherSource['kind'];
    name: string;
    added_at: string;
    hours: number;
    first_at: string | null;
    last_at: string | null;
  }>(sql`
    select s.id, s.kind, coalesce(s.name, t.name) as name, s.added_at, held.*
    from ${weatherSources} s join ${gardens} on ${gardens.id} = s.garden_id left join ${weatherStations} t on t.id = s.station, lateral (
      select count(*)::int as hours, min(at) as first_at, max(at) as last_at from (
        select at from ${weatherHours} where garden_id = s.garden_id and source_id = s.id
        union all select at from ${stationHours} where station = s.station and at < ${gardensEnd}) own) held
    where s.garden_id = ${gardenId} and s.kept order by s.added_at desc, s.id`);
  return rows.map(({ id, kind, name, added_at, hours, first_at, last_at }) => ({
    id,
    kind,
    name,
    addedAt: iso(added_at),
    hours,
    firstAt: isoOrNull(first_at),
    lastAt: isoOrNull(last_at),
  }));
}

/** The station that the garden is read from, as it was last found; none before the first reading. */
export async function stationOf(db: Db, gardenId: string): Promise<StationState | null> {
  const [row] = await db
    .select({ station: weatherStations, fixedNow: gardens.fixedNow })
    .from(weatherStations)
    .innerJoin(gardens, eq(gardens.weatherStation, weatherStations.id))
    .where(eq(gardens.id, gardenId));
  if (!row) return null;
  const { name, simulated, readAt, failedAt } = row.station;
  // Where the garden's clock stands still, it is read at the garden's now.
  const told = (at: string | null) => (at && row.fixedNow && row.fixedNow < new Date(at) ? row.fixedNow.toISOString() : isoOrNull(at));
  return { name, simulated, readAt: told(readAt), failedAt: told(failedAt) };
}

export async function addFile(db: Db, file: { gardenId: string; id: string; name: string; addedAt: string }): Promise<void> {
  await db
    .insert(weatherSources)
    .values({ ...file, kind: 'file' })
    .onConflictDoNothing();
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

type StationRow = typeof weatherStations.$inferSelect;

/** A station as it was last read; none before the first reading. */
export async function stationRow(db: Db, id: string): Promise<StationRow | undefined> {
  const [row] = await db.select().from(weatherStations).where(eq(weatherStations.id, id));
  return row;
}

export async function addStation(db: Db, station: Pick<StationRow, 'id' | 'name' | 'simulated'>): Promise<void> {
  await db.insert(weatherStations).values(station).onConflictDoNothing();
}

/** From now on the station is a source of every garden that goes by it, and stays one when they choose another. */
export async function becomeSource(db: Db, station: string, now: Date): Promise<void> {
  const { rowCount } = await db.execute(sql`
    insert into ${weatherSources} (garden_id, id, kind, station, added_at)
    select ${gardens.id}, gen_random_uuid(), 'station', ${station}, coalesce(${gardens.fixedNow}, ${now.toISOString()}::timestamptz)
    from ${gardens} where ${gardens.weatherStation} = ${station} on conflict do nothing`);
  // Its earlier hours are theirs as well.
  if (rowCount) await forgetDays(db, { station });
}

export async function noteReading(
  db: Db,
  id: string,
  change: Partial<Pick<StationRow, 'askedFrom' | 'readAt' | 'failedAt'>>,
): Promise<void> {
  await db.update(weatherStations).set(change).where(eq(weatherStations.id, id));
}

export async function lastHourOf(db: Db, station: string): Promise<string | null> {
  const [row] = await db
    .select({ last: max(stationHours.at) })
    .from(stationHours)
    .where(eq(stationHours.station, station));
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

const asNewest = {
  temperatureC: sql.raw('excluded.temperature_c'),
  humidityPercent: sql.raw('excluded.humidity_percent'),
  rainMm: sql.raw('excluded.rain_mm'),
  windKmh: sql.raw('excluded.wind_kmh'),
  leafWetMinutes: sql.raw('excluded.leaf_wet_minutes'),
};

const parts = (hours: readonly WeatherHour[]): WeatherHour[][] =>
  Array.from({ length: Math.ceil(hours.length / rowsInStatement) }, (_, i) =>
    hours.slice(i * rowsInStatement, (i + 1) * rowsInStatement).map(rounded),
  );

/** Keep hours of one file; an hour that comes again takes the place of what it was. */
export async function keepFileHours(db: Db, gardenId: string, sourceId: string, hours: readonly WeatherHour[]): Promise<void> {
  for (const part of parts(hours))
    await db
      .insert(weatherHours)
      .values(part.map((hour) => ({ ...hour, gardenId, sourceId })))
      .onConflictDoUpdate({ target: [weatherHours.gardenId, weatherHours.at, weatherHours.sourceId], set: asNewest });
  await forgetDays(db, { gardenId }, hours);
}

/** Keep hours of a station; one that comes again takes the place of what it was. */
export async function keepStationHours(db: Db, station: string, hours: readonly WeatherHour[]): Promise<void> {
  for (const part of parts(hours))
    await db
      .insert(stationHours)
      .values(part.map((hour) => ({ ...hour, station })))
      .onConflictDoUpdate({ target: [stationHours.station, stationHours.at], set: asNewest });
  await forgetDays(db, { station }, hours);
}

/** Take a file out, or put it back. @returns false where there is no such file */
export async function keepFile(db: Db, gardenId: string, id: string, kept: boolean): Promise<boolean> {
  const changed = await db
    .update(weatherSources)
    .set({ kept })
    .where(and(eq(weatherSources.gardenId, gardenId), eq(weatherSources.id, id), eq(weatherSources.kind, 'file')))
    .returning({ id: weatherSources.id });
  await forgetDays(db, { gardenId });
  return changed.length > 0;
}

export async function stationsInUse(db: Db): Promise<string[]> {
  const rows = await db.selectDistinct({ id: gardens.weatherStation }).from(gardens).where(isNotNull(gardens.weatherStation));
  return rows.map(({ id }) => id!);
}

/** What time it is in the gardens that go by a station: now, and where a garden's clock stands still. Earliest first; none where no garden does. */
export async function gardensNows(db: Db, station: string, now: Date): Promise<Date[]> {
  const rows = await db.selectDistinct({ fixedNow: gardens.fixedNow }).from(gardens).where(eq(gardens.weatherStation, station));
  return rows.map(({ fixedNow }) => fixedNow ?? now).sort((a, b) => a.getTime() - b.getTime());
}
