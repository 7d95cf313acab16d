import { endpoints } from '@field-nurse/contract';
import { searchByName } from '@field-nurse/library';
import { partsOf } from '@field-nurse/library/parts';
import type Router from '@koa/router';
import type { Context } from 'koa';
import { notFound } from '../http/apiError.js';
import { answerText, serve } from '../api/serve.js';
import type { Deps } from '../deps.js';

/** Reading the reference library. */
export function libraryRoutes(router: Router, deps: Deps): void {
  const { library, pressedParts } = deps;
  // Two megabytes are written out once, and not for each caller.
  const whole = JSON.stringify(library);
  const { diagnosis, treatment } = partsOf(library);
  const parts = { diagnosis: JSON.stringify(diagnosis), treatment: JSON.stringify(treatment) };
  serve(router, deps, endpoints.libraryIndex, ({ ctx }) => {
    isFresh(ctx, library.version);
    return answerText(whole);
  });
  serve(router, deps, endpoints.libraryPart, ({ params: { part }, ctx }) => {
    if (isFresh(ctx, library.version) || !pressedParts || !ctx.acceptsEncodings('br')) return answerText(parts[part]);
    ctx.set('Content-Encoding', 'br');
    return answerText(pressedParts[part]);
  });
  serve(router, deps, endpoints.libraryList, ({ params, query }) =>
    searchByName<{ id: string; name: string }>(library[params.list], query.q ?? ''),
  );
  serve(router, deps, endpoints.libraryEntry, ({ params }) => {
    const entry = library[params.list].find(({ id }) => id === params.id);
    if (!entry) throw notFound('This entry');
    return entry;
  });
}

/** The library changes with a release only; a page asks again and is told in a few bytes that it has the newest. */
function isFresh(ctx: Context, version: string): boolean {
  ctx.set('Cache-Control', 'no-cache');
  ctx.etag = version;
  ctx.status = 200;
  if (ctx.fresh) ctx.status = 304;
  return ctx.fresh;
}
