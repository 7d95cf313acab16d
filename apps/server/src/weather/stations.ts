import type { WeatherHour } from '@field-nurse/core/timing';
import { z } from 'zod';
import { askOutside } from '../http/askOutside.js';
import type { Patience } from '../http/askOutside.js';

/** A station that can be read. */
export interface Station {
  readonly id: string;
  readonly name: string;
  /** its weather is made up */
  readonly simulated: boolean;
}

/** The weather outside, as far as the server can ask for it. Each call may throw StationFault. */
export interface Stations {
  list(): Promise<readonly Station[]>;
  /** hours that begin from `from` up to before `to`, as known at `now`; 60 days at most */
  observations(station: string, from: Date, to: Date, now: Date): Promise<readonly WeatherHour[]>;
  forecast(station: string, now: Date): Promise<{ readonly issuedAt: string; readonly hours: readonly WeatherHour[] }>;
}

/** The station did not answer, or not in a way that can be read. */
export class StationFault extends Error {}

/** There is no such station any more: asking again would not change it. */
export class StationGone extends StationFault {}

const reading = z.number().nullable();
const records = z.array(
  z.object({
    time: z.iso.datetime(),
    air_temperature: reading,
    relative_humidity: reading,
    precipitation: reading,
    wind_speed: reading,
    leaf_wetness: reading,
  }),
);
const kmhInMetresPerSecond = 3.6;

/** No station at all: weather comes from files. */
export const noStations: Stations = {
  list: () => Promise.resolve([]),
  observations: () => Promise.reject(new StationFault('No weather station is set up on this server.')),
  forecast: () => Promise.reject(new StationFault('No weather station is set up on this server.')),
};

/** Stations over HTTP. */
export function stationsOver(address: string, patience: Patience = {}): Stations {
  const ask = <T>(path: string, query: Readonly<Record<string, string>>, schema: z.ZodType<T>): Promise<T> =>
    askOutside(`${address}${path}?${new URLSearchParams(query)}`, schema, patience).catch((cause: unknown) => {
      throw new StationFault('The weather station does not answer.', { cause });
    });
  return {
    list: async () => {
      const schema = z.object({ stations: z.array(z.object({ id: z.string(), name: z.string(), simulated: z.boolean() })) });
      return (await ask('/stations', {}, schema)).stations;
    },
    observations: async (station, from, to, now) => {
      const query = { from: from.toISOString(), to: to.toISOString(), as_of: now.toISOString() };
      return (await ask(`/stations/${station}/observations`, query, z.object({ records }))).records.map(toHour);
    },
    forecast: async (station, now) => {
      const schema = z.object({ issued: z.iso.datetime(), records });
      const { issued, records: hours } = await ask(`/stations/${station}/forecast`, { as_of: now.toISOString() }, schema);
      return { issuedAt: issued, hours: hours.map(toHour) };
    },
  };
}

const toHour = (record: z.infer<typeof records>[number]): WeatherHour => ({
  at: record.time,
  temperatureC: record.air_temperature,
  humidityPercent: record.relative_humidity,
  rainMm: record.precipitation,
  windKmh: record.wind_speed === null ? null : Math.round(record.wind_speed * kmhInMetresPerSecond * 10) / 10,
  leafWetMinutes: record.leaf_wetness,
});
