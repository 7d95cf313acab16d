import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { gardenById } from '../gardens/gardenQueries.js';
import { ApiError } from '../http/apiError.js';
import { note } from '../security/securityLog.js';
import { membersOf } from '../sharing/memberQueries.js';
import { restoreGarden } from './restoreGarden.js';
import { writeArchive } from './writeArchive.js';

const { maxBytes } = endpoints.restoreGarden.upload;

/** Taking a garden home, and bringing it back. */
export function archiveRoutes(router: Router, deps: Deps): void {
  const { db } = deps;

  serve(router, deps, endpoints.downloadGarden, async ({ params: { garden }, access, ctx }) => {
    const person = access.person!;
    const settings = await gardenById(db, garden, person.id);
    const people = await membersOf(db, garden, access.role !== 'adviser');
    await note(db, { at: deps.now(), kind: 'garden-downloaded', gardenId: garden, by: person.name, about: settings.name, address: ctx.ip });
    ctx.attachment(`${settings.name}.zip`);
    ctx.type = endpoints.downloadGarden.answerType;
    return writeArchive(deps, garden, { exportedAt: deps.now().toISOString(), people }) as never;
  });

  serve(router, deps, endpoints.restoreGarden, async ({ query, access, ctx }) => {
    const person = access.person!;
    const folder = await mkdtemp(join(tmpdir(), 'field-nurse-archive-'));
    try {
      const file = join(folder, 'garden.zip');
      await keepUpload(ctx.req, file);
      const { garden, records, photos } = await restoreGarden(deps, file, person, { as: query.as, now: deps.now() });
      const summary = await gardenById(db, garden, person.id);
      await note(db, {
        at: deps.now(),
        kind: 'garden-made',
        gardenId: garden,
        by: person.name,
        about: `${summary.name}, restored`,
        address: ctx.ip,
      });
      return { garden: summary, records, photos };
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  });
}

async function keepUpload(from: Readable, file: string): Promise<void> {
  let length = 0;
  const limit = new Transform({
    transform(part: Buffer, _, done) {
      length += part.length;
      if (length > maxBytes) done(new ApiError(413, 'too-large', `An archive may have up to ${maxBytes / 1e9} gigabytes.`));
      else done(null, part);
    },
  });
  try {
    await pipeline(from, limit, createWriteStream(file));
  } catch (error) {
    throw error instanceof ApiError ? error : new ApiError(400, 'cut-off', 'The archive did not arrive whole. Send it again.');
  }
}
