import { randomBytes, timingSafeEqual } from 'node:crypto';
import type { Context, Middleware } from 'koa';
import { ApiError } from '../api/apiError.js';

const cookieName = 'XSRF-TOKEN';
const headerName = 'X-XSRF-TOKEN';
const safeMethods = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Refuse writes that another site started: the session's token must come back in a header, which only our own pages can read and set. The
 * calculations are left out, since they change nothing and scripts call them.
 */
export function crossSite(): Middleware {
  return async (ctx, next) => {
    const guarded = ctx.path.startsWith('/api/') && !ctx.path.startsWith('/api/v1/calc/');
    if (guarded && !safeMethods.has(ctx.method) && !sameToken(ctx.session?.['csrf'], ctx.get(headerName)))
      throw new ApiError(403, 'cross-site', 'This page is out of date. Reload it and try again.');
    await next();
  };
}

/** Give the session a token, if it has none, and hand it to the page in a readable cookie. */
export function handOutToken(ctx: Context, secure: boolean): void {
  const session = ctx.session!;
  session['csrf'] ??= randomBytes(24).toString('base64url');
  ctx.cookies.set(cookieName, session['csrf'] as string, {
    httpOnly: false,
    sameSite: 'strict',
    secure,
    signed: false,
    overwrite: true,
    path: '/',
  });
}

function sameToken(own: unknown, sent: string): boolean {
  if (typeof own !== 'string') return false;
  const [a, b] = [Buffer.from(own), Buffer.from(sent)];
  return a.length === b.length && timingSafeEqual(a, b);
}
