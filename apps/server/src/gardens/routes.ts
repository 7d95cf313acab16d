import { endpoints } from '@field-nurse/contract';
import type { GardenSettings, OwnEntry } from '@field-nurse/contract';
import { dayAt, seasonOf } from '@field-nurse/core/timing';
import type { Library, OwnEntryFacts } from '@field-nurse/library';
import type Router from '@koa/router';
import { ApiError, invalidField, notFound } from '../http/apiError.js';
import { answerText, serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { gardenLibrary } from '../library/gardenLibrary.js';
import { refuseRegionInUse } from '../library/refuseRegionInUse.js';
import { requireEntry } from '../library/requireEntry.js';
import { note } from '../security/securityLog.js';
import { latestChanges, versionsOfRecord } from '../records/changeLog.js';
import { addGarden, gardenById, gardenLaw, gardensOf, updateGarden } from './gardenQueries.js';
import { newerRecords } from '../records/newerRecords.js';
import { refuseBeyondQuota } from '../records/quotas.js';
import { dayOfRecord, firstDay, seasonJson } from '../records/seasonContents.js';
import { undoChange } from '../records/undoChange.js';
import { writeOf } from '../records/writeOf.js';
import { writeRecord } from '../records/writeRecord.js';

/** Gardens, their seasons, their places and plantings, and undo. */
export function gardenRoutes(router: Router, deps: Deps): void {
  const { db } = deps;

  serve(router, deps, endpoints.createGarden, async ({ body, access, ctx }) => {
    const person = access.person!;
    await requireSettings(deps, deps.library, body.settings, ['settings']);
    const own = (await gardensOf(db, person.id)).filter(({ id, role }) => role === 'owner' && id !== body.id);
    refuseBeyondQuota('gardens', own.length + 1);
    const { garden, made } = await addGarden(db, { id: body.id, ...body.settings, createdAt: deps.now() }, person.id);
    if (made)
      await note(db, { at: deps.now(), kind: 'garden-made', gardenId: body.id, by: person.name, about: garden.name, address: ctx.ip });
    return garden;
  });

  serve(router, deps, endpoints.changeGarden, async ({ params: { garden }, body, access, ctx }) => {
    await requireSettings(deps, await gardenLibrary(deps, garden), body, []);
    await updateGarden(db, garden, body);
    await note(db, {
      at: deps.now(),
      kind: 'garden-changed',
      gardenId: garden,
      by: access.person!.name,
      about: 'settings',
      address: ctx.ip,
    });
    return gardenById(db, garden, access.person!.id);
  });

  serve(router, deps, endpoints.gardenContents, async ({ params: { garden }, access }) => {
    // The sequence is read before the records: what changes in between comes again, and is not missed.
    const summary = await gardenById(db, garden, access.person!.id);
    const law = await gardenLaw(db, garden, deps.now);
    const today = dayAt(law.now.toISOString(), law.timeZone);
    const season = seasonOf(today, law.seasonStart);
    const first = await firstDay(db, garden);
    const firstSeason = seasonOf(first && first < season.from ? first : season.from, law.seasonStart).from;
    const head = JSON.stringify({ garden: summary, sequence: law.sequence, season, firstSeason });
    return answerText(
      `${head.slice(0, -1)},${(await seasonJson(db, { gardenId: garden, timeZone: law.timeZone, ...season, today, running: true })).slice(1)}`,
    );
  });

  serve(router, deps, endpoints.season, async ({ params: { garden, day } }) => {
    const { timeZone, seasonStart } = await gardenLaw(db, garden, deps.now);
    return answerText(await seasonJson(db, { gardenId: garden, timeZone, ...seasonOf(day, seasonStart), today: day, running: false }));
  });

  serve(router, deps, endpoints.newerRecords, async ({ params: { garden }, query: { since }, access }) => {
    const { sequence } = await gardenLaw(db, garden, deps.now);
    return { garden: await gardenById(db, garden, access.person!.id), ...(await newerRecords(db, garden, since, sequence)) };
  });

  serve(router, deps, endpoints.dayOfRecord, async ({ params: { garden, record } }) => {
    const day = await dayOfRecord(db, garden, record);
    if (!day) throw notFound('This record');
    return { day };
  });

  serve(router, deps, endpoints.writePlace, ({ params, body, access }) =>
    writeRecord(db, 'places', params.record, body.version, body.value, writeOf(deps, { params, body, access })),
  );

  serve(router, deps, endpoints.writePlanting, async ({ params, body, access }) => {
    const library = await gardenLibrary(deps, params.garden);
    requireEntry(library.hosts, body.value.host, ['value', 'host']);
    return writeRecord(db, 'plantings', params.record, body.version, body.value, writeOf(deps, { params, body, access }));
  });

  serve(router, deps, endpoints.changes, ({ params }) => latestChanges(db, params.garden));

  serve(router, deps, endpoints.pastVersions, ({ params }) => versionsOfRecord(db, params.garden, params.record));

  serve(router, deps, endpoints.undo, async ({ params, body, access }) => {
    const undone = await undoChange(
      db,
      body.undoes,
      writeOf(deps, { params, body, access }),
      async ({ subject, personId, before, after }) => {
        if (access.role === 'adviser' && (subject !== 'comments' || personId !== access.person!.id))
          throw new ApiError(403, 'not-allowed', 'You advise this garden: you may take back your own comments.');
        const wasThere = before !== null && (before as Partial<OwnEntry>).endedOn === null;
        if (subject === 'ownEntries' && after && !wasThere) await refuseRegionInUse(deps, params.garden, after as OwnEntryFacts);
      },
    );
    return undone as never;
  });
}

/** The region is one of the library's or of the garden's own, and the station one that can be read. */
async function requireSettings({ stations }: Deps, { regions }: Library, settings: GardenSettings, path: readonly string[]): Promise<void> {
  requireEntry(regions, settings.region, [...path, 'region']);
  const { weatherStation } = settings;
  // While no station answers, or none is set up, what was chosen stays as it is and is judged when it is read.
  const known = weatherStation ? await stations.list().catch(() => []) : [];
  if (known.length > 0 && !known.some(({ id }) => id === weatherStation))
    throw invalidField([...path, 'weatherStation'], 'unknown-entry', 'This weather station is not there.');
}
