import { blob, closedPath, ellipse, openPath, polar } from './geometry';
import type { Draw } from './part-shapes';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

const stem = (tone: Tone = 'leaf'): Shape => inked('M42 98C43 70 43 30 44 2H56C57 30 57 70 58 98Z', tone, 1.2);
const bark = (): Shape[] => [
  inked('M34 98C36 66 34 34 36 2H64C66 34 64 66 66 98Z', 'amber', 1.3),
  stroke('M44 6Q42 40 45 94M55 8Q58 48 54 92', 0.5, 0.5),
];
const leafAt = (x: number, y: number, side: number, size: number, tone: Tone = 'leaf'): Shape =>
  inked(
    closedPath([
      [x, y],
      [x + side * size * 0.45, y - size * 0.36],
      [x + side * size, y - size * 0.1],
      [x + side * size * 0.5, y + size * 0.2],
    ]),
    tone,
    0.9,
  );
const shoot = (tone: Tone = 'leaf'): Shape[] => [
  stroke('M50 98V30', 2.6),
  leafAt(50, 78, -1, 30, tone),
  leafAt(50, 70, 1, 30, tone),
  leafAt(50, 54, -1, 24, tone),
  leafAt(50, 46, 1, 24, tone),
];

/** A tuft of wool. */
function wool(at: Point, size: number, random: () => number): Shape[] {
  return [
    inked(blob(at, size, random, 0.25), 'white', 0.7),
    ...Array.from({ length: 10 }, (_, i) =>
      stroke(
        openPath([polar(at, size * 0.6, i * 0.63), polar(at, size * 1.15, i * 0.63 + 0.2), polar(at, size * 1.5, i * 0.63 + 0.6)]),
        0.5,
        0.6,
      ),
    ),
  ];
}

