import sharp from 'sharp';
import { ApiError } from '../http/apiError.js';

const longestSide = 1600;
const mostPixels = 60_000_000;
const quality = 82;
const known = new Set(['jpeg', 'png', 'webp']);

/**
 * A picture as it is kept: turned upright, no longer than 1600 pixels, and without anything that the file said beside it (place, camera, owner).
 * What it is, is told by its content, not by its name.
 *
 * @throws ApiError when it is no picture, or too large to open
 */
export async function cleanPhoto(file: Buffer): Promise<{ image: Buffer; width: number; height: number }> {
  if (file.length === 0) throw new ApiError(415, 'not-a-picture', 'This file is empty.');
  // Reading the header opens no pixels, so it needs no limit.
  const { format, width, height } = await sharp(file, { limitInputPixels: false })
    .metadata()
    .catch(() => ({ format: undefined, width: 0, height: 0 }));
  if (!format || !known.has(format))
    throw new ApiError(415, 'not-a-picture', 'This file is not a JPEG, PNG or WebP picture, whatever its name says.');
  if (width * height > mostPixels)
    throw new ApiError(
      413,
      'too-many-pixels',
      `This picture has ${Math.round((width * height) / 1e6)} million pixels; up to 60 can be opened.`,
    );
  const upright = sharp(file, { limitInputPixels: mostPixels, failOn: 'error' })
    .rotate()
    .resize(longestSide, longestSide, { fit: 'inside', withoutEnlargement: true });
  const { data, info } = await upright
    .jpeg({ quality })
    .toBuffer({ resolveWithObject: true })
    .catch(() => {
      throw new ApiError(415, 'broken-picture', 'This picture is broken: it ends too early or can not be read.');
    });
  return { image: data, width: info.width, height: info.height };
}
