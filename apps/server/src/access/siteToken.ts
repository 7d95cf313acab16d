import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import type { Context } from 'koa';
import { ApiError } from '../http/apiError.js';
import type { Deps } from '../deps.js';
import { sessionDataOf } from './sessionData.js';

const cookieName = 'XSRF-TOKEN';
const headerName = 'X-XSRF-TOKEN';

type Site = Pick<Deps, 'secret' | 'secureCookies'>;

/**
 * Refuse a write that another site started: the token of the cookie must come back in a header, which only our own pages can read and set. It is
 * bound to the session, so that it ends with it, and needs nothing kept for somebody who has not signed in.
 */
export function requireSameSite(site: Site, ctx: Context): void {
  const sent = ctx.get(headerName);
  const [nonce = ''] = sent.split('.');
  if (!same(sent, ctx.cookies.get(cookieName, { signed: false }) ?? '') || !same(sent, tokenOf(site, nonce, ctx)))
    throw new ApiError(403, 'cross-site', 'This page is out of date. Reload it and try again.');
}

/** Give the page a token in a readable cookie, unless it holds the right one. */
export function handOutToken(site: Site, ctx: Context): void {
  const held = ctx.cookies.get(cookieName, { signed: false }) ?? '';
  const [nonce = ''] = held.split('.');
  if (nonce && same(held, tokenOf(site, nonce, ctx))) return;
  ctx.cookies.set(cookieName, tokenOf(site, randomBytes(18).toString('base64url'), ctx), {
    httpOnly: false,
    sameSite: 'strict',
    secure: site.secureCookies,
    signed: false,
    overwrite: true,
    path: '/',
  });
}

function tokenOf({ secret }: Site, nonce: string, ctx: Context): string {
  const session = sessionDataOf(ctx)?.id ?? 'nobody';
  return `${nonce}.${createHmac('sha256', secret).update(`site token ${nonce} ${session}`).digest('base64url')}`;
}

function same(one: string, other: string): boolean {
  const [a, b] = [Buffer.from(one), Buffer.from(other)];
  return a.length > 0 && a.length === b.length && timingSafeEqual(a, b);
}
