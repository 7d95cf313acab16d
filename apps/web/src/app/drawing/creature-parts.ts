import { ellipse, openPath } from './geometry';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke } from './shape';

/** Draws an animal. */
export type Draw = (random: () => number) => Shape[];

/** Legs on both sides of a body, `pairs` of them between two heights. */
export function legs(pairs: number, from: number, to: number, reach: number, halfWidth: number): Shape[] {
  return Array.from({ length: pairs }, (_, i) => {
    const y = pairs === 1 ? from : from + ((to - from) * i) / (pairs - 1);
    const tilt = (i - (pairs - 1) / 2) * 7;
    return [-1, 1].map((side) =>
      stroke(
        openPath([
          [50 + side * halfWidth, y],
          [50 + side * (halfWidth + reach * 0.55), y + tilt * 0.4 - 3],
          [50 + side * (halfWidth + reach), y + tilt + 4],
        ]),
        1.2,
      ),
    );
  }).flat();
}

export const feelers = (y: number, length: number): Shape[] =>
  [-1, 1].map((side) =>
    stroke(
      openPath([
        [50 + side * 3, y],
        [50 + side * length * 0.5, y - length * 0.7],
        [50 + side * length, y - length * 0.8],
      ]),
      1,
    ),
  );

/** A soft body of rings along a spine. */
export function rings(spine: readonly Point[], radius: (t: number) => number, tone: Tone, head: Tone): Shape[] {
  const body = spine.map((at, i) => inked(ellipse(at, radius(i / (spine.length - 1)), radius(i / (spine.length - 1))), tone, 1));
  const first = spine[0]!;
  return [...body.reverse(), inked(ellipse(first, radius(0) * 0.92, radius(0) * 0.92), head, 1)];
}

export const line = (count: number, at: (t: number) => Point) => Array.from({ length: count }, (_, i) => at(i / (count - 1)));

/** A beetle from above, with what is peculiar to its kind drawn last. */
export function beetleLike(tone: Tone, extra: readonly Shape[] = []): Shape[] {
  return [
    ...legs(3, 44, 66, 20, 18),
    ...feelers(26, 15),
    inked(ellipse([50, 28], 9, 8), 'dark', 1),
    inked(ellipse([50, 57], 22, 28), tone, 1.3),
    stroke('M50 30V85', 0.9),
    ...extra,
  ];
}
