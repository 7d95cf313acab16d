import { blob, closedPath, ellipse, openPath, polar } from './geometry';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

/** Draws a part of a plant or its surroundings at a severity. */
export type Draw = (severity: number, random: () => number) => Shape[];

export const soilLine: Shape[] = [wash('M6 40Q50 36 94 40V96H6Z', 'soil', 0.35), stroke('M6 40Q50 36 94 40', 1)];

/** Roots below a short stem. */
export function roots(tone: Tone, width: number, count: number): Shape[] {
  const stem = inked('M46 12H54L55 42H45Z', 'leaf', 1.1);
  const threads = Array.from({ length: count }, (_, i) => {
    const spread = (i / (count - 1) - 0.5) * 74;
    const path = openPath([
      [50, 40],
      [50 + spread * 0.35, 56],
      [50 + spread * 0.8, 70],
      [50 + spread, 92 - Math.abs(spread) * 0.35],
    ]);
    return [stroke(path, width + 0.9), { d: path, fill: tone, line: -width }];
  });
  return [...soilLine, ...threads.flat(), stem];
}

export const bulb = (lower: Tone): Shape[] => [
  inked('M50 78C22 78 20 48 44 34L46 6H54L56 34C80 48 78 78 50 78Z', 'cream', 1.3),
  stroke('M44 36C34 50 36 68 47 77M56 36C66 50 64 68 53 77M50 34V77', 0.6, 0.6),
  wash('M30 64C32 76 42 79 50 79C58 79 68 76 70 64C60 70 40 70 30 64Z', lower, 0.95),
  stroke('M44 79L40 92M50 79V94M56 79L60 92', 0.9),
];

export const tomato = (): Shape[] => [
  inked(ellipse([50, 54], 34, 32), 'red', 1.3),
  inked('M50 24L42 14L47 24L34 22L45 28L50 34L55 28L66 22L53 24L58 14Z', 'leaf', 0.8),
  stroke('M32 42Q30 54 34 66', 1.4, 0.35),
];
export const apple = (tone: Tone = 'red'): Shape[] => [
  inked('M50 30C36 18 14 28 16 54C18 78 36 92 50 86C64 92 82 78 84 54C86 28 64 18 50 30Z', tone, 1.3),
  stroke('M50 30Q50 18 56 10', 1.8),
  inked('M55 17Q66 8 74 16Q66 24 55 17Z', 'leaf', 0.8),
];
export const berry = (): Shape[] => [
  inked('M50 90C30 78 18 56 26 38C36 28 64 28 74 38C82 56 70 78 50 90Z', 'red', 1.3),
  inked('M50 30L32 22L42 32L28 38L46 38L50 46L54 38L72 38L58 32L68 22Z', 'leaf', 0.8),
  ...[
    [38, 52],
    [50, 58],
    [62, 52],
    [44, 68],
    [56, 68],
  ].map(([x, y]) => wash(ellipse([x!, y!], 1.1, 1.7), 'yellow')),
];

export function fuzz(centre: Point, radius: number, tone: Tone, random: () => number): Shape[] {
  return [
    wash(blob(centre, radius, random, 0.25), tone, 0.95),
    ...Array.from({ length: 22 }, (_, i) =>
      stroke(
        openPath([polar(centre, radius * 0.5 * random(), i * 0.29), polar(centre, radius * (1.05 + 0.3 * random()), i * 0.29)]),
        0.5,
        0.7,
      ),
    ),
  ];
}

export function flower(petals: number, extra: readonly Shape[]): Shape[] {
  const heart: Point = [50, 46];
  const ring = Array.from({ length: petals }, (_, i) => {
    const angle = (i / petals) * 2 * Math.PI;
    return inked(
      closedPath([polar(heart, 6, angle), polar(heart, 24, angle - 0.34), polar(heart, 36, angle), polar(heart, 24, angle + 0.34)]),
      'petal',
      0.9,
    );
  });
  return [
    stroke('M50 50Q52 76 48 98', 2.2),
    inked('M50 78Q66 66 76 74Q66 86 50 82Z', 'leaf', 0.9),
    ...ring,
    inked(ellipse(heart, 8, 8), 'yellow', 0.9),
    ...extra,
  ];
}

export function seedling(x: number, y: number, fallen: boolean): Shape[] {
  return fallen
    ? [
        stroke(`M${x} ${y}Q${x + 5} ${y - 3} ${x + 15} ${y + 1}`, 0.9),
        inked(ellipse([x + 18, y - 1], 5, 2.4, 0.3), 'leaf', 0.8),
        inked(ellipse([x + 17, y + 4], 5, 2.4, 0.7), 'leaf', 0.8),
      ]
    : [
        stroke(`M${x} ${y}V${y - 24}`, 1.6),
        inked(ellipse([x - 6, y - 27], 6.4, 3, 0.35), 'leaf', 0.8),
        inked(ellipse([x + 6, y - 27], 6.4, 3, -0.35), 'leaf', 0.8),
      ];
}

export const pot: Shape[] = [inked('M24 44H76L70 92H30Z', 'amber', 1.3), inked('M20 36H80V46H20Z', 'amber', 1.3)];
