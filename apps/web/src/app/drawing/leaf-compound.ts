import { turn } from './geometry';
import type { Blade, HalfWidth } from './leaf-blade';
import { blade, moved, toothed } from './leaf-blade';
import type { Point } from './shape';

/** Where a leaflet sits, how it is turned (radians) and its size beside the others. */
type Leaflet = readonly [at: Point, angle: number, size: number];

const half =
  (most: number): HalfWidth =>
  (t) =>
    most * Math.sin(Math.PI * t ** 0.75) ** 0.85;
const leaflets = (width: HalfWidth, length: number, places: readonly Leaflet[], steps = 28): Blade[] =>
  places.map(([at, angle, size]) =>
    moved(
      blade((t) => width(t) * size, [50, 50], length * size, 1, { steps }),
      at,
      angle,
    ),
  );
/** Pairs on both sides of the middle stalk, each pair at a height, and one at the tip. */
const pinnate = (
  pairs: readonly (readonly [y: number, angle: number, size: number])[],
  tip: readonly [y: number, size: number],
): Leaflet[] => [
  [[50, tip[0]], 0.04, tip[1]],
  ...pairs.flatMap(([y, angle, size]): Leaflet[] => [
    [[49, y], -angle, size],
    [[51, y], angle, size],
  ]),
];

export const roseLeaf = () =>
  leaflets(
    toothed(half(13), 9, 0.16),
    34,
    pinnate(
      [
        [52, 1.05, 0.92],
        [72, 1.25, 0.82],
      ],
      [42, 1.05],
    ),
    44,
  );
export const plainPinnate = () =>
  leaflets(
    half(13),
    34,
    pinnate(
      [
        [52, 1.05, 0.92],
        [72, 1.25, 0.82],
      ],
      [42, 1.05],
    ),
  );
export const ashLeaf = () =>
  leaflets(
    half(8.5),
    30,
    pinnate(
      [
        [44, 0.85, 1],
        [57, 1, 1],
        [70, 1.1, 0.92],
        [82, 1.2, 0.78],
      ],
      [34, 0.9],
    ),
  );
export const trefoil = () =>
  leaflets(half(18), 42, [
    [[50, 50], 0.02, 1],
    [[48, 60], -1.2, 0.92],
    [[52, 60], 1.2, 0.92],
  ]);
export const clover = () =>
  leaflets(
    toothed(half(17), 8, 0.14),
    38,
    [
      [[50, 48], 0.02, 1],
      [[48, 58], -1.25, 0.95],
      [[52, 58], 1.25, 0.95],
    ],
    44,
  );
export const tomatoLeaf = () =>
  leaflets(
    (t) => half(12)(t) * (0.82 + 0.24 * Math.cos(6 * Math.PI * t)),
    36,
    [
      ...pinnate(
        [
          [50, 0.95, 0.88],
          [70, 1.2, 0.8],
        ],
        [40, 1.05],
      ),
      ...pinnate(
        [
          [60, 1.2, 0.3],
          [80, 1.3, 0.34],
        ],
        [44, 0.3],
      ).slice(1),
    ],
    36,
  );
export const potatoLeaf = () =>
  leaflets(half(15), 32, [
    ...pinnate(
      [
        [50, 1.0, 0.85],
        [68, 1.2, 0.78],
        [82, 1.3, 0.6],
      ],
      [42, 1.1],
    ),
    ...pinnate(
      [
        [59, 1.3, 0.3],
        [76, 1.3, 0.28],
      ],
      [44, 0.3],
    ).slice(1),
  ]);
export const peaLeaf = () =>
  leaflets(half(13), 32, [
    ...pinnate(
      [
        [46, 0.9, 0.9],
        [62, 1.15, 1],
      ],
      [30, 0.5],
    ).slice(1),
    [[46, 88], -0.9, 1.05],
    [[54, 88], 0.9, 1.05],
  ]);
export const fingers = () =>
  leaflets(
    (t) => 9.5 * Math.sin(Math.PI * t ** 1.25) ** 0.85,
    52,
    [0, 0.55, -0.55, 1.12, -1.12, 1.75, -1.75].map((angle): Leaflet => [[50, 62], angle, 1 - 0.14 * Math.abs(angle)]),
  );
export const parsleyLeaf = () =>
  leaflets(
    (t) => 17 * t ** 0.8 * (t > 0.55 ? 1 - 0.28 * ((t * 9) % 1) : 1) * (t > 0.93 ? 0.6 : 1),
    32,
    [
      [[50, 42], 0, 1],
      [[48, 56], -0.95, 0.95],
      [[52, 56], 0.95, 0.95],
      [[49, 72], -1.2, 0.7],
      [[51, 72], 1.2, 0.7],
    ],
    36,
  );

export function rosette(): Blade[] {
  return Array.from({ length: 9 }, (_, i) =>
    moved(
      blade((t) => 13 * Math.sin(Math.PI * t ** 0.7) ** 0.8, [50, 50], i % 2 ? 41 : 34, 0),
      [50, 52],
      (i / 9) * 2 * Math.PI,
    ),
  );
}

/** Pairs of narrow leaflets or needles along a middle stalk, the lowest first, and one at the tip. */
export function alongRachis(pairs: number, width: number, length: number, angle: number): Blade[] {
  const leaflet = (size: number) => blade((t) => width * Math.sin(Math.PI * t ** 0.7) ** 0.8, [50, 50], length * size, 0);
  const low = Array.from({ length: pairs }, (_, i) => {
    const t = i / (pairs - 1);
    const size = 0.72 + 0.4 * Math.sin(Math.PI * (0.25 + 0.65 * t));
    return [-1, 1].map((side) => moved(leaflet(size), [50, 84 - 56 * t], side * angle));
  });
  return [...low.flat(), moved(leaflet(0.8), [50, 30], 0)];
}

/** Side branches along a middle stalk, each with small segments of its own: carrots, fennel, cypress sprays. */
export function twicePinnate(pairs: number, width: number, length: number, branch: number): Blade[] {
  const segment = blade((t) => width * Math.sin(Math.PI * t ** 0.7) ** 0.8, [50, 50], length, 0);
  const out: Blade[] = [];
  for (let i = 0; i < pairs; i++) {
    const t = i / (pairs - 1);
    const y = 80 - 48 * t;
    const reach = branch * (1 - 0.55 * t);
    for (const side of [-1, 1]) {
      const along = (share: number): Point => turn([50, y - reach * share], [50, y], side * 0.95);
      const twig = blade((t) => 0.7 * (1 - t), [50, 50], reach, 0);
      out.push(moved(twig, [50, y], side * 0.95), moved(segment, along(1), side * 0.95));
      for (const share of [0.35, 0.7]) for (const turned of [0.3, 1.6]) out.push(moved(segment, along(share), side * turned));
    }
  }
  return [...out, ...[-0.5, 0, 0.5].map((angle) => moved(segment, [50, 30], angle))];
}
