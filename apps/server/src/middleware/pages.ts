import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Middleware } from 'koa';
import send from 'koa-send';

const yearMs = 365 * 24 * 60 * 60 * 1000;
const hashed = /-[A-Z0-9]{8}\.\w+$/i;

/** Serve the built pages: hashed files for ever, precompressed ones where they are; every other address gets index.html with the request's nonce. */
export function pages(folder: string): Middleware {
  const index = readFileSync(join(folder, 'index.html'), 'utf8');
  return async (ctx, next) => {
    if (ctx.path.startsWith('/api/') || !['GET', 'HEAD'].includes(ctx.method)) return void (await next());
    if (/\.\w+$/.test(ctx.path) && ctx.path !== '/index.html') {
      const immutable = hashed.test(ctx.path);
      await send(ctx, ctx.path, { root: folder, brotli: true, gzip: true, immutable, maxAge: immutable ? yearMs : 0 }).catch(
        (error: { status?: number }) => {
          if (error.status !== 404) throw error;
        },
      );
      return;
    }
    ctx.type = 'html';
    ctx.set('Cache-Control', 'no-store');
    ctx.body = index.replaceAll('%NONCE%', String(ctx.state['nonce']));
  };
}
