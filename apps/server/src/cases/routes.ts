import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { writeRecord } from '../gardens/changeQueries.js';
import { writeOf } from '../gardens/writeOf.js';
import { gardenLibrary } from '../library/gardenLibrary.js';
import { requireEntry } from '../library/requireEntry.js';

/** Cases: what was found and what it was taken for. */
export function caseRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.writeCase, async ({ params, body, access }) => {
    const library = await gardenLibrary(deps, params.garden);
    body.value.findings.forEach(({ sign }, i) => requireEntry(library.signs, sign, ['value', 'findings', i, 'sign']));
    body.value.diagnoses.forEach(({ conditions }, i) =>
      conditions.forEach((condition, j) => requireEntry(library.conditions, condition, ['value', 'diagnoses', i, 'conditions', j])),
    );
    return writeRecord(deps.db, 'cases', params.record, body.version, body.value, writeOf(deps, { params, body, access }));
  });
}
