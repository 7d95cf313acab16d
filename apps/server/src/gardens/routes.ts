import { endpoints, storedRecords } from '@field-nurse/contract';
import type { GardenContents, Subject } from '@field-nurse/contract';
import type Router from '@koa/router';
import { invalidField } from '../api/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { personByEmail } from '../people/queries.js';
import { latestChanges, recordsOf, undoChange, writeRecord } from './changeQueries.js';
import { addGarden, addMember, gardenById, membersOf, updateGarden } from './gardenQueries.js';
import { gardenLibrary } from '../library/gardenLibrary.js';
import { requireEntry } from '../library/requireEntry.js';
import { writeOf } from './writeOf.js';

/** Gardens, their people, places and plantings, and undo. */
export function gardenRoutes(router: Router, deps: Deps): void {
  const { db } = deps;

  serve(router, deps, endpoints.createGarden, ({ body, access }) => {
    requireEntry(deps.library.regions, body.settings.region, ['settings', 'region']);
    return addGarden(db, { id: body.id, ...body.settings, createdAt: deps.now() }, access.person!.id);
  });

  serve(router, deps, endpoints.changeGarden, async ({ params, body, access }) => {
    requireEntry(deps.library.regions, body.region, ['region']);
    await updateGarden(db, params.garden, body);
    return gardenById(db, params.garden, access.person!.id);
  });

  serve(router, deps, endpoints.gardenContents, async ({ params: { garden }, access }) => {
    const subjects = Object.keys(storedRecords) as Subject[];
    const summary = await gardenById(db, garden, access.person!.id);
    const lists = await Promise.all(subjects.map(async (subject) => [subject, await recordsOf(db, subject, garden)] as const));
    return { garden: summary, ...Object.fromEntries(lists) } as GardenContents;
  });

  serve(router, deps, endpoints.members, ({ params }) => membersOf(db, params.garden));

  serve(router, deps, endpoints.addMember, async ({ params, body }) => {
    const person = await personByEmail(db, body.email);
    if (!person) throw invalidField(['email'], 'unknown', 'Nobody has an account with this address yet. They make one first.');
    const others = await membersOf(db, params.garden);
    if (others.some(({ email, role }) => email === person.email && role === 'owner'))
      throw invalidField(['email'], 'owner', 'This person owns the garden.');
    await addMember(db, params.garden, person.id, body.role);
    return membersOf(db, params.garden);
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

  serve(router, deps, endpoints.undo, async ({ params, body, access }) => {
    const undone = await undoChange(db, body.undoes, writeOf(deps, { params, body, access }));
    return undone as never;
  });
}
