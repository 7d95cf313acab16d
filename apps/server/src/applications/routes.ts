import { endpoints } from '@field-nurse/contract';
import { intervalsAfter } from '@field-nurse/core/timing';
import type Router from '@koa/router';
import { invalidField } from '../api/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { recordById } from '../gardens/recordStore.js';
import { writeRecord } from '../gardens/writeRecord.js';
import { gardenClock } from '../gardens/gardenQueries.js';
import { writeOf } from '../gardens/writeOf.js';
import { requireEntry } from '../library/requireEntry.js';

/** The log: applications, with the times that must be waited for. */
export function logRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.writeApplication, async ({ params, body, access }) => {
    const { garden, record } = params;
    const { version, value } = body;
    const card = requireEntry(deps.library.interventions, value.intervention, ['value', 'intervention']);
    const clock = await gardenClock(deps.db, garden, deps.now);
    if (new Date(value.appliedAt) > clock.now)
      throw invalidField(['value', 'appliedAt'], 'in-future', 'Log it once it is done: this time is still to come.');
    const planting = await recordById(deps.db, 'plantings', garden, value.plantingId);
    const waits = intervalsAfter(new Date(value.appliedAt).toISOString(), clock.timeZone, card, planting?.eaten ?? false);
    const isoInstant = (instant: string) => new Date(instant).toISOString();
    const stored = { ...value, ...waits, appliedAt: isoInstant(value.appliedAt), reEntryAt: isoInstant(waits.reEntryAt) };
    return writeRecord(deps.db, 'applications', record, version, stored, writeOf(deps, { params, body, access }));
  });
}
