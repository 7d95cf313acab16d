import { blob, closedPath, ellipse, openPath, polar } from './geometry';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

type Draw = (severity: number, random: () => number) => Shape[];

const soilLine: Shape[] = [wash('M6 40Q50 36 94 40V96H6Z', 'soil', 0.35), stroke('M6 40Q50 36 94 40', 1)];

/** Roots below a short stem. */
function roots(tone: Tone, width: number, count: number): Shape[] {
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

const bulb = (lower: Tone): Shape[] => [
  inked('M50 78C22 78 20 48 44 34L46 6H54L56 34C80 48 78 78 50 78Z', 'cream', 1.3),
  stroke('M44 36C34 50 36 68 47 77M56 36C66 50 64 68 53 77M50 34V77', 0.6, 0.6),
  wash('M30 64C32 76 42 79 50 79C58 79 68 76 70 64C60 70 40 70 30 64Z', lower, 0.95),
  stroke('M44 79L40 92M50 79V94M56 79L60 92', 0.9),
];

const tomato = (): Shape[] => [
  inked(ellipse([50, 54], 34, 32), 'red', 1.3),
  inked('M50 24L42 14L47 24L34 22L45 28L50 34L55 28L66 22L53 24L58 14Z', 'leaf', 0.8),
  stroke('M32 42Q30 54 34 66', 1.4, 0.35),
];
const apple = (tone: Tone = 'red'): Shape[] => [
  inked('M50 30C36 18 14 28 16 54C18 78 36 92 50 86C64 92 82 78 84 54C86 28 64 18 50 30Z', tone, 1.3),
  stroke('M50 30Q50 18 56 10', 1.8),
  inked('M55 17Q66 8 74 16Q66 24 55 17Z', 'leaf', 0.8),
];
const berry = (): Shape[] => [
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

function fuzz(centre: Point, radius: number, tone: Tone, random: () => number): Shape[] {
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

function flower(petals: number, extra: readonly Shape[]): Shape[] {
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

function seedling(x: number, y: number, fallen: boolean): Shape[] {
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

const pot: Shape[] = [inked('M24 44H76L70 92H30Z', 'amber', 1.3), inked('M20 36H80V46H20Z', 'amber', 1.3)];

/** Marks of every part that is neither leaf, whole plant nor creature, by the name that the library uses. */
export const partMarks: Readonly<Record<string, Draw>> = {
  'base-rot': (_, random) => [
    ...soilLine,
    inked('M43 4H57L58 60H42Z', 'leaf', 1.2),
    wash(blob([50, 42], 12, random), 'dark', 0.92),
    stroke('M42 46Q50 50 58 46', 0.8),
    stroke('M46 60L38 82M50 60V86M54 60L64 82', 1.2),
  ],
  'root-rot': () => roots('brown', 3, 8),
  clubs: (_, random) => [
    ...roots('cream', 2, 4),
    ...(
      [
        [36, 62],
        [60, 66],
        [48, 78],
        [70, 84],
        [26, 82],
      ] as Point[]
    ).map((at) => ({ ...inked(blob(at, 9, random, 0.25), 'cream', 1.1) })),
  ],
  'eaten-root': () => [...soilLine, inked('M46 12H54L55 46H45Z', 'leaf', 1.1), stroke('M46 46L42 54M50 46V57M54 46L57 52', 1.6)],
  maggots: (_, random) => [
    ...roots('cream', 4, 5),
    ...Array.from({ length: 5 }, (__, i) => inked(ellipse([30 + i * 10, 60 + random() * 22], 5, 1.9, random() * 3), 'white', 0.8)),
  ],
  'white-rot': (_, random) => [
    ...bulb('white'),
    ...fuzz([50, 76], 13, 'white', random),
    ...Array.from({ length: 16 }, () => wash(ellipse([38 + random() * 24, 70 + random() * 14], 1.1, 1.1), 'dark')),
  ],
  'soft-rot': (_, random) => [
    ...bulb('brown'),
    wash(blob([52, 66], 15, random), 'brown', 0.85),
    inked('M40 80C40 88 46 90 46 96C42 98 36 92 40 80Z', 'amber', 0.7),
  ],
  waterlogged: () => [
    ...pot,
    wash(ellipse([50, 93], 42, 4.6), 'water'),
    wash('M22 38H78V42H22Z', 'water', 0.9),
    stroke('M30 40Q36 37 42 40T54 40T66 40', 0.7),
  ],
  algae: (_, random) => [
    ...pot,
    ...Array.from({ length: 9 }, (__, i) => wash(blob([24 + i * 6.4, 37], 3.6, random), i % 2 ? 'leaf' : 'leaf-deep')),
  ],
  'sunken-end': () => [...tomato(), inked(ellipse([50, 78], 17, 8), 'dark', 0.9), stroke(ellipse([50, 78], 11, 4.6), 0.6, 0.6)],
  'brown-marble': (_, random) => [
    ...tomato(),
    wash(blob([38, 42], 12, random, 0.4), 'brown', 0.85),
    wash(blob([60, 50], 11, random, 0.4), 'brown', 0.8),
  ],
  'fruit-scab': (_, random) => [
    ...apple(),
    ...(
      [
        [36, 50],
        [60, 44],
        [52, 66],
        [70, 62],
        [30, 66],
      ] as Point[]
    ).map((at) => inked(blob(at, 5.4, random, 0.4), 'olive', 0.6)),
    stroke('M56 62L66 70', 1),
  ],
  bored: () => [
    ...apple(),
    inked(ellipse([60, 58], 5.6, 5), 'dark', 0.9),
    ...(
      [
        [64, 66],
        [58, 68],
        [68, 70],
        [62, 73],
      ] as Point[]
    ).map((at) => inked(ellipse(at, 2.3, 1.8), 'brown', 0.5)),
  ],
  'grey-fruit': (_, random) => [...berry(), ...fuzz([44, 62], 19, 'grey', random)],
  'grey-fur': (_, random) => [...berry(), ...fuzz([54, 56], 24, 'grey', random)],
  'eaten-petals': () =>
    flower(
      9,
      (
        [
          [30, 22],
          [74, 30],
          [78, 60],
          [24, 62],
        ] as Point[]
      ).map((at) => wash(ellipse(at, 7, 6), 'paper')),
    ),
  'streaked-petals': (_, random) =>
    flower(
      9,
      Array.from({ length: 26 }, () => {
        const at = polar([50, 46], 14 + random() * 18, random() * 6.28);
        return wash(ellipse(at, 2.6, 0.8, Math.atan2(at[1] - 46, at[0] - 50)), 'white');
      }),
    ),
  'spotted-petals': (_, random) =>
    flower(
      9,
      Array.from({ length: 20 }, () => wash(ellipse(polar([50, 46], 14 + random() * 18, random() * 6.28), 1.5, 1.5), 'brown')),
    ),
  toppled: (severity) => [
    wash('M6 74Q50 70 94 74V94H6Z', 'soil', 0.6),
    stroke('M6 74Q50 70 94 74', 1),
    ...[16, 34, 52, 70, 86].flatMap((x, i) => seedling(x - (i > 0 && i < 2 + 3 * severity ? 4 : 0), 74, i > 0 && i < 2 + 3 * severity)),
  ],
};
