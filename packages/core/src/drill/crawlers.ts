import { seededRandom } from '../statistics/index.js';
import { areaGrid } from './areaGrid.js';
import type { Point } from './areaGrid.js';

/** One animal on a leaf: where it sits, which way it looks, and where it has crawled to in the end. */
export interface Crawler {
  readonly at: Point;
  /** radians, clockwise from upward */
  readonly heading: number;
  readonly to: Point;
}

const tries = 60;

/**
 * Set animals on a leaf, none on another, each on its way.
 *
 * @param blades - outlines of the leaf
 * @param count - how many, 0 or more
 * @param apart - how far the middles of two are apart, in the leaf's unit; where the leaf is too full for that, as far as is found
 * @param seed - the same gives the same ones
 */
export function crawlersOn(blades: readonly (readonly Point[])[], count: number, apart: number, seed: number): Crawler[] {
  const grid = areaGrid(blades);
  const random = seededRandom(seed);
  const placed: Crawler[] = [];
  const roomAt = (place: Point) =>
    Math.min(grid.marginOf(place) * 2, ...placed.map(({ at }) => Math.hypot(at[0] - place[0], at[1] - place[1])));
  for (let i = 0; i < count; i++) {
    let best = grid.draw(random);
    for (let n = 0; n < tries && roomAt(best) < apart; n++) {
      const other = grid.draw(random);
      if (roomAt(other) > roomAt(best)) best = other;
    }
    const heading = random() * 2 * Math.PI;
    const step = apart * (0.2 + 0.3 * random());
    placed.push({ at: best, heading, to: [best[0] + step * Math.sin(heading), best[1] - step * Math.cos(heading)] });
  }
  return placed;
}
