import { blob, ellipse, polar } from './geometry';
import type { Draw } from './part-shapes';
import { apple, berry, flower, tomato } from './part-shapes';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

const cob = (gaps: (row: number, col: number) => boolean, extra: readonly Shape[] = []): Shape[] => [
  inked('M34 90C24 60 30 30 42 12C34 40 36 70 46 94Z', 'leaf', 1.1),
  inked('M66 90C76 60 70 30 58 12C66 40 64 70 54 94Z', 'leaf', 1.1),
  inked('M50 6C62 18 66 60 58 90H42C34 60 38 18 50 6Z', 'cream', 1.2),
  ...Array.from({ length: 12 }, (_, row) =>
    [0, 1, 2, 3].filter((col) => !gaps(row, col)).map((col) => inked(ellipse([41.5 + col * 5.7, 18 + row * 6], 2.8, 2.8), 'yellow', 0.6)),
  ).flat(),
  ...extra,
];
const pod = (extra: readonly Shape[]): Shape[] => [
  stroke('M16 22Q8 14 14 6', 2),
  inked('M16 22C44 18 84 46 90 84C60 86 22 62 16 22Z', 'leaf', 1.3),
  inked('M26 32C48 32 72 54 80 76C58 72 34 56 26 32Z', 'pale-leaf', 0.8),
  ...extra,
];
const cucumber = (d: string): Shape[] => [stroke('M30 12Q24 4 32 2', 2), inked(d, 'leaf-deep', 1.3)];
const grapes = (tone: (i: number) => Tone, size: (i: number) => number): Shape[] => [
  stroke('M50 2V24', 2),
  ...(
    [
      [36, 26],
      [50, 24],
      [64, 26],
      [42, 40],
      [57, 40],
      [36, 54],
      [50, 54],
      [63, 54],
      [43, 68],
      [57, 68],
      [50, 82],
    ] as Point[]
  ).map((at, i) => inked(ellipse(at, size(i), size(i)), tone(i), 1)),
];
const bud = (extra: readonly Shape[]): Shape[] => [
  stroke('M50 98V62', 2.4),
  inked('M50 82Q66 70 78 76Q68 90 50 86Z', 'leaf', 0.9),
  inked('M50 12C68 24 70 50 58 64H42C30 50 32 24 50 12Z', 'brown', 1.2),
  stroke('M50 14V62M42 22Q36 44 44 62M58 22Q64 44 56 62', 0.6, 0.7),
  ...extra,
];
const spread = (count: number, radius: number, centre: Point, random: () => number): Point[] =>
  Array.from({ length: count }, () => polar(centre, radius * Math.sqrt(random()), random() * 6.28));

