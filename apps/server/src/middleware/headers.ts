import helmet from 'koa-helmet';
import { randomBytes } from 'node:crypto';
import type { Middleware } from 'koa';

const docsPath = '/api/docs';

const yearSeconds = 365 * 24 * 60 * 60;
// A photo is taken by the camera of the round; nothing else of the device is asked for.
const permissions = 'camera=(self), geolocation=(), microphone=(), payment=(), usb=(), interest-cohort=()';

/**
 * Strict headers: scripts from here only, none inline; styles by a nonce of the request. The API reader sets styles from script, so it may.
 *
 * @param https - true where it is reached over https alone: browsers are told to keep to it
 */
export function headers(https: boolean): Middleware {
  return async (ctx, next) => {
    ctx.state['nonce'] = randomBytes(16).toString('base64');
    const styles = ctx.path.startsWith(docsPath) ? "'unsafe-inline'" : `'nonce-${ctx.state['nonce']}'`;
    ctx.set('Permissions-Policy', permissions);
    await helmet({
      hsts: https && { maxAge: yearSeconds, includeSubDomains: false },
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          // Plans are solved by compiled code, in the pages' worker.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
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
