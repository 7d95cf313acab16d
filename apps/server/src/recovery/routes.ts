import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { writeRecord } from '../records/writeRecord.js';
import { writeOf } from '../records/writeOf.js';

/** Recovery looks, what was picked, what was learnt, and what was taken out. */
export function recoveryRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.writeAssessment, ({ params, body, access }) =>
    writeRecord(deps.db, 'assessments', params.record, body.version, body.value, writeOf(deps, { params, body, access })),
  );
  serve(router, deps, endpoints.writeHarvest, ({ params, body, access }) =>
    writeRecord(deps.db, 'harvests', params.record, body.version, body.value, writeOf(deps, { params, body, access })),
  );
  serve(router, deps, endpoints.writeLesson, ({ params, body, access }) =>
    writeRecord(deps.db, 'lessons', params.record, body.version, body.value, writeOf(deps, { params, body, access })),
  );
  serve(router, deps, endpoints.writeRemoval, ({ params, body, access }) =>
    writeRecord(deps.db, 'removals', params.record, body.version, body.value, writeOf(deps, { params, body, access })),
  );
}
