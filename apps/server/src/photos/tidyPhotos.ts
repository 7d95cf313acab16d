import { and, eq, gt, isNotNull } from 'drizzle-orm';
import type { Deps } from '../deps.js';
import { deletedGardens, gardens } from '../gardens/tables.js';
import { photoOfFile, writePhoto } from './photoFiles.js';
import { photos } from './tables.js';

type PhotoDeps = Pick<Deps, 'db' | 'photoFiles' | 'now'>;

const dayMs = 24 * 60 * 60 * 1000;

/** Pictures that earlier versions kept in rows go to the store, one after the other. @returns how many went */
export async function movePhotosOut({ db, photoFiles }: PhotoDeps): Promise<number> {
  for (let moved = 0; ; moved++) {
    const [one] = await db
      .select({ gardenId: photos.gardenId, id: photos.id, image: photos.image })
      .from(photos)
      .where(isNotNull(photos.image))
      .limit(1);
    if (!one) return moved;
    await writePhoto(photoFiles, one.gardenId, one.id, one.image!);
    await db
      .update(photos)
      .set({ image: null })
      .where(and(eq(photos.gardenId, one.gardenId), eq(photos.id, one.id)));
  }
}

/** Pictures of gardens that were deleted go, unless the garden was brought back since. */
export async function removePhotosOfDeleted({ db, photoFiles }: PhotoDeps): Promise<void> {
  for (const { garden } of await db.select().from(deletedGardens)) {
    const isBack = (await db.$count(gardens, eq(gardens.id, garden))) > 0;
    if (!isBack) await photoFiles.removeFolder(garden);
    await db.delete(deletedGardens).where(eq(deletedGardens.garden, garden));
  }
}

/**
 * Files without a photo go after a day: their writing was broken off. Only in gardens that are here, so that a store can't be emptied by a server that
 * was started on another database.
 */
export async function removeStrayFiles({ db, photoFiles, now }: PhotoDeps): Promise<void> {
  const yesterday = now().getTime() - dayMs;
  for (const { id } of await db.select({ id: gardens.id }).from(gardens).where(gt(gardens.photoCount, 0))) {
    const rows = await db.select({ id: photos.id }).from(photos).where(eq(photos.gardenId, id));
    const known = new Set(rows.map((row) => row.id));
    for (const { name, writtenAt } of await photoFiles.list(id))
      if ((name.endsWith('.part') || !known.has(photoOfFile(name))) && writtenAt.getTime() < yesterday) await photoFiles.remove(name);
  }
}
