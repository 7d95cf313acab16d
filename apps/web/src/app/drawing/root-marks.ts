import { blob, ellipse, openPath } from './geometry';
import type { Draw } from './part-shapes';
import { bulb, fuzz, roots, soilLine } from './part-shapes';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

/** A long root such as a carrot. */
const taproot = (tone: Tone = 'orange'): Shape[] => [
  ...soilLine,
  stroke('M46 36L38 10M50 36V6M54 36L62 10', 2),
  inked('M36 38C38 34 62 34 64 38C64 60 56 84 50 96C44 84 36 60 36 38Z', tone, 1.3),
];
const tuber = (): Shape[] => [
  inked('M22 56C18 34 40 20 60 26C80 32 86 56 74 72C60 86 28 82 22 56Z', 'amber', 1.4),
  ...(
    [
      [38, 44],
      [60, 42],
      [52, 66],
    ] as Point[]
  ).map(([x, y]) => stroke(`M${x - 3} ${y}Q${x} ${y + 3} ${x + 3} ${y}`, 0.8, 0.7)),
];

/** Marks of roots, tubers and bulbs, by the name that the library uses. */
export const rootMarks: Readonly<Record<string, Draw>> = {
  bootlaces: () => [
    ...soilLine,
    inked('M42 4H58L60 50H40Z', 'amber', 1.2),
    ...[0, 1, 2, 3].map((i) => ({
      d: openPath([
        [44 + i * 4, 50],
        [30 + i * 10, 62],
        [40 + i * 9, 76],
        [20 + i * 20, 94],
      ]),
      fill: 'dark' as const,
      line: -2.6,
    })),
  ],
  'root-wool': (_, random) => [
    ...roots('cream', 2.4, 6),
    ...(
      [
        [34, 60],
        [56, 66],
        [46, 80],
        [68, 82],
      ] as Point[]
    ).flatMap((at) => fuzz(at, 6, 'white', random)),
  ],
  knots: (_, random) => [
    ...roots('cream', 2.2, 6),
    ...(
      [
        [40, 56],
        [60, 58],
        [34, 68],
        [50, 66],
        [66, 72],
        [28, 80],
        [46, 82],
        [74, 82],
      ] as Point[]
    ).map((at) => inked(blob(at, 4.6, random, 0.2), 'cream', 0.9)),
  ],
  beads: (_, random) => [
    ...roots('cream', 1.8, 7),
    ...Array.from({ length: 26 }, (__, i) =>
      inked(ellipse([24 + random() * 52, 56 + random() * 32], 1.7, 1.7), (['white', 'yellow', 'brown'] as const)[i % 3]!, 0.5),
    ),
  ],
  tunnels: () => [
    ...taproot(),
    ...[0, 1, 2].map((i) => ({
      d: openPath([
        [42 + i * 5, 50],
        [46 + i * 3, 60 + i * 3],
        [43 + i * 4, 70],
        [49, 84 - i * 4],
      ]),
      fill: 'brown' as const,
      line: -2.6,
    })),
    inked(ellipse([57, 56], 2.6, 2), 'dark', 0.6),
  ],
  'brown-heart': (_, random) => [
    inked(ellipse([50, 52], 38, 36), 'red', 1.4),
    ...[30, 22, 14].map((r) => stroke(ellipse([50, 52], r, r * 0.95), 0.7, 0.7)),
    inked(blob([50, 52], 12, random, 0.3), 'brown', 0.9),
    wash(blob([50, 52], 6, random), 'dark', 0.9),
  ],
  forked: () => [
    ...soilLine,
    stroke('M46 36L38 10M50 36V6M54 36L62 10', 2),
    inked('M36 38C38 34 62 34 64 38C66 54 72 78 80 92C68 84 58 70 52 58C46 72 34 86 22 92C30 78 36 58 36 38Z', 'orange', 1.3),
  ],
  circling: () => [
    inked('M22 12H78L72 94H28Z', 'soil', 1.2),
    ...Array.from({ length: 9 }, (_, i) => ({
      d: `M${25 + i * 0.5} ${20 + i * 8.4}Q50 ${28 + i * 8.4} ${75 - i * 0.5} ${19 + i * 8.4}`,
      fill: 'cream' as const,
      line: -2.2,
    })),
    ...Array.from({ length: 6 }, (_, i) => ({
      d: openPath([
        [30 + i * 8, 14],
        [26 + i * 9, 50],
        [34 + i * 6, 92],
      ]),
      fill: 'cream' as const,
      line: -1.5,
    })),
  ],
  collar: () => [
    ...roots('cream', 1.6, 4),
    inked('M38 42H62L60 70H40Z', 'brown', 1.1),
    ...[47, 53, 59, 65].map((y) => stroke(`M39 ${y}H61`, 0.5, 0.7)),
    ...[44, 50, 56].map((x) => stroke(`M${x} 43V69`, 0.5, 0.7)),
  ],
  scabs: (_, random) => [
    ...tuber(),
    ...(
      [
        [36, 54],
        [54, 38],
        [64, 58],
        [48, 72],
        [30, 42],
      ] as Point[]
    ).flatMap((at) => [
      inked(blob(at, 5.4, random, 0.5), 'brown', 0.8),
      stroke(`M${at[0] - 3} ${at[1]}h6M${at[0]} ${at[1] - 3}v6`, 0.5, 0.7),
    ]),
  ],
  'tuber-holes': () => [
    ...tuber(),
    ...(
      [
        [36, 54],
        [58, 40],
        [62, 64],
      ] as Point[]
    ).flatMap((at) => [inked(ellipse(at, 2.8, 2.6), 'dark', 0.8)]),
    { d: 'M36 54Q46 50 56 58', fill: 'brown', line: -2 },
  ],
  'tuber-ooze': () => [
    inked('M14 52C14 26 40 16 60 22C82 30 90 52 78 70C62 88 18 84 14 52Z', 'amber', 1.4),
    inked(ellipse([50, 52], 29, 25), 'cream', 0.9),
    { d: ellipse([50, 52], 23, 19), fill: 'brown', line: -3 },
    ...(
      [
        [30, 44],
        [66, 40],
        [60, 68],
        [36, 66],
      ] as Point[]
    ).map((at) => inked(ellipse(at, 3, 3.4), 'white', 0.7)),
  ],
  'bulb-maggot': () => [
    ...bulb('brown'),
    inked(ellipse([50, 62], 15, 13), 'brown', 0.9),
    inked('M41 62C42 54 56 54 59 62C58 69 43 69 41 62Z', 'cream', 1),
    ...[46, 50, 54].map((x) => stroke(`M${x} 57V67`, 0.5, 0.7)),
  ],
  'neck-rot': (_, random) => [...bulb('cream'), wash(blob([50, 34], 11, random, 0.3), 'brown', 0.95), ...fuzz([50, 24], 8, 'grey', random)],
};
