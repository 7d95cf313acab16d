import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { ApiError } from '../http/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { gardenClock } from '../gardens/gardenQueries.js';
import { recordById } from '../records/recordStore.js';
import { writeRecord } from '../records/writeRecord.js';
import { writeOf } from '../records/writeOf.js';
import { gardenLibrary } from '../library/gardenLibrary.js';
import { requireCaseEntries } from './requireCaseEntries.js';

/** Cases: what was found and what it was taken for, and what is said of them. */
export function caseRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.writeCase, async ({ params, body, access }) => {
    const library = await gardenLibrary(deps, params.garden);
    requireCaseEntries(library, body.value, ['value']);
    return writeRecord(deps.db, 'cases', params.record, body.version, body.value, writeOf(deps, { params, body, access }));
  });

  serve(router, deps, endpoints.writeComment, async ({ params, body, access }) => {
    const { id, name } = access.person!;
    const kept = await recordById(deps.db, 'comments', params.garden, params.record);
    if (kept && kept.personId !== id) throw new ApiError(403, 'not-allowed', 'A comment is changed by who wrote it.');
    const { now } = await gardenClock(deps.db, params.garden, deps.now);
    const written = new Date(body.value.writtenAt);
    const comment = { ...body.value, writtenAt: (written > now ? now : written).toISOString(), personId: id, by: name };
    return writeRecord(deps.db, 'comments', params.record, body.version, comment, writeOf(deps, { params, body, access }));
  });
}
