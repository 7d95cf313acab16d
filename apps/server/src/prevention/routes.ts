import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { writeRecord } from '../records/writeRecord.js';
import { writeOf } from '../records/writeOf.js';
import { invalidField } from '../http/apiError.js';
import { requireEntry } from '../library/requireEntry.js';

/** What was looked at and done on the prevention walk, and what happened to ground that rests. */
export function preventionRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.writePreventionTask, ({ params, body, access }) => {
    requireEntry(deps.library.tasks, body.value.task, ['value', 'task']);
    return writeRecord(deps.db, 'preventionTasks', params.record, body.version, body.value, writeOf(deps, { params, body, access }));
  });

  serve(router, deps, endpoints.writeGroundEvent, ({ params, body, access }) => {
    const { kind, condition } = body.value;
    if (condition) requireEntry(deps.library.conditions, condition, ['value', 'condition']);
    else if (kind === 'tested-clean' || kind === 'tested-there')
      throw invalidField(['value', 'condition'], 'required', 'A test is for something: name what it looked for.');
    return writeRecord(deps.db, 'groundEvents', params.record, body.version, body.value, writeOf(deps, { params, body, access }));
  });
}
