import type { Picture } from '@field-nurse/core/leaf';
import { shrinkPhoto } from '../gardens/shrink-photo';

/** A photo as pixels, small enough to show and to measure. @throws NotAPhoto */
export async function openPicture(file: Blob): Promise<Picture> {
  const bitmap = await createImageBitmap(await shrinkPhoto(file));
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  const { width, height, data } = context.getImageData(0, 0, canvas.width, canvas.height);
  return { width, height, data };
}
