import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { writeRecord } from '../records/writeRecord.js';
import { writeOf } from '../records/writeOf.js';
import { requireEntry } from '../library/requireEntry.js';

/** What was looked at and done on the prevention walk. */
export function preventionRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.writePreventionTask, ({ params, body, access }) => {
    requireEntry(deps.library.tasks, body.value.task, ['value', 'task']);
    return writeRecord(deps.db, 'preventionTasks', params.record, body.version, body.value, writeOf(deps, { params, body, access }));
  });
}
