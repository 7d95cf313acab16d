import { endpoints } from '@field-nurse/contract';
import { addDays, daysBetween, hourMs, instantOf, weatherDays } from '@field-nurse/core/timing';
import type Router from '@koa/router';
import { ApiError, invalidField, notFound } from '../http/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { refuseBeyondQuota } from '../records/quotas.js';
import { gardenClock } from '../gardens/gardenQueries.js';
import { addFile, countFiles, hoursBetween, keepFile, keepFileHours, newestForecast, sourceKind, sourcesOf, stationOf } from './queries.js';
import { readStation } from './readStation.js';
import { StationFault } from './stations.js';

const mostDays = 62;
const mostDaysOfSums = 400;

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
    return { hours, forecast, station };
  });

  serve(router, deps, endpoints.weatherDays, async ({ params: { garden }, query: { from, to } }) => {
    if (to < from || daysBetween(from, to) >= mostDaysOfSums)
      throw invalidField(['to'], 'range', `The last day does not come before the first, and there are ${mostDaysOfSums} days at most.`);
    const { timeZone } = await gardenClock(db, garden, deps.now);
    const midnight = (day: string) => instantOf(`${day}T00:00`, timeZone);
    return weatherDays(await hoursBetween(db, garden, midnight(from), midnight(addDays(to, 1))), timeZone, from, to);
  });

  serve(router, deps, endpoints.weatherSources, ({ params }) => sourcesOf(db, params.garden));

  serve(router, deps, endpoints.readStation, async ({ params }) => {
    const { weatherStation } = await gardenClock(db, params.garden, deps.now);
    if (!weatherStation)
      throw new ApiError(422, 'no-station', 'No weather station is chosen for this garden. An owner chooses one in Settings.');
    await readStation(db, stations, weatherStation, deps.now).catch(silent);
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
    await addFile(db, { gardenId: garden, id: body.id, name: body.name, addedAt: now.toISOString() });
    await keepFileHours(db, garden, body.id, lastOfEach(body.hours));
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

function silent(error: unknown): never {
  if (!(error instanceof StationFault)) throw error;
  throw new ApiError(
    503,
    'station-silent',
    'The weather station does not answer. What was read before is still there; it is tried again by itself.',
  );
}
