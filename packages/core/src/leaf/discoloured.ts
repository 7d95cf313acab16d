import type { Lab } from './cielab.js';
import type { Mask } from './mask.js';
import { emptyMask } from './mask.js';

// Width of a bin of the colour histogram.
const bin = 4;
const bins = 64;
// Colours closer to the healthy one than this are healthy, whatever their spread.
const leastDistance = 14;
const spreads = 3.5;
// Darker than this share of the healthy lightness is dead or dirty.
const darkShare = 0.4;

/**
 * Pixels of the leaf that have not the colour of its healthy part: the commonest colour, where greenish ones count double.
 * Colours are divided by lightness first, so that shade on the leaf does not count.
 */
export function discolouredMask({ lightness, a, b }: Lab, leaf: Mask): Mask {
  const scaled = (plane: Float32Array, i: number) => (60 * plane[i]!) / Math.max(15, lightness[i]!);
  const pixels: number[] = [];
  for (let i = 0; i < leaf.on.length; i++) if (leaf.on[i]) pixels.push(i);
  const healthy = healthyColour(pixels.map((i) => [scaled(a, i), scaled(b, i)] as const));
  const near = pixels.filter((i) => Math.hypot(scaled(a, i) - healthy.a, scaled(b, i) - healthy.b) < leastDistance);
  const light = near.reduce((sum, i) => sum + lightness[i]!, 0) / Math.max(1, near.length);
  const far = Math.max(leastDistance, spreads * healthy.spread);
  const out = emptyMask(leaf.width, leaf.height);
  for (const i of pixels)
    if (Math.hypot(scaled(a, i) - healthy.a, scaled(b, i) - healthy.b) > far || lightness[i]! < darkShare * light) out.on[i] = 1;
  return out;
}

function healthyColour(colours: readonly (readonly [number, number])[]) {
  const histogram = new Float64Array(bins * bins);
  const place = (value: number) => Math.min(bins - 1, Math.max(0, Math.round(value / bin) + bins / 2));
  for (const [a, b] of colours) histogram[place(a) * bins + place(b)]!++;
  let [best, a, b] = [0, -20, 25];
  for (let i = 1; i < bins - 1; i++)
    for (let j = 1; j < bins - 1; j++) {
      let count = 0;
      for (let di = -1; di <= 1; di++) for (let dj = -1; dj <= 1; dj++) count += histogram[(i + di) * bins + j + dj]!;
      const [ca, cb] = [(i - bins / 2) * bin, (j - bins / 2) * bin];
      const weight = ca < -4 ? 2 * count : count;
      if (weight > best) [best, a, b] = [weight, ca, cb];
    }
  const close = colours.filter(([ca, cb]) => Math.hypot(ca - a, cb - b) < leastDistance);
  const n = Math.max(1, close.length);
  const [ma, mb] = [close.reduce((sum, [ca]) => sum + ca, 0) / n, close.reduce((sum, [, cb]) => sum + cb, 0) / n];
  const spread = Math.sqrt(close.reduce((sum, [ca, cb]) => sum + (ca - ma) ** 2 + (cb - mb) ** 2, 0) / n / 2);
  return { a: ma, b: mb, spread };
}
