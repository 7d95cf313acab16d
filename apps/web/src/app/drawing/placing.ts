import { distance, isInside } from './geometry';
import type { Blade } from './leaf';
import type { Point } from './shape';

/** What a mark is drawn from: chance, how bad it is (0 to 1), and the leaf it sits on. */
export interface Canvas {
  readonly random: () => number;
  readonly severity: number;
  readonly blades: readonly Blade[];
}

const tries = 40;

/**
 * Up to `count` points on the blades, at least `apart` from each other and `inset` from the margin; nearer to the margin where the blade is
 * too narrow for that.
 */
export function scatter(canvas: Canvas, count: number, apart: number, inset = 2): Point[] {
  const points = scatterWithin(canvas, count, apart, inset);
  return points.length > 0 || inset < 0.5 ? points : scatter(canvas, count, apart, inset / 2);
}

function scatterWithin({ random, blades }: Canvas, count: number, apart: number, inset: number): Point[] {
  const points: Point[] = [];
  for (let i = 0; i < count * tries && points.length < count; i++) {
    const point: Point = [random() * 100, random() * 100];
    if (points.every((other) => distance(point, other) >= apart) && blades.some(({ outline }) => liesWithin(point, outline, inset)))
      points.push(point);
  }
  return points;
}

function liesWithin(point: Point, outline: readonly Point[], inset: number): boolean {
  return isInside(point, outline) && outline.every((corner) => distance(point, corner) >= inset);
}
