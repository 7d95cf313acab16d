import type { Middleware } from 'koa';
import { ApiError } from '../http/apiError.js';

/** Send a browser that came over plain http to https, and refuse anything else; the health check of the machine itself may ask either way. */
export function onlyHttps(): Middleware {
  return async (ctx, next) => {
    if (ctx.secure || ctx.path === '/api/health') return void (await next());
    if (ctx.method !== 'GET' || ctx.path.startsWith('/api/'))
      throw new ApiError(403, 'https-only', 'This garden is reached over https alone. Write https:// before its address.');
    ctx.status = 308;
    ctx.redirect(`https://${ctx.host}${ctx.url}`);
  };
}
