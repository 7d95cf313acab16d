import { endpoints } from '@field-nurse/contract';
import { searchByName } from '@field-nurse/library';
import type Router from '@koa/router';
import { notFound } from '../http/apiError.js';
import { answerText, serve } from '../api/serve.js';
import type { Deps } from '../deps.js';

/** Reading the reference library. */
export function libraryRoutes(router: Router, deps: Deps): void {
  const { library, pressedLibrary } = deps;
  serve(router, deps, endpoints.libraryIndex, ({ ctx }) => {
    // The library changes with a release only; a page asks again and is told so in a few bytes.
    ctx.set('Cache-Control', 'no-cache');
    ctx.etag = library.version;
    ctx.status = 200;
    if (ctx.fresh) {
      ctx.status = 304;
      return library;
    }
    if (!pressedLibrary || !ctx.acceptsEncodings('br')) return library;
    ctx.set('Content-Encoding', 'br');
    return answerText(pressedLibrary);
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
