import { endpoints } from '@field-nurse/contract';
import type { LibrarySeason, SeasonRequest } from '@field-nurse/contract';
import { requireSeason, requireTrial } from '@field-nurse/core/season';
import type { KnownDay } from '@field-nurse/core/season';
import { addDays, dayAt } from '@field-nurse/core/timing';
import { Refusal } from '@field-nurse/library/answers';
import { askedSeason } from '@field-nurse/library/season';
import type Router from '@koa/router';
import { requireAccess } from '../access/access.js';
import { serve } from '../api/serve.js';
import { asApiError } from '../calc/asApiError.js';
import type { Deps } from '../deps.js';
import { gardenClock } from '../gardens/gardenQueries.js';
import { invalidField, notFound } from '../http/apiError.js';
import { dayWeather } from '../weather/daySums.js';
import { firstHour } from '../weather/queries.js';
import { SeasonQueue } from './seasonQueue.js';
import type { SeasonWork } from './seasonTasks.js';

// Years that others are drawn from.
const mostYears = 6;
// Where nobody measured wet leaves.
const usualWetHours = 5;

/** Seasons, worked out in a queue. */
export function seasonRoutes(router: Router, deps: Deps): void {
  const queue = new SeasonQueue(deps);

  serve(router, deps, endpoints.startSeasonJob, async ({ body, ctx }) => {
    try {
      return { job: endpoints.seasonJob.path.replace('{job}', await queue.add(await workOf(deps, body, ctx))) };
    } catch (error) {
      if (error instanceof RangeError) throw invalidField([], 'out-of-range', error.message);
      if (error instanceof Refusal) throw asApiError(error.refused);
      throw error;
    }
  });

  serve(router, deps, endpoints.seasonJob, async ({ params: { job } }) => {
    const state = await queue.state(job);
    if (!state) throw notFound('This season');
    return state;
  });

  serve(router, deps, endpoints.cancelSeasonJob, async ({ params: { job } }) => {
    const state = await queue.cancel(job);
    if (!state) throw notFound('This season');
    return state;
  });
}

/** What is to be worked out, checked before anything is. @throws RangeError, Refusal */
async function workOf(deps: Deps, asked: SeasonRequest, caller: { get(header: string): string }): Promise<SeasonWork> {
  if ('pest' in asked.scenario) {
    const own = asked as Extract<SeasonRequest, { scenario: { pest: unknown } }>;
    requireSeason(own.scenario, own.strategies, own.runs);
    return own;
  }
  const season = asked as LibrarySeason;
  const work = { ...askedSeason(deps.library, season, await knownDays(deps, season, caller)), runs: season.runs, seed: season.seed };
  requireTrial(work.trial, work.runs);
  return work;
}

/** Days of one's own, or those of a garden that the caller may read. */
async function knownDays(
  deps: Deps,
  { scenario: { garden, weather } }: LibrarySeason,
  caller: { get(header: string): string },
): Promise<readonly KnownDay[]> {
  if (weather || !garden) return weather ?? [];
  await requireAccess(deps, caller, endpoints.weatherDays, { garden });
  const { now, timeZone } = await gardenClock(deps.db, garden, deps.now);
  const first = await firstHour(deps.db, garden);
  if (!first) return [];
  const today = dayAt(now.toISOString(), timeZone);
  const from = [dayAt(first, timeZone), addDays(today, -mostYears * 365)].sort().at(-1)!;
  const days = await dayWeather(deps.db, garden, timeZone, from, today);
  return days.flatMap(({ day, minC, maxC, rainMm, wetHours }) =>
    minC === null || maxC === null ? [] : [{ day, meanC: (minC + maxC) / 2, rainMm: rainMm ?? 0, wetHours: wetHours ?? usualWetHours }],
  );
}
