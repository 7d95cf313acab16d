import { endpoints } from '@field-nurse/contract';
import { hourMs } from '@field-nurse/core/timing';
import type Router from '@koa/router';
import { ApiError, invalidField, notFound } from '../api/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { refuseBeyondQuota } from '../gardens/quotas.js';
import { gardenClock } from '../gardens/gardenQueries.js';
import { addSource, countFiles, hoursBetween, keepFile, keepHours, newestForecast, sourceKind, sourcesOf, stationOf } from './queries.js';
import { readStation } from './readStation.js';
import { StationFault } from './stations.js';

const mostDays = 62;

/** Weather as it was measured, where it comes from, and the forecast. */
export function weatherRoutes(router: Router, deps: Deps): void {
  const { db, stations } = deps;

  serve(router, deps, endpoints.weather, async ({ params: { garden }, query: { from, to } }) => {
    const spanMs = Date.parse(to) - Date.parse(from);
    if (spanMs <= 0 || spanMs > mostDays * 24 * hourMs)
      throw invalidField(['to'], 'range', `The end comes after the begin, by ${mostDays} days at most.`);
    const [hours, forecast, station] = await Promise.all([
      hoursBetween(db, garden, from, to),
      newestForecast(db, garden),
      stationOf(db, garden),
    ]);
    return {
      hours,
      // A garden that is not read any more has no forecast to go by.
      forecast: station ? forecast : null,
      station: station
        ? { name: station.name, simulated: station.simulated, readAt: isoOrNull(station.readAt), failedAt: isoOrNull(station.failedAt) }
        : null,
    };
  });

  serve(router, deps, endpoints.weatherSources, ({ params }) => sourcesOf(db, params.garden));

  serve(router, deps, endpoints.readStation, async ({ params }) => {
    const read = await readStation(db, stations, params.garden, deps.now).catch(silent);
    if (!read) throw new ApiError(422, 'no-station', 'No weather station is chosen for this garden. An owner chooses one in Settings.');
    return sourcesOf(db, params.garden);
  });

  serve(router, deps, endpoints.addWeatherFile, async ({ params: { garden }, body }) => {
    const { now } = await gardenClock(db, garden, deps.now);
    const future = body.hours.findIndex(({ at }) => Date.parse(at) > now.getTime());
    if (future >= 0) throw invalidField(['hours', future, 'at'], 'future', 'This hour is yet to come: what was measured lies in the past.');
    const kind = await sourceKind(db, garden, body.id);
    // What the station measured is not for a file to write over.
    if (kind && kind !== 'file')
      throw new ApiError(409, 'not-a-file', 'These are hours of the weather station. A file needs an id of its own.');
    if (!kind) refuseBeyondQuota('weatherFiles', (await countFiles(db, garden)) + 1);
    await addSource(db, { gardenId: garden, id: body.id, kind: 'file', name: body.name, addedAt: now.toISOString() });
    await keepHours(db, garden, body.id, lastOfEach(body.hours));
    return sourcesOf(db, garden);
  });

  serve(router, deps, endpoints.keepWeatherFile, async ({ params: { garden }, body }) => {
    if (!(await keepFile(db, garden, body.id, body.kept))) throw notFound('This file');
    return sourcesOf(db, garden);
  });

  serve(router, deps, endpoints.stations, async () => [...(await stations.list().catch(silent))]);
}

/** One row for each instant: a statement can not change a row twice. */
function lastOfEach<T extends { readonly at: string }>(hours: readonly T[]): T[] {
  return [...new Map(hours.map((hour) => [Date.parse(hour.at), hour])).values()];
}

const isoOrNull = (text: string | null) => (text === null ? null : new Date(text).toISOString());

function silent(error: unknown): never {
  if (!(error instanceof StationFault)) throw error;
  throw new ApiError(
    503,
    'station-silent',
    'The weather station does not answer. What was read before is still there; it is tried again by itself.',
  );
}