/** Marks of stems, shoots and bark, by the name that the library uses. */
export const stemMarks: Readonly<Record<string, Draw>> = {
  'dead-tip': (_, random) => [
    ...shoot(),
    inked(blob([50, 28], 8, random, 0.3), 'dark', 1),
    stroke('M50 24C52 12 62 10 62 20', 2.4),
    leafAt(50, 62, -1, 12),
    leafAt(50, 62, 1, 12),
  ],
  'red-thorns': () => [
    stroke('M50 98C48 70 52 40 48 6', 5),
    { d: 'M50 98C48 70 52 40 48 6', fill: 'red', line: -3.6 },
    ...Array.from({ length: 16 }, (_, i) =>
      inked(`M${i % 2 ? 52 : 47} ${92 - i * 5}l${i % 2 ? 12 : -12} -5l${i % 2 ? -11 : 11} 8Z`, 'petal', 0.7),
    ),
    leafAt(49, 24, -1, 18, 'red'),
    leafAt(49, 18, 1, 16, 'red'),
  ],
  'big-bud': () => [
    inked('M46 98C47 70 47 40 48 10H53C54 40 54 70 55 98Z', 'amber', 1.2),
    ...(
      [
        [34, 70],
        [66, 52],
        [36, 34],
      ] as Point[]
    ).flatMap(([x, y]) => [
      inked(ellipse([x, y], 10, 11), 'olive', 1.2),
      stroke(`M${x - 7} ${y - 2}Q${x} ${y - 9} ${x + 7} ${y - 2}M${x - 8} ${y + 4}Q${x} ${y - 3} ${x + 8} ${y + 4}`, 0.7, 0.7),
    ]),
    inked('M50 14C44 8 46 2 50 0C54 2 56 8 50 14Z', 'brown', 0.9),
  ],
  'silk-nest': (_, random) => [
    stroke('M50 98L48 60L20 14M48 60L82 12', 4),
    { ...inked(blob([50, 40], 27, random, 0.2), 'white', 0.9), opacity: 0.9 },
    ...Array.from({ length: 18 }, () => {
      const [a, b] = [polar([50, 40], 26, random() * 6.28), polar([50, 40], 26, random() * 6.28)];
      return stroke(openPath([a, [50, 40], b]), 0.4, 0.55);
    }),
    ...(
      [
        [42, 36],
        [56, 44],
        [50, 52],
      ] as Point[]
    ).map((at, i) => inked(ellipse(at, 7, 2.4, i), 'dark', 0.6)),
  ],
  'clean-bite': () => [
    wash('M6 84Q50 78 94 84V96H6Z', 'soil', 0.6),
    ...[26, 50, 74].flatMap((x, i) => [
      inked(`M${x - 4} 84L${x - 4} ${54 + i * 6}L${x + 4} ${46 + i * 6}V84Z`, 'leaf', 1.2),
      inked(ellipse([x, 50 + i * 6], 5.4, 2.2, -0.75), 'cream', 0.8),
    ]),
    leafAt(22, 76, -1, 14),
  ],
  'torn-shoot': () => [
    inked('M42 98C43 76 43 52 44 32H57C57 52 57 76 58 98Z', 'amber', 1.2),
    inked('M44 34L47 20L50 32L53 14L55 30L57 36Z', 'cream', 0.9),
    stroke('M47 22L45 8M54 18L60 6', 0.9),
    inked('M56 40C66 44 70 56 66 68C62 60 58 52 56 46Z', 'amber', 0.9),
    leafAt(43, 70, -1, 26),
    leafAt(57, 80, 1, 26),
  ],
  russet: (severity) => [
    stem(),
    wash(
      `M42 98C43 ${78 - 30 * severity} 43 ${60 - 30 * severity} 44 ${48 - 34 * severity}H56C57 ${60 - 30 * severity} 57 78 58 98Z`,
      'amber',
      0.95,
    ),
    leafAt(44, 82, -1, 26, 'brown'),
    leafAt(56, 72, 1, 26, 'brown'),
    leafAt(44, 54, -1, 24, 'amber'),
    leafAt(56, 40, 1, 24),
    leafAt(44, 26, -1, 20),
  ],
  'white-crust': (_, random) => [
    ...bark(),
    ...Array.from({ length: 44 }, (__, i) =>
      inked(ellipse([38 + random() * 24, 6 + i * 2.05], i % 3 ? 0.9 : 2, i % 3 ? 2.2 : 1.8, random() * 3), i % 3 ? 'white' : 'silver', 0.4),
    ),
  ],
  oyster: (_, random) => [
    ...bark(),
    ...Array.from({ length: 20 }, (__, i) => {
      const [x, y] = [39 + random() * 22, 8 + i * 4.4];
      return inked(
        `M${x} ${y - 4}C${x + 3.4} ${y - 1} ${x + 2.4} ${y + 4} ${x} ${y + 4.4}C${x - 2.4} ${y + 4} ${x - 2} ${y} ${x} ${y - 4}Z`,
        'brown',
        0.6,
      );
    }),
  ],
  wool: (_, random) => [
    ...bark(),
    ...(
      [
        [42, 22],
        [56, 40],
        [44, 60],
        [55, 80],
      ] as Point[]
    ).flatMap((at) => wool(at, 8, random)),
  ],
  'borer-hole': (_, random) => [
    inked('M36 98C38 66 36 34 38 2H62C64 34 62 66 64 98Z', 'leaf', 1.3),
    inked(ellipse([50, 44], 7, 6), 'dark', 1),
    ...Array.from({ length: 20 }, (__, i) =>
      inked(ellipse([50 + (random() - 0.5) * (10 + i * 1.2), 52 + i * 2.1], 2.2, 1.6, random() * 3), i % 2 ? 'amber' : 'orange', 0.4),
    ),
  ],
  'woody-gall': (_, random) => [
    stroke('M50 98C46 70 56 50 50 4M52 60L78 34', 4),
    ...(
      [
        [48, 74, 15],
        [55, 38, 12],
        [72, 40, 9],
      ] as const
    ).flatMap(([x, y, r]) => [
      inked(blob([x, y], r, random, 0.2), 'brown', 1.2),
      wash(blob([x - r * 0.2, y - r * 0.2], r * 0.5, random), 'orange', 0.55),
    ]),
    leafAt(50, 16, 1, 18),
    leafAt(50, 24, -1, 18),
  ],
  canker: (_, random) => [
    ...bark(),
    inked(blob([50, 50], 17, random, 0.15), 'brown', 1.2),
    stroke(ellipse([50, 50], 12, 13), 0.8, 0.8),
    inked(ellipse([50, 50], 7, 8), 'dark', 0.8),
    ...Array.from({ length: 9 }, (__, i) => wash(ellipse(polar([50, 50], 14, i * 0.7), 1.1, 1.1), 'orange')),
    stroke('M36 36L40 42M64 64L60 58', 0.8),
  ],
  dieback: () => [
    stroke('M50 98L50 56', 4.4),
    { d: 'M50 56L48 30L40 8M48 30L60 10M50 44L72 26M50 52L28 34', fill: 'brown', line: -2.8 },
    stroke('M48 30L47 22M60 10l4 -4M40 8l-5 -4M72 26l7 -4M28 34l-7 -5', 1),
    leafAt(50, 84, -1, 26),
    leafAt(50, 76, 1, 26),
    leafAt(72, 28, 1, 10, 'brown'),
    leafAt(30, 35, -1, 10, 'brown'),
  ],
  'white-mould': (_, random) => [
    inked('M34 98V2H66V98Z', 'leaf', 1.2),
    inked('M40 30H60V86H40Z', 'cream', 0.9),
    ...wool([50, 30], 15, random),
    ...(
      [
        [45, 50],
        [54, 60],
        [47, 70],
        [55, 78],
      ] as Point[]
    ).map((at, i) => inked(ellipse(at, 4.6, 3, i), 'dark', 0.9)),
  ],
  fasciated: () => [
    inked('M40 98C36 70 26 40 22 14Q50 2 78 14C74 40 64 70 60 98Z', 'leaf', 1.3),
    ...[-14, -7, 0, 7, 14].map((shift) => stroke(`M${50 + shift * 0.5} 94Q${50 + shift} 50 ${50 + shift * 1.7} 12`, 0.6, 0.7)),
    ...Array.from({ length: 11 }, (_, i) => leafAt(22 + i * 5.6, 14 - 7 * Math.sin((i / 10) * 3.14), i < 5 ? -1 : 1, 10)),
  ],
  gum: () => [
    ...bark(),
    stroke('M52 34L46 50', 1.4),
    ...(
      [
        [48, 52, 8],
        [54, 66, 6.4],
        [47, 78, 5],
      ] as const
    ).flatMap(([x, y, r]) => [
      inked(ellipse([x, y], r, r * 1.15), 'amber', 1),
      wash(ellipse([x - r * 0.3, y - r * 0.4], r * 0.3, r * 0.35), 'white', 0.9),
    ]),
  ],
  split: () => [...bark(), inked('M52 6C46 30 58 50 49 72C48 82 51 90 50 96C42 84 44 70 46 56C48 40 42 24 52 6Z', 'cream', 1.1)],
  lichen: (_, random) => [
    ...bark(),
    ...(
      [
        [40, 18, 9],
        [58, 34, 10],
        [44, 56, 11],
        [57, 76, 9],
      ] as const
    ).flatMap(([x, y, r], i) => [
      inked(blob([x, y], r, random, 0.4), i % 2 ? 'pale-leaf' : 'silver', 0.7),
      stroke(blob([x, y], r * 0.5, random, 0.4), 0.5, 0.6),
    ]),
    ...[62, 66, 70].map((x) => stroke(`M${x - 3} 50q6 8 4 18M${x - 2} 54q8 4 10 12`, 0.7, 0.8)),
  ],
  'purple-cane': (_, random) => [
    stem('pale-leaf'),
    ...(
      [
        [49, 28],
        [51, 56],
        [49, 82],
      ] as Point[]
    ).flatMap(([x, y]) => [
      wash(blob([x, y], 10, random, 0.25), 'purple', 0.9),
      inked(
        `M${x} ${y - 5}C${x + 5} ${y - 2} ${x + 4} ${y + 4} ${x} ${y + 5}C${x - 4} ${y + 4} ${x - 5} ${y - 2} ${x} ${y - 5}Z`,
        'brown',
        0.8,
      ),
    ]),
  ],
  'ooze-threads': () => [
    inked('M24 34H76L70 96H30Z', 'paper', 1.3),
    wash('M25.5 44H74.5L69.5 94H30.5Z', 'water', 0.6),
    inked('M44 2H56V54H44Z', 'leaf', 1.1),
    inked(ellipse([50, 54], 6, 2.4), 'cream', 0.8),
    ...[45, 49, 53, 56].map((x, i) => ({
      d: openPath([
        [x, 56],
        [x - 3 + i, 66],
        [x + 3, 76],
        [x - 2 + i, 90],
      ]),
      fill: 'white' as const,
      line: -1.6,
    })),
  ],
  'open-streaks': () => [
    inked('M38 98V2H62V98Z', 'leaf', 1.2),
    ...(
      [
        [46, 24],
        [54, 52],
        [47, 76],
      ] as Point[]
    ).flatMap(([x, y]) => [
      inked(
        `M${x} ${y - 14}C${x + 4} ${y - 4} ${x + 4} ${y + 4} ${x} ${y + 14}C${x - 4} ${y + 4} ${x - 4} ${y - 4} ${x} ${y - 14}Z`,
        'brown',
        0.9,
      ),
      stroke(`M${x} ${y - 9}V${y + 9}`, 0.7, 0.8),
    ]),
  ],
};
