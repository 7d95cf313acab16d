import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { writeRecord } from '../gardens/changeQueries.js';
import { writeOf } from '../gardens/writeOf.js';
import { requireEntry } from '../library/requireEntry.js';

/** Traps and what they caught. */
export function trapRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.writeTrap, ({ params, body, access }) => {
    if (body.value.target) requireEntry(deps.library.conditions, body.value.target, ['value', 'target']);
    return writeRecord(deps.db, 'traps', params.record, body.version, body.value, writeOf(deps, { params, body, access }));
  });

  serve(router, deps, endpoints.writeCatch, ({ params, body, access }) =>
    writeRecord(deps.db, 'catches', params.record, body.version, body.value, writeOf(deps, { params, body, access })),
  );
}
