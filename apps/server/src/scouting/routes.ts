import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { writeRecord } from '../records/writeRecord.js';
import { gardenClock } from '../gardens/gardenQueries.js';
import { writeOf } from '../records/writeOf.js';
import { gardenLibrary } from '../library/gardenLibrary.js';
import { requireEntry } from '../library/requireEntry.js';

// A device may be a little ahead; further than this its clock is wrong.
const clockSlackMs = 2 * 60 * 1000;

/** Rounds, their stops, measured leaves, and the grower's own thresholds. */
export function scoutingRoutes(router: Router, deps: Deps): void {
  /** A time that is still to come was written by a wrong clock: nothing is lost, and the garden's own now is taken. */
  const mended = async (garden: string, given: string) => {
    const { now } = await gardenClock(deps.db, garden, deps.now);
    const ahead = new Date(given).getTime() > now.getTime() + clockSlackMs;
    return { instant: (ahead ? now : new Date(given)).toISOString(), clockMended: ahead };
  };

  serve(router, deps, endpoints.writeScoutingRound, async ({ params, body, access }) => {
    const { value } = body;
    const start = await mended(params.garden, value.startedAt);
    const end = value.endedAt ? await mended(params.garden, value.endedAt) : undefined;
    const round = {
      ...value,
      startedAt: start.instant,
      // A clock that was set back during the round must not end it before it began.
      endedAt: end ? (end.instant < start.instant ? start.instant : end.instant) : null,
      clockMended: start.clockMended || (end?.clockMended ?? false),
    };
    return writeRecord(deps.db, 'scoutingRounds', params.record, body.version, round, writeOf(deps, { params, body, access }));
  });

  serve(router, deps, endpoints.writeStop, async ({ params, body, access }) => {
    const { value } = body;
    const library = await gardenLibrary(deps, params.garden);
    value.signs.forEach((sign, i) => requireEntry(library.signs, sign, ['value', 'signs', i]));
    if (value.target) requireEntry(library.conditions, value.target, ['value', 'target']);
    const { instant, clockMended } = await mended(params.garden, value.lookedAt);
    const stop = { ...value, lookedAt: instant, clockMended };
    return writeRecord(deps.db, 'stops', params.record, body.version, stop, writeOf(deps, { params, body, access }));
  });

  serve(router, deps, endpoints.writeLeafMeasurement, async ({ params, body, access }) => {
    const { instant } = await mended(params.garden, body.value.measuredAt);
    const leafMeasurement = { ...body.value, measuredAt: instant };
    return writeRecord(deps.db, 'leafMeasurements', params.record, body.version, leafMeasurement, writeOf(deps, { params, body, access }));
  });

  serve(router, deps, endpoints.writeDrill, async ({ params, body, access }) => {
    const { instant } = await mended(params.garden, body.value.heldAt);
    return writeRecord(
      deps.db,
      'drills',
      params.record,
      body.version,
      { ...body.value, heldAt: instant },
      writeOf(deps, { params, body, access }),
    );
  });

  serve(router, deps, endpoints.writeThreshold, async ({ params, body, access }) => {
    const library = await gardenLibrary(deps, params.garden);
    requireEntry(library.conditions, body.value.condition, ['value', 'condition']);
    return writeRecord(deps.db, 'thresholds', params.record, body.version, body.value, writeOf(deps, { params, body, access }));
  });
}
