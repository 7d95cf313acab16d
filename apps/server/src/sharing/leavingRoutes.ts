import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { deleteGarden } from '../gardens/deleteGarden.js';
import { gardenById } from '../gardens/gardenQueries.js';
import { invalidField } from '../http/apiError.js';
import { sessionOf } from '../people/routes.js';
import { note } from '../security/securityLog.js';
import { gardenZip } from './gardenZip.js';
import { membersOf } from './memberQueries.js';

/** Taking a garden home, and its end. */
export function leavingRoutes(router: Router, deps: Deps): void {
  const { db } = deps;

  serve(router, deps, endpoints.deleteGarden, async ({ params: { garden }, body, access }) => {
    const { name } = await gardenById(db, garden, access.person!.id);
    if (body.name !== name) throw invalidField(['name'], 'other-name', `The garden is called “${name}”. Write it just so to delete it.`);
    await db.transaction((tx) => deleteGarden(tx, garden));
    return sessionOf(deps, access.person!.id);
  });

  serve(router, deps, endpoints.downloadGarden, async ({ params: { garden }, access, ctx }) => {
    const person = access.person!;
    const settings = await gardenById(db, garden, person.id);
    const people = await membersOf(db, garden, access.role !== 'adviser');
    await note(db, { at: deps.now(), kind: 'garden-downloaded', gardenId: garden, by: person.name, about: settings.name, address: ctx.ip });
    ctx.attachment(`${settings.name}.zip`);
    ctx.type = endpoints.downloadGarden.answerType;
    return gardenZip(db, garden, { settings, people }) as never;
  });
}
