import { distance, isInside } from './geometry';
import type { Blade } from './leaf';
import type { Point } from './shape';

/** What a mark is drawn from: chance, how bad it is (0 to 1), and the leaf it sits on. */
export interface Canvas {
  readonly random: () => number;
  readonly severity: number;
  readonly blades: readonly Blade[];
}

const tries = 24;

// Where no point was found so far from the margin, half as far is tried, down to this.
const leastInset = 0.5;
// No point is wanted nearer to the margin than this share of the blade's width.
const widestInset = 0.3;

/**
 * Up to `count` points on the blades, at least `apart` from each other and `inset` from the margin; nearer to the margin where the blade is
 * too narrow for that.
 */
export function scatter({ random, blades, severity }: Canvas, count: number, apart: number, inset = 2): Point[] {
  const own = blades.map(({ outline, width }) => ({ outline, box: boxOf(outline), inset: Math.min(inset, width * widestInset) }));
  const sheet = boxOf(blades.flatMap(({ outline }) => outline));
  const points: Point[] = [];
  for (let i = 0; i < count * tries && points.length < count; i++) {
    const point: Point = [sheet.left + random() * (sheet.right - sheet.left), sheet.top + random() * (sheet.bottom - sheet.top)];
    if (
      points.every((other) => distance(point, other) >= apart) &&
      own.some((one) => isWithin(point, one.box) && liesWithin(point, one.outline, one.inset))
    )
      points.push(point);
  }
  return points.length === 0 && inset > leastInset ? scatter({ random, blades, severity }, count, apart, inset / 2) : points;
}

interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** The smallest upright box that holds the points. */
export function boxOf(points: readonly Point[]): Box {
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const [x, y] of points) [left, right, top, bottom] = [Math.min(left, x), Math.max(right, x), Math.min(top, y), Math.max(bottom, y)];
  return { left, right, top, bottom };
}

const isWithin = ([x, y]: Point, { left, right, top, bottom }: Box) => x >= left && x <= right && y >= top && y <= bottom;

function liesWithin(point: Point, outline: readonly Point[], inset: number): boolean {
  return isInside(point, outline) && outline.every((corner) => distance(point, corner) >= inset);
}
