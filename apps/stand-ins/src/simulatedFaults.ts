import type Router from '@koa/router';

const tooBusyEvery = 5;

/** Every fifth request below a path is turned away, as it happens with the real ones. */
export function simulateFaults(router: Router, path: string): void {
  let requests = 0;
  router.use(path, async (ctx, next) => {
    requests++;
    if (requests % tooBusyEvery !== 0) return void (await next());
    ctx.status = 503;
    ctx.set('Retry-After', '1');
    ctx.body = { fault: 'busy' };
  });
}
