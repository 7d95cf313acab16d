import { seededRandom } from '@field-nurse/core/statistics';

/** A repeatable number in [0, 1) for a seed and a whole number, so that any hour can be made without those before it. */
export function drawAt(seed: number, index: number): number {
  return seededRandom(Math.imul(seed, 0x9e3779b1) ^ Math.imul(index + 0x7f4a7c15, 0x85ebca6b))();
}

/** Smooth noise from −1 to 1: draws at whole numbers, joined by a cosine. */
export function smoothNoise(seed: number, at: number): number {
  const before = Math.floor(at);
  const share = (1 - Math.cos(Math.PI * (at - before))) / 2;
  return 2 * (drawAt(seed, before) * (1 - share) + drawAt(seed, before + 1) * share) - 1;
}
