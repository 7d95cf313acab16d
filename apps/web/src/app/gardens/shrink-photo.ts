// Enough to see a mite's web; small enough to wait on a phone.
const longestSide = 1600;
const quality = 0.82;
const mostBytes = 60_000_000;

/** Why a file is not taken, in words for the gardener. */
export class NotAPhoto extends Error {}

/**
 * A camera's picture as it is kept: no longer than 1600 pixels, drawn afresh as JPEG, so that nothing is left of what the file said of place and camera.
 * What it is, is told by its first bytes and by whether it opens, not by its name.
 *
 * @throws NotAPhoto
 */
export async function shrinkPhoto(file: Blob): Promise<Blob> {
  if (file.size > mostBytes) throw new NotAPhoto(`This file has ${Math.round(file.size / 1e6)} megabytes; up to 60 can be opened.`);
  if (!isPicture(new Uint8Array(await file.slice(0, 12).arrayBuffer())))
    throw new NotAPhoto('This file is not a JPEG, PNG or WebP picture, whatever its name says. Nothing else was changed.');
  const opened = await createImageBitmap(file).catch(() => {
    throw new NotAPhoto('This picture is broken and can not be opened. Take it again.');
  });
  const factor = Math.min(1, longestSide / Math.max(opened.width, opened.height));
  const canvas = new OffscreenCanvas(Math.max(1, Math.round(opened.width * factor)), Math.max(1, Math.round(opened.height * factor)));
  canvas.getContext('2d')!.drawImage(opened, 0, 0, canvas.width, canvas.height);
  opened.close();
  return canvas.convertToBlob({ type: 'image/jpeg', quality });
}

/** JPEG, PNG or WebP by their first bytes. */
export function isPicture(head: Uint8Array): boolean {
  const starts = (bytes: readonly number[], from = 0) => bytes.every((byte, i) => head[from + i] === byte);
  const jpeg = starts([0xff, 0xd8, 0xff]);
  const png = starts([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  const webp = starts([0x52, 0x49, 0x46, 0x46]) && starts([0x57, 0x45, 0x42, 0x50], 8);
  return jpeg || png || webp;
}
