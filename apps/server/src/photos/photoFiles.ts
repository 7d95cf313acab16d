import { and, eq } from 'drizzle-orm';
import sharp from 'sharp';
import type { Tx } from '../records/recordStore.js';
import type { FileStore } from './fileStore.js';
import { photos } from './tables.js';

const smallSide = 320;
const smallQuality = 72;

const wholeName = (garden: string, photo: string) => `${garden}/${photo}.jpg`;
const smallName = (garden: string, photo: string) => `${garden}/${photo}-small.jpg`;

/** Which photo a file of the store belongs to. */
export const photoOfFile = (name: string): string => name.slice(name.indexOf('/') + 1).slice(0, 36);

/** Keep the picture of a photo. Call it in the transaction that adds the row: a row never stands without its picture. */
export const writePhoto = (files: FileStore, garden: string, photo: string, image: Buffer): Promise<void> =>
  files.write(wholeName(garden, photo), image);

/** The picture of a photo, from the store or from the row where earlier versions kept it. */
export async function readPhoto(tx: Pick<Tx, 'select'>, files: FileStore, garden: string, photo: string): Promise<Buffer | undefined> {
  const [row] = await tx
    .select({ image: photos.image })
    .from(photos)
    .where(and(eq(photos.gardenId, garden), eq(photos.id, photo)));
  return row && (row.image ?? (await files.read(wholeName(garden, photo))));
}

/** The same for lists, no longer than 320 pixels; made when it is first asked for. */
export async function readSmallPhoto(tx: Pick<Tx, 'select'>, files: FileStore, garden: string, photo: string): Promise<Buffer | undefined> {
  const name = smallName(garden, photo);
  const made = await files.read(name);
  if (made) return made;
  const whole = await readPhoto(tx, files, garden, photo);
  if (!whole) return undefined;
  const small = await sharp(whole)
    .resize(smallSide, smallSide, { fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: smallQuality })
    .toBuffer();
  await files.write(name, small);
  return small;
}
