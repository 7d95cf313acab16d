import { endpoints } from '@field-nurse/contract';
import { checkOwnEntry } from '@field-nurse/library';
import type Router from '@koa/router';
import { eq } from 'drizzle-orm';
import { ApiError, invalidFields } from '../http/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { writeRecord } from '../records/writeRecord.js';
import { writeOf } from '../records/writeOf.js';
import { gardens } from '../gardens/tables.js';
import { gardenLibrary } from './gardenLibrary.js';

/** A garden's own entries, checked by the library's own schema before they are kept. */
export function ownEntryRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.writeOwnEntry, async ({ params, body, access }) => {
    const { kind, entry, endedOn } = body.value;
    if (endedOn && kind === 'regions') await refuseInUse(deps, params.garden, entry.id);
    const library = await gardenLibrary(deps, params.garden, params.record);
    const checked = endedOn ? { entry } : checkOwnEntry(library, kind, entry);
    if ('faults' in checked)
      throw invalidFields(checked.faults.map(({ path, message }) => ({ path: ['value', 'entry', ...path], code: 'entry', message })));
    const value = { ...body.value, entry: checked.entry };
    return writeRecord(deps.db, 'ownEntries', params.record, body.version, value, writeOf(deps, { params, body, access }));
  });
}

async function refuseInUse({ db, library }: Deps, gardenId: string, region: string): Promise<void> {
  if (library.regions.some(({ id }) => id === region)) return;
  const [garden] = await db.select({ region: gardens.region }).from(gardens).where(eq(gardens.id, gardenId));
  if (garden?.region === region)
    throw new ApiError(409, 'in-use', 'The rules of this region hold in the garden: choose another region in its settings first.');
}
