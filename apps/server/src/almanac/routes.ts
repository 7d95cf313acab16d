import { endpoints } from '@field-nurse/contract';
import { addDays, dayAt } from '@field-nurse/core/timing';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { gardenClock } from '../gardens/gardenQueries.js';
import { dayWeather } from '../weather/daySums.js';
import { firstHour } from '../weather/queries.js';
import { sightsOf } from './sights.js';

const mostYears = 11;

/** All years of a garden together. */
export function almanacRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.almanac, async ({ params: { garden } }) => {
    const { now, timeZone } = await gardenClock(deps.db, garden, deps.now);
    const today = dayAt(now.toISOString(), timeZone);
    const [first, sights] = await Promise.all([firstHour(deps.db, garden), sightsOf(deps.db, garden)]);
    if (!first) return { days: [], sights };
    const from = [dayAt(first, timeZone), addDays(today, -mostYears * 365)].sort().at(-1)!;
    return { days: await dayWeather(deps.db, garden, timeZone, from, today), sights };
  });
}
