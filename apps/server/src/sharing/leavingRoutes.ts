import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { deleteGarden } from '../gardens/deleteGarden.js';
import { gardenById } from '../gardens/gardenQueries.js';
import { invalidField } from '../http/apiError.js';
import { sessionOf } from '../people/routes.js';

/** The end of a garden. */
export function leavingRoutes(router: Router, deps: Deps): void {
  const { db } = deps;

  serve(router, deps, endpoints.deleteGarden, async ({ params: { garden }, body, access }) => {
    const { name } = await gardenById(db, garden, access.person!.id);
    if (body.name !== name) throw invalidField(['name'], 'other-name', `The garden is called “${name}”. Write it just so to delete it.`);
    await db.transaction((tx) => deleteGarden(tx, garden));
    return sessionOf(deps, access.person!.id);
  });
}
