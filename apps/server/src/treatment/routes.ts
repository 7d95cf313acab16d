import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { writeRecord } from '../gardens/writeRecord.js';
import { writeOf } from '../gardens/writeOf.js';
import { requireEntry } from '../library/requireEntry.js';

/** Decisions: the intervention chosen for a case, or watching it. */
export function planRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.writeDecision, ({ params, body, access }) => {
    requireEntry(deps.library.interventions, body.value.intervention, ['value', 'intervention']);
    return writeRecord(deps.db, 'decisions', params.record, body.version, body.value, writeOf(deps, { params, body, access }));
  });
}
