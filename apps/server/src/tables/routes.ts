import { endpoints } from '@field-nurse/contract';
import type { ListedRecord } from '@field-nurse/contract';
import type Router from '@koa/router';
import { Readable } from 'node:stream';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { gardenLaw } from '../gardens/gardenQueries.js';
import { gardenLibrary } from '../library/gardenLibrary.js';
import { addRecords } from '../records/addRecords.js';
import { judgeListed } from './judgeListed.js';
import { namesIn, writeTable } from './writeTable.js';

/** Lists that are brought in, and lists that leave as CSV. */
export function tableRoutes(router: Router, deps: Deps): void {
  const { db } = deps;

  serve(router, deps, endpoints.addRecords, async ({ params, body, access }) => {
    const library = await gardenLibrary(deps, params.garden);
    const garden = await gardenLaw(db, params.garden, deps.now);
    const personId = access.person!.id;
    const { added, known } = await addRecords(
      db,
      body.records.map(({ subject, record, value }) => ({ subject, record, value })),
      { gardenId: garden.id, personId, at: deps.now() },
      (tx, one, place) => judgeListed(tx, library, garden, personId, one as unknown as ListedRecord, place),
    );
    return { added: [...added], known };
  });

  serve(router, deps, endpoints.table, async ({ params: { garden, table }, ctx }) => {
    const names = await namesIn(db, await gardenLibrary(deps, garden), garden);
    ctx.attachment(`${table}.csv`);
    ctx.type = 'text/csv; charset=utf-8';
    return Readable.from(writeTable(db, names, garden, table)) as never;
  });
}
