import { eq, inArray } from 'drizzle-orm';
import sharp from 'sharp';
import { z } from 'zod';
import { gardens } from '../gardens/tables.js';
import type { FileStore } from '../photos/fileStore.js';
import { writePhoto } from '../photos/photoFiles.js';
import { photos } from '../photos/tables.js';
import { refuseBeyondQuota } from '../records/quotas.js';
import type { Tx } from '../records/recordStore.js';
import { archive } from './archiveFormat.js';
import { parsed } from './archivePart.js';
import { notAnArchive } from './zipFile.js';
import type { ZipFile } from './zipFile.js';

const photoSchema = z.object({
  id: z.uuid(),
  width: z.int().min(1),
  height: z.int().min(1),
  addedAt: z.iso.datetime({ offset: true }),
});
const mostBytesOfPhoto = 12_000_000;

/** Photos that are not here yet. @returns how many came */
export async function restorePhotos(tx: Tx, files: FileStore, zip: ZipFile, gardenId: string): Promise<number> {
  if (!zip.has(archive.photos)) return 0;
  const listed = parsed(z.array(photoSchema), await zip.json(archive.photos), archive.photos);
  const here = new Set((await tx.select({ id: photos.id }).from(photos).where(eq(photos.gardenId, gardenId))).map((one) => one.id));
  const missing = listed.filter((one) => !here.has(one.id));
  let bytes = 0;
  for (const { id: photo, width, height, addedAt } of missing) {
    const name = archive.photo(photo);
    const image = await zip.bytes(name, mostBytesOfPhoto);
    const { format, exif } = await sharp(image)
      .metadata()
      .catch(() => ({ format: undefined, exif: undefined }));
    if (format !== 'jpeg' || exif) throw notAnArchive(`${name} is not a photo as it is kept here.`);
    bytes += image.length;
    await tx.insert(photos).values({ gardenId, id: photo, width, height, addedAt: new Date(addedAt) });
    await writePhoto(files, gardenId, photo, image);
  }
  const [garden] = await tx
    .select()
    .from(gardens)
    .where(inArray(gardens.id, [gardenId]));
  const [photoCount, photoBytes] = [garden!.photoCount + missing.length, garden!.photoBytes + bytes];
  refuseBeyondQuota('photos', photoCount);
  refuseBeyondQuota('photoBytes', photoBytes);
  await tx.update(gardens).set({ photoCount, photoBytes }).where(eq(gardens.id, gardenId));
  return missing.length;
}
