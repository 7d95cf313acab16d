import { seededRandom } from '@field-nurse/core/statistics';
import { closedPath, ellipse, openPath, polar } from './geometry';
import type { LeafShape } from './leaf';
import { blades, drawBlades } from './leaf';
import { leafMarks } from './leaf-marks';
import { both, dots, patches } from './mark-makers';
import type { Mark } from './mark-makers';
import { scatter } from './placing';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

type Pair = readonly [fresh: Mark, old: Mark];

/** Holes with a rim, which is what tells their age. */
const holes =
  (rim: Tone): Mark =>
  (canvas) =>
    scatter(canvas, 6, 17, 8).flatMap((at) => {
      const corners = Array.from({ length: 9 }, () => 5 + 4 * canvas.random());
      const edge = (wider: number) => closedPath(corners.map((reach, i) => polar(at, reach + wider, (i / 9) * 2 * Math.PI)));
      return [wash(edge(1.9), rim), inked(edge(0), 'paper', 0.6)];
    });

const soft: Mark = (canvas) => scatter(canvas, 8, 6, 4).map((at) => inked(ellipse(at, 2, 1.5, canvas.random() * 3), 'leaf-deep', 0.4));

const insects: Mark = (canvas) =>
  scatter(canvas, 9, 12, 7).flatMap(([x, y], i) => [
    ...[-1, 1].flatMap((side) => [-1.6, 0.4, 2.4].map((down) => stroke(`M${x + side * 2} ${y + down}l${side * 2.6} ${down * 0.7}`, 0.5))),
    inked(ellipse([x, y], 2.6, 3.8), 'leaf', 0.7),
    ...(i % 2 === 0 ? [inked(ellipse([x + 6, y + 2], 1.7, 1.7), 'water', 0.4), wash(ellipse([x + 5.5, y + 1.5], 0.5, 0.5), 'white')] : []),
  ]);

const husks: Mark = (canvas) =>
  scatter(canvas, 11, 10, 6).flatMap(([x, y], i) =>
    i % 3 === 0
      ? [inked(ellipse([x, y], 3.2, 3.8), 'amber', 0.7), wash(ellipse([x, y + 1], 1.3, 1.3), 'dark')]
      : [inked(ellipse([x, y], 1.6, 3, canvas.random() * 3), 'white', 0.5), stroke(`M${x - 1} ${y}l2 1`, 0.4, 0.6)],
  );

/** A mine from its narrow beginning to its wide end. */
const mine =
  (fill: Tone, end: (at: Point) => Shape[]): Mark =>
  ({ random }) => {
    const spine = Array.from({ length: 12 }, (_, i): Point => [40 + 11 * Math.sin(i * 0.95) + 2 * random(), 82 - 4.6 * i]);
    const wide = (i: number) => 1.4 + 0.45 * i;
    return [
      ...spine.slice(2).map((_, i) => ({ d: openPath(spine.slice(i, i + 3)), fill: 'dark' as const, line: -(wide(i) + 1) })),
      ...spine.slice(2).map((_, i) => ({ d: openPath(spine.slice(i, i + 3)), fill, line: -wide(i) })),
      stroke(openPath(spine), 0.5, 0.6),
      ...end(spine.at(-1)!),
    ];
  };

const eggs =
  (one: (at: Point) => Shape[]): Mark =>
  ({ random }) =>
    Array.from({ length: 14 }, (_, i): Point => [41 + (i % 4) * 6 + random(), 40 + Math.floor(i / 4) * 8 + random()]).flatMap(one);

const pairs: Readonly<Record<string, Pair>> = {
  'fresh/holes': [both(holes('leaf-deep'), soft), holes('brown')],
  'fresh/spots': [
    patches({ fill: 'brown', least: 7, most: 7, size: [5, 6], halo: 'yellow', roughness: 0.2 }),
    (canvas) =>
      scatter(canvas, 9, 13, 6).flatMap((at, i) => [
        inked(ellipse(at, 5, 4.6), 'dark', 0.4),
        i % 3 === 0 ? inked(ellipse(at, 3.8, 3.4), 'paper', 0.5) : wash(ellipse(at, 3.8, 3.4), 'cream'),
      ]),
  ],
  'fresh/powder': [
    leafMarks['powder']!,
    both(
      patches({ fill: 'brown', least: 4, most: 4, size: [6, 8], opacity: 0.65, roughness: 0.4 }),
      patches({ fill: 'grey', least: 7, most: 7, size: [6, 9], opacity: 0.6, roughness: 0.45 }),
      dots({ fill: 'dark', least: 34, most: 34, size: [0.5, 0.8], apart: 3 }),
    ),
  ],
  'fresh/insects': [insects, husks],
  'fresh/mines': [
    mine('cream', ([x, y]) => [inked(ellipse([x, y + 2], 2.6, 4.6, 0.3), 'leaf', 0.7), wash(ellipse([x, y - 1.6], 1.2, 1.2), 'dark')]),
    mine('brown', ([x, y]) => [inked(`M${x - 5} ${y + 4}L${x} ${y - 3}L${x + 5} ${y + 4}L${x} ${y + 1}Z`, 'paper', 0.7)]),
  ],
  'fresh/rust': [
    leafMarks['pustules']!,
    both(patches({ fill: 'brown', least: 6, most: 6, size: [5, 7], opacity: 0.75 }), (canvas) =>
      scatter(canvas, 24, 6, 3).flatMap((at) => [inked(ellipse(at, 1.9, 1.6), 'brown', 0.5), wash(ellipse(at, 1, 0.8), 'dark')]),
    ),
  ],
  'fresh/eggs': [
    eggs(([x, y]) => [inked(ellipse([x, y], 2.4, 3.4), 'yellow', 0.7), wash(ellipse([x - 0.8, y - 1], 0.6, 1), 'white', 0.9)]),
    eggs(([x, y]) => [
      inked(`M${x - 2.2} ${y + 2.6}L${x - 2.6} ${y - 1.6}L${x} ${y - 0.4}L${x + 2.4} ${y - 1.8}L${x + 2.2} ${y + 2.8}Z`, 'cream', 0.6),
      wash(ellipse([x, y], 1.1, 0.9), 'dark'),
    ]),
  ],
};

/** Signs that can be drawn fresh and old. */
export const freshOrOldNames = Object.keys(pairs);

/** A leaf with a sign whose cause is at work, or is over. */
export function drawFreshOrOld(id: string, isFresh: boolean, leaf: LeafShape, seed: number): Shape[] {
  const own = blades(leaf);
  const [fresh, old] = pairs[id]!;
  return [...drawBlades(leaf, own), ...(isFresh ? fresh : old)({ random: seededRandom(seed), severity: 0.5, blades: own })];
}
