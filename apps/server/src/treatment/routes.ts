import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { gardenLaw } from '../gardens/gardenQueries.js';
import { writeOf } from '../records/writeOf.js';
import { writeRecord } from '../records/writeRecord.js';
import { gardenLibrary } from '../library/gardenLibrary.js';
import { requireEntry } from '../library/requireEntry.js';
import { judgeDecision } from './judgeDecision.js';

/** Decisions, which the server judges whatever the page had shown; sprayers with what was measured of them, and test sprays. */
export function treatmentRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.writeDecision, async ({ params, body, access }) => {
    const library = await gardenLibrary(deps, params.garden);
    requireEntry(library.interventions, body.value.intervention, ['value', 'intervention']);
    const garden = await gardenLaw(deps.db, params.garden, deps.now);
    const judged = await judgeDecision(deps.db, library, garden, body.value);
    const decision = { ...body.value, ...judged };
    return writeRecord(deps.db, 'decisions', params.record, body.version, decision, writeOf(deps, { params, body, access }));
  });

  serve(router, deps, endpoints.writeSprayer, async ({ params, body, access }) =>
    writeRecord(deps.db, 'sprayers', params.record, body.version, body.value, writeOf(deps, { params, body, access })),
  );

  serve(router, deps, endpoints.writeTestSpray, async ({ params, body, access }) => {
    const library = await gardenLibrary(deps, params.garden);
    requireEntry(library.interventions, body.value.intervention, ['value', 'intervention']);
    return writeRecord(deps.db, 'testSprays', params.record, body.version, body.value, writeOf(deps, { params, body, access }));
  });
}
