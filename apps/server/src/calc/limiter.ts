import type { Middleware } from 'koa';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { ApiError } from '../api/apiError.js';

/** At most so many calculations a second from one address. Kept in memory: each server guards its own processor. */
export function calcLimiter(perSecond: number): Middleware {
  const limiter = new RateLimiterMemory({ points: perSecond, duration: 1 });
  return async (ctx, next) => {
    if (ctx.path.startsWith('/api/v1/calc/')) {
      await limiter.consume(ctx.ip).catch((error: unknown) => {
        if (!(error instanceof RateLimiterRes)) throw error;
        throw new ApiError(429, 'too-many', 'Too many calculations at once. Wait a second.');
      });
    }
    await next();
  };
}
