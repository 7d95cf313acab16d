import { sql } from 'drizzle-orm';
import { boolean, check, foreignKey, jsonb, pgTable, primaryKey, real, text, timestamp, unique, uuid } from 'drizzle-orm/pg-core';
import { gardens } from '../gardens/tables.js';

const instant = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' });
const ofGarden = () =>
  uuid('garden_id')
    .notNull()
    .references(() => gardens.id, { onDelete: 'cascade' });

export const weatherSources = pgTable(
  'weather_sources',
  {
    gardenId: ofGarden(),
    id: uuid('id').notNull(),
    kind: text('kind').notNull(),
    name: text('name').notNull(),
    /** the station's own id; none for a file */
    station: text('station'),
    simulated: boolean('simulated').notNull().default(false),
    /** false: taken out; its hours wait in case they are wanted back */
    kept: boolean('kept').notNull().default(true),
    addedAt: instant('added_at').notNull(),
    readAt: instant('read_at'),
    failedAt: instant('failed_at'),
  },
  (table) => [
    primaryKey({ columns: [table.gardenId, table.id] }),
    unique('weather_sources_station').on(table.gardenId, table.station),
    check('weather_sources_kind', sql`(${table.kind} = 'station') = (${table.station} is not null)`),
  ],
);

/** Every source keeps its own hours, so that a file can be taken out again; which one counts is decided when they are read. */
export const weatherHours = pgTable(
  'weather_hours',
  {
    gardenId: uuid('garden_id').notNull(),
    sourceId: uuid('source_id').notNull(),
    at: instant('at').notNull(),
    temperatureC: real('temperature_c'),
    humidityPercent: real('humidity_percent'),
    rainMm: real('rain_mm'),
    windKmh: real('wind_kmh'),
    leafWetMinutes: real('leaf_wet_minutes'),
  },
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

/** The newest forecast of each garden. */
export const forecasts = pgTable('forecasts', {
  gardenId: ofGarden().primaryKey(),
  issuedAt: instant('issued_at').notNull(),
  hours: jsonb('hours').notNull(),
});
