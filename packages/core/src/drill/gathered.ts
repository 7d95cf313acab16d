import { areaGrid } from './areaGrid.js';
import type { Point } from './areaGrid.js';

const halvings = 16;

/**
 * How far up a leaf is full when so much of it is gathered at its foot.
 *
 * @param blades - outlines of the leaf, y downward
 * @param percent - of the leaf, 0 to 100
 * @returns the height, in the leaf's unit, below which that share lies
 * @example
 * gatheredBelow([[[0, 0], [10, 0], [10, 10], [0, 10]]], 30) // => 7
 */
export function gatheredBelow(blades: readonly (readonly Point[])[], percent: number): number {
  const grid = areaGrid(blades);
  const all = blades.flat();
  const [left, right] = [Math.min(...all.map(([x]) => x)), Math.max(...all.map(([x]) => x))];
  const foot = Math.max(...all.map(([, y]) => y));
  let [low, high] = [Math.min(...all.map(([, y]) => y)), foot];
  for (let i = 0; i < halvings; i++) {
    const y = (low + high) / 2;
    const below: Point[] = [
      [left, y],
      [right, y],
      [right, foot],
      [left, foot],
    ];
    if (grid.percentOf([below]) > percent) low = y;
    else high = y;
  }
  return (low + high) / 2;
}
