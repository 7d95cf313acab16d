import helmet from 'koa-helmet';
import { randomBytes } from 'node:crypto';
import type { Middleware } from 'koa';

const docsPath = '/api/docs';

/** Strict headers: scripts from here only, none inline; styles by a nonce of the request. The API reader sets styles from script, so it may. */
export function headers(): Middleware {
  return async (ctx, next) => {
    ctx.state['nonce'] = randomBytes(16).toString('base64');
    const styles = ctx.path.startsWith(docsPath) ? "'unsafe-inline'" : `'nonce-${ctx.state['nonce']}'`;
    await helmet({
      hsts: false,
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'"],
          styleSrc: ["'self'", styles],
          fontSrc: ["'self'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          connectSrc: ["'self'"],
          manifestSrc: ["'self'"],
          formAction: ["'self'"],
          baseUri: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
    })(ctx, next);
  };
}
