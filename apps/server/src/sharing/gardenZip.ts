import type { Subject } from '@field-nurse/contract';
import { and, eq } from 'drizzle-orm';
import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { PassThrough } from 'node:stream';
import type { Readable } from 'node:stream';
import type { Db } from '../db/client.js';
import { photos } from '../photos/tables.js';
import { hoursBetween, sourcesOf } from '../weather/queries.js';
import { recordsOf } from '../records/recordStore.js';
import { subjectTables } from '../records/subjects.js';

/**
 * Everything in a garden as a zip: settings and people, a JSON file for each kind of record, the weather, and the photos. It is made while it is
 * sent, so that a large garden needs little memory.
 */
export function gardenZip(db: Db, gardenId: string, about: object): Readable {
  const out = new PassThrough();
  const zip = new Zip((error, chunk, last) => {
    if (error) out.destroy(error);
    else if (last) out.end(chunk);
    else out.write(chunk);
  });
  const put = async (name: string, content: Uint8Array, pressed = true) => {
    const file = pressed ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name);
    zip.add(file);
    file.push(content, true);
    if (out.writableNeedDrain) await new Promise<void>((resolve) => out.once('drain', resolve).once('close', resolve));
  };
  const putJson = (name: string, value: unknown) => put(name, new TextEncoder().encode(JSON.stringify(value, null, 1)));
  const fill = async () => {
    await putJson('garden.json', about);
    for (const subject of Object.keys(subjectTables) as Subject[])
      await putJson(`records/${subject}.json`, await recordsOf(db, subject, gardenId));
    const sources = await sourcesOf(db, gardenId);
    const hours = await hoursBetween(db, gardenId, '1900-01-01T00:00:00Z', '2999-01-01T00:00:00Z');
    await putJson('weather.json', { sources, hours });
    for (const { id } of await db.select({ id: photos.id }).from(photos).where(eq(photos.gardenId, gardenId)).orderBy(photos.id)) {
      if (out.destroyed) return;
      const [photo] = await db
        .select({ image: photos.image })
        .from(photos)
        .where(and(eq(photos.gardenId, gardenId), eq(photos.id, id)));
      if (photo) await put(`photos/${id}.jpg`, photo.image, false);
    }
    zip.end();
  };
  void fill().catch((error: Error) => out.destroy(error));
  return out;
}
