import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  date,
  foreignKey,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  real,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import { gardens } from '../gardens/tables.js';

const instant = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' });
const values = {
  temperatureC: real('temperature_c'),
  humidityPercent: real('humidity_percent'),
  rainMm: real('rain_mm'),
  windKmh: real('wind_kmh'),
  leafWetMinutes: real('leaf_wet_minutes'),
};

/** A station is read once for all the gardens that go by it. */
export const weatherStations = pgTable('weather_stations', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  /** its weather is made up */
  simulated: boolean('simulated').notNull(),
  /** its hours were asked for from here on */
  askedFrom: instant('asked_from'),
  readAt: instant('read_at'),
  failedAt: instant('failed_at'),
});

const ofStation = () =>
  text('station')
    .notNull()
    .references(() => weatherStations.id, { onDelete: 'cascade' });

export const stationHours = pgTable('station_hours', { station: ofStation(), at: instant('at').notNull(), ...values }, (table) => [
  primaryKey({ columns: [table.station, table.at] }),
  check('station_hours_rain', sql`${table.rainMm} >= 0`),
  check('station_hours_humidity', sql`${table.humidityPercent} between 0 and 100`),
]);

/** Forecasts as they were issued: what was known on a day can be told later. */
export const stationForecasts = pgTable(
  'station_forecasts',
  { station: ofStation(), issuedAt: instant('issued_at').notNull(), hours: jsonb('hours').notNull() },
  (table) => [primaryKey({ columns: [table.station, table.issuedAt] })],
);

/** Where a garden's weather comes from: the stations that it went by, and files that somebody gave. */
export const weatherSources = pgTable(
  'weather_sources',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    kind: text('kind').notNull(),
    /** of the file; a station has its own */
    name: text('name'),
    station: text('station').references(() => weatherStations.id),
    /** false: taken out; its hours wait in case they are wanted back */
    kept: boolean('kept').notNull().default(true),
    addedAt: instant('added_at').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    unique('weather_sources_station').on(table.gardenId, table.station),
    check('weather_sources_kind', sql`(${table.kind} = 'station') = (${table.station} is not null)`),
    check('weather_sources_name', sql`(${table.kind} = 'file') = (${table.name} is not null)`),
  ],
);

/** Hours of a garden's files. Every file keeps its own, so that it can be taken out again; which one counts is decided when they are read. */
export const weatherHours = pgTable(
  'weather_hours',
  { gardenId: uuid('garden_id').notNull(), sourceId: uuid('source_id').notNull(), at: instant('at').notNull(), ...values },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.at, table.sourceId] }),
    foreignKey({
      name: 'weather_hours_source',
      columns: [table.gardenId, table.sourceId],
      foreignColumns: [weatherSources.gardenId, weatherSources.id],
    }).onDelete('cascade'),
    check('weather_hours_rain', sql`${table.rainMm} >= 0`),
    check('weather_hours_humidity', sql`${table.humidityPercent} between 0 and 100`),
  ],
);

/** Days of a garden's weather, worked out once from its hours. They are forgotten when hours come or go. */
export const weatherDaySums = pgTable(
  'weather_day_sums',
  {
    gardenId: uuid('garden_id')
      .notNull()
      .references(() => gardens.id, { onDelete: 'cascade' }),
    day: date('day').notNull(),
    /** by whose calendar */
    timeZone: text('time_zone').notNull(),
    minC: real('min_c'),
    maxC: real('max_c'),
    rainMm: real('rain_mm'),
    wetHours: real('wet_hours'),
    maxWindKmh: real('max_wind_kmh'),
    missing: integer('missing').notNull(),
  },
  (table) => [primaryKey({ columns: [table.gardenId, table.day] })],
);
