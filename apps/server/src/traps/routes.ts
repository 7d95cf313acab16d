import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { writeRecord } from '../records/writeRecord.js';
import { writeOf } from '../records/writeOf.js';
import { gardenLibrary } from '../library/gardenLibrary.js';
import { requireEntry } from '../library/requireEntry.js';

/** Traps and what they caught. */
export function trapRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.writeTrap, async ({ params, body, access }) => {
    const library = await gardenLibrary(deps, params.garden);
    if (body.value.target) requireEntry(library.conditions, body.value.target, ['value', 'target']);
    return writeRecord(deps.db, 'traps', params.record, body.version, body.value, writeOf(deps, { params, body, access }));
  });

  serve(router, deps, endpoints.writeCatch, ({ params, body, access }) =>
    writeRecord(deps.db, 'catches', params.record, body.version, body.value, writeOf(deps, { params, body, access })),
  );
}