/** Marks of fruit and flowers, by the name that the library uses. */
export const fruits: Readonly<Record<string, Draw>> = {
  smut: (_, random) => [
    ...cob((row) => row < 7),
    ...(
      [
        [44, 26, 9],
        [56, 34, 11],
        [46, 46, 10],
      ] as const
    ).flatMap(([x, y, r]) => [inked(blob([x, y], r, random, 0.2), 'silver', 1), wash(blob([x + 2, y + 3], r * 0.5, random), 'dark', 0.85)]),
  ],
  'corn-gaps': () => cob((row, col) => row < 3 || (row * 7 + col * 5) % 4 === 0),
  misshapen: () => [
    ...cucumber('M26 14C36 6 46 14 44 28C42 44 52 46 66 54C86 64 88 88 72 92C60 94 56 82 44 72C26 60 16 30 26 14Z'),
    stroke('M36 26Q40 46 56 60', 0.7, 0.5),
  ],
  shrivelled: () => [
    ...cucumber('M28 14C38 8 44 16 42 26C42 36 52 44 50 54C48 62 40 60 36 50C30 40 22 26 28 14Z'),
    wash('M36 40C42 36 50 46 50 54C48 62 40 60 36 50Z', 'amber', 0.95),
    inked('M46 58C56 56 66 64 62 76C54 80 46 74 44 64Z', 'brown', 1),
  ],
  cracked: () => [
    ...tomato(),
    inked('M36 34C42 48 38 60 46 78C40 64 34 56 36 34Z', 'cream', 0.9),
    inked('M58 32C62 46 56 58 62 74C66 60 66 46 58 32Z', 'cream', 0.9),
  ],
  scald: (_, random) => [...tomato(), inked(blob([38, 50], 14, random, 0.2), 'cream', 0.7), wash(blob([37, 49], 8, random), 'white', 0.8)],
  cloudy: (_, random) => [
    ...tomato(),
    ...spread(9, 24, [50, 54], random).flatMap((at) => [wash(ellipse(at, 4.4, 4), 'cream', 0.85), wash(ellipse(at, 0.8, 0.8), 'dark')]),
  ],
  'brown-rot': () => [
    ...apple('amber'),
    ...[8, 15, 22, 29].flatMap((r) =>
      Array.from({ length: Math.round(r * 0.62) }, (_, i) =>
        inked(ellipse(polar([50, 56], r, i * (6.28 / Math.round(r * 0.62))), 1.9, 1.9), 'cream', 0.5),
      ),
    ),
  ],
  sunken: (_, random) => [
    ...tomato(),
    ...(
      [
        [38, 46],
        [60, 58],
        [46, 72],
      ] as Point[]
    ).flatMap((at) => [
      inked(ellipse(at, 8, 7), 'brown', 0.8),
      stroke(ellipse(at, 5.4, 4.6), 0.6, 0.7),
      wash(blob(at, 3, random), 'petal', 0.9),
    ]),
  ],
  specks: (_, random) => [...tomato(), ...spread(26, 28, [50, 54], random).map((at) => inked(ellipse(at, 1.4, 1.4), 'dark', 0.3))],
  'bird-eye': (_, random) => [
    ...tomato(),
    ...spread(11, 25, [50, 54], random).flatMap((at) => [
      wash(ellipse(at, 4, 4), 'white', 0.9),
      inked(ellipse(at, 1.9, 1.9), 'brown', 0.5),
    ]),
  ],
  rugose: (_, random) => [
    ...tomato(),
    ...spread(7, 22, [50, 54], random).flatMap((at) => [
      inked(blob(at, 6, random, 0.5), 'brown', 0.7),
      stroke(`M${at[0] - 4} ${at[1]}q2 -3 4 0t4 0`, 0.6, 0.8),
    ]),
    wash(blob([62, 42], 9, random), 'yellow', 0.6),
  ],
  blotchy: (_, random) => [
    ...tomato(),
    wash(blob([42, 40], 13, random, 0.35), 'yellow', 0.9),
    wash(blob([60, 62], 10, random, 0.35), 'pale-leaf', 0.9),
  ],
  'pod-caterpillar': () =>
    pod([
      ...(
        [
          [40, 44],
          [52, 54],
          [64, 66],
        ] as Point[]
      ).map((at) => inked(ellipse(at, 5.4, 5), 'leaf', 0.8)),
      inked('M44 40C52 38 66 50 70 58C66 64 48 54 44 46Z', 'cream', 1),
      inked(ellipse([45, 42], 3, 3), 'dark', 0.7),
      ...(
        [
          [58, 70],
          [66, 74],
          [54, 66],
        ] as Point[]
      ).map((at) => inked(ellipse(at, 1.5, 1.2), 'dark', 0.4)),
    ]),
  'marsh-spot': () =>
    pod(
      (
        [
          [38, 42],
          [50, 54],
          [64, 66],
        ] as Point[]
      ).flatMap((at) => [inked(ellipse(at, 7, 6.4), 'pale-leaf', 0.9), inked(ellipse(at, 2.8, 2.6), 'brown', 0.6)]),
    ),
  'fruit-maggots': () => [
    ...berry(),
    ...(
      [
        [42, 54],
        [58, 60],
        [48, 72],
      ] as Point[]
    ).map((at, i) => inked(ellipse(at, 6, 2.2, i * 0.9), 'white', 0.8)),
  ],
  pecked: () => [
    ...apple(),
    ...(
      [
        [40, 50],
        [58, 46],
        [52, 66],
      ] as Point[]
    ).map(([x, y]) => inked(`M${x - 6} ${y - 3}L${x + 6} ${y - 5}L${x + 1} ${y + 8}Z`, 'cream', 1)),
  ],
  'fruit-gnawed': () => [
    ...apple(),
    inked('M66 34C90 36 92 74 66 80C60 70 58 46 66 34Z', 'cream', 1.1),
    ...[42, 50, 58, 66].map((y) => stroke(`M62 ${y}q7 -2 14 2M63 ${y + 3}q7 -2 12 2`, 0.7, 0.8)),
  ],
  'brown-felt': (_, random) => [
    stroke('M50 2V20', 2),
    inked(ellipse([50, 56], 28, 34), 'pale-leaf', 1.3),
    ...[-14, -5, 5, 14].map((x) => stroke(`M${50 + x * 0.4} 24Q${50 + x * 1.7} 56 ${50 + x * 0.4} 88`, 0.5, 0.6)),
    wash(blob([46, 50], 18, random, 0.3), 'brown', 0.85),
    wash(blob([58, 70], 11, random, 0.3), 'white', 0.85),
  ],
  'black-mummies': () =>
    grapes(
      (i) => (i % 3 === 1 ? 'violet' : 'dark'),
      (i) => (i % 3 === 1 ? 8 : 4.6),
    ),
  pits: (_, random) => [
    ...apple(),
    ...(
      [
        [36, 36],
        [48, 42],
        [62, 36],
        [30, 50],
        [58, 52],
      ] as Point[]
    ).flatMap((at) => [inked(blob(at, 4, random, 0.3), 'brown', 0.8), stroke(`M${at[0] - 2} ${at[1] + 3}q2 2 5 0`, 0.5, 0.7)]),
    stroke('M20 4L26 14M44 2L50 10M70 4L76 14', 1, 0.6),
  ],
  'stalk-end': () => [
    ...berry(),
    ...(
      [
        [40, 40],
        [50, 44],
        [60, 40],
        [46, 48],
        [55, 49],
      ] as Point[]
    ).map((at) => inked(ellipse(at, 5, 4.4), 'grey', 0.8)),
  ],
  green: () => [
    ...flower(7, []).map((shape) => (shape.fill === 'petal' ? { ...shape, fill: 'leaf' as const } : shape)),
    stroke('M50 44V18', 1.6),
    inked('M50 26C40 20 40 10 50 4C60 10 60 20 50 26Z', 'pale-leaf', 0.9),
  ],
  'bud-drop': () => [
    ...bud([]).map((shape) => shape),
    inked('M22 84C30 78 38 86 34 94C26 98 18 92 22 84Z', 'brown', 0.9),
    stroke('M30 66V76M27 73L30 77L33 73', 0.8, 0.6),
  ],
  bristles: (_, random) =>
    bud(
      Array.from({ length: 26 }, () => {
        const [x, y]: Point = [34 + random() * 32, 16 + random() * 44];
        return [stroke(`M${x} ${y}l${(x - 50) * 0.16} -6`, 0.8), wash(ellipse([x + (x - 50) * 0.16, y - 6], 1.1, 1.1), 'dark')];
      }).flat(),
    ),
  'flower-distorted': () => [
    stroke('M50 50Q52 76 48 98', 2.2),
    inked('M50 78Q66 66 76 74Q66 86 50 82Z', 'leaf', 0.9),
    ...[-2.7, -2.2, -1.7, -1.1].map((angle, i) =>
      inked(
        `M50 46Q${polar([50, 46], 26, angle - 0.4).join(' ')} ${polar([50, 46], 34 - i * 4, angle).join(' ')}Q${polar([50, 46], 20, angle + 0.4).join(' ')} 50 46Z`,
        'petal',
        0.9,
      ),
    ),
    inked('M50 46C62 40 66 50 60 56C56 60 50 54 50 46Z', 'petal', 0.9),
    inked('M50 46C56 56 52 64 46 62C42 58 46 50 50 46Z', 'petal', 0.9),
    inked(ellipse([50, 46], 8, 7), 'yellow', 0.9),
  ],
};
