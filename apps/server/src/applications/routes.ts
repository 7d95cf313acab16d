import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { gardenLaw } from '../gardens/gardenQueries.js';
import { recordById } from '../records/recordStore.js';
import { writeOf } from '../records/writeOf.js';
import { writeRecord } from '../records/writeRecord.js';
import { gardenLibrary } from '../library/gardenLibrary.js';
import { judgeApplication } from './judgeApplication.js';
import { requireDone } from './requireDone.js';

/** The log: applications, each with what its card says of it. */
export function applicationRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.writeApplication, async ({ params, body, access }) => {
    const { value } = body;
    const library = await gardenLibrary(deps, params.garden);
    const garden = await gardenLaw(deps.db, params.garden, deps.now);
    requireDone(library, garden, value, ['value']);
    // Whoever corrects an entry does not become the one who logged it.
    const kept = await recordById(deps.db, 'applications', params.garden, params.record);
    const by = kept ? kept.personId : access.person!.id;
    const judged = await judgeApplication(deps.db, library, garden, params.record, value, by);
    return writeRecord(deps.db, 'applications', params.record, body.version, judged, writeOf(deps, { params, body, access }));
  });
}
