import { renderLeaf } from '@field-nurse/core/leaf';
import sharp from 'sharp';

const leaf = renderLeaf({ seed: 7, shape: 'ovate', holes: 4, bites: 2, spots: 5, width: 1200, height: 900, noise: 8, shadow: 0.3 });

/** percent of the drawn leaf that is eaten or discoloured */
export const drawnDamage = leaf.eatenPercent + leaf.discolouredPercent;

/** A drawn leaf on paper, as a camera would give it: JPEG. */
export const drawnLeaf = (): Promise<Buffer> =>
  sharp(Buffer.from(leaf.picture.data), { raw: { width: leaf.picture.width, height: leaf.picture.height, channels: 4 } })
    .jpeg()
    .toBuffer();
