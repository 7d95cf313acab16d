import { endpoints } from '@field-nurse/contract';
import { requireSeason } from '@field-nurse/core/season';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { invalidField, notFound } from '../http/apiError.js';
import { SeasonQueue } from './seasonQueue.js';

/** Seasons, worked out in a queue. */
export function seasonRoutes(router: Router, deps: Deps): void {
  const queue = new SeasonQueue(deps);

  serve(router, deps, endpoints.startSeasonJob, async ({ body }) => {
    try {
      requireSeason(body.scenario, body.strategies, body.runs);
    } catch (error) {
      if (error instanceof RangeError) throw invalidField([], 'out-of-range', error.message);
      throw error;
    }
    return { job: endpoints.seasonJob.path.replace('{job}', await queue.add(body)) };
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
