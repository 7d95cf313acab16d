import type Router from '@koa/router';
import { z } from 'zod';
import { simulateFaults } from '../simulatedFaults.js';
import { forecast, observations } from './records.js';

/** The one station of the stand-in, on the invented river. */
export const station = { id: 'osier-weir', name: 'Osier weir', simulated: true } as const;

const instant = z.iso.datetime({ offset: true }).transform((text) => Date.parse(text));
const longestMs = 62 * 24 * 3_600_000;
const seed = 1807;

const asked = z.strictObject({ from: instant, to: instant, as_of: instant }).refine(({ from, to }) => to > from && to - from <= longestMs, {
  error: 'from comes before to, 62 days at most',
});

/**
 * A weather station with its history and a forecast, over HTTP. `as_of` is the caller's now, since a demo garden's clock stands still. Every fifth
 * request is turned away, as it happens with the real ones.
 */
export function weatherStationRoutes(router: Router): void {
  simulateFaults(router, '/stations');

  router.get('/stations', (ctx) => {
    ctx.body = { stations: [station] };
  });

  router.get('/stations/:station/observations', (ctx) => {
    if (ctx.params['station'] !== station.id) return ctx.throw(404);
    const result = asked.safeParse({ ...ctx.query });
    if (!result.success) return void Object.assign(ctx, { status: 400, body: { fault: z.prettifyError(result.error) } });
    const { from, to, as_of } = result.data;
    ctx.body = { station: station.id, records: observations(from, to, as_of, seed) };
  });

  router.get('/stations/:station/forecast', (ctx) => {
    if (ctx.params['station'] !== station.id) return ctx.throw(404);
    const result = z.strictObject({ as_of: instant }).safeParse({ ...ctx.query });
    if (!result.success) return void Object.assign(ctx, { status: 400, body: { fault: z.prettifyError(result.error) } });
    const issued = Math.floor(result.data.as_of / 3_600_000) * 3_600_000;
    ctx.body = { station: station.id, issued: new Date(issued).toISOString(), records: forecast(issued, seed) };
  });
}
