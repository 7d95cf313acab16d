import { endpoints } from '@field-nurse/contract';
import { checkOwnEntry } from '@field-nurse/library';
import type Router from '@koa/router';
import { invalidFields } from '../http/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { writeRecord } from '../records/writeRecord.js';
import { writeOf } from '../records/writeOf.js';
import { gardenLibrary } from './gardenLibrary.js';
import { refuseRegionInUse } from './refuseRegionInUse.js';

/** A garden's own entries, checked by the library's own schema before they are kept. */
export function ownEntryRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.writeOwnEntry, async ({ params, body, access }) => {
    const { kind, entry, endedOn } = body.value;
    if (endedOn) await refuseRegionInUse(deps, params.garden, { kind, entry });
    const library = await gardenLibrary(deps, params.garden, params.record);
    const checked = endedOn ? { entry } : checkOwnEntry(library, kind, entry);
    if ('faults' in checked)
      throw invalidFields(checked.faults.map(({ path, message }) => ({ path: ['value', 'entry', ...path], code: 'entry', message })));
    const value = { ...body.value, entry: checked.entry };
    return writeRecord(deps.db, 'ownEntries', params.record, body.version, value, writeOf(deps, { params, body, access }));
  });
}
