import { turn } from './geometry';
import type { Point } from './shape';

/** A blade with its outline, from which marks are placed, and its veins. */
export interface Blade {
  readonly outline: readonly Point[];
  readonly midrib: readonly Point[];
  readonly sideVeins: readonly (readonly Point[])[];
  /** at its broadest, in sheet units */
  readonly width: number;
}

/** Half the width of a blade at t, 0 at the base and 1 at the tip, in sheet units. */
export type HalfWidth = (t: number) => number;

/** An edge with so many saw teeth on each side, cut by this share of the width. */
export const toothed =
  (width: HalfWidth, teeth: number, depth: number): HalfWidth =>
  (t) =>
    width(t) * (1 - depth * ((t * teeth) % 1));

/** An edge with so many waves on each side. */
export const waved =
  (width: HalfWidth, waves: number, depth: number): HalfWidth =>
  (t) =>
    width(t) * (1 - depth / 2 + (depth / 2) * Math.cos(2 * Math.PI * waves * t));

/**
 * A blade from how wide it is along its midrib.
 *
 * @param base - where it meets its stalk
 * @param bend - how far the midrib swings aside
 * @param lobes - how far the blade hangs below its base on both sides of the stalk
 * @param parallel - veins run along the blade, as in leeks and grasses
 * @param steps - points on each side; toothed edges need more
 */
export function blade(
  width: HalfWidth,
  base: Point,
  length: number,
  bend: number,
  { lobes = 0, parallel = false, steps = 28 } = {},
): Blade {
  const hang = (t: number) => lobes * Math.sin(Math.PI * Math.min(1, t / 0.36));
  const axis = (t: number): Point => [base[0] + bend * Math.sin(Math.PI * t * 0.9), base[1] - length * t];
  const side = (sign: number) =>
    Array.from({ length: steps + 1 }, (_, i): Point => {
      const t = i / steps;
      const [x, y] = axis(t);
      return [x + sign * width(t), y + hang(t)];
    });
  /** A place on the blade: so far along it, and by this share of its half width aside. */
  const place = (t: number, share: number): Point => {
    const [x, y] = axis(t);
    return [x + share * width(t), y];
  };
  const branching = () =>
    [0.2, 0.36, 0.52, 0.68].flatMap((t) => [-1, 1].map((sign) => [axis(t), place(t + 0.07, 0.55 * sign), place(t + 0.14, 0.86 * sign)]));
  // Neighbours stand two apart in the list, as the branching ones of a side do.
  const along = () => [-0.66, 0.33, -0.33, 0.66].map((share) => [0.04, 0.3, 0.6, 0.9].map((t) => place(t, share)));
  const sideVeins = parallel ? along() : branching();
  return {
    outline: [...side(1), ...side(-1).reverse()],
    midrib: [0, 0.2, 0.4, 0.6, 0.8, 0.97].map(axis),
    sideVeins,
    width: 2 * Math.max(...Array.from({ length: steps }, (_, i) => width(i / steps))),
  };
}

/** A blade that was built about the middle of the sheet, with its base there, set elsewhere and turned. */
export function moved({ outline, midrib, sideVeins, width }: Blade, to: Point, angle: number): Blade {
  const move = (points: readonly Point[]) => points.map(([x, y]) => turn([x + to[0] - 50, y + to[1] - 50], to, angle));
  return { outline: move(outline), midrib: move(midrib), sideVeins: sideVeins.map(move), width };
}
