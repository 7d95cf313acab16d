import { blob, ellipse, openPath } from './geometry';
import type { Draw } from './part-shapes';
import { pot } from './part-shapes';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

const ground: Shape[] = [wash('M4 62Q50 56 96 62V96H4Z', 'soil', 0.6), stroke('M4 62Q50 56 96 62', 1)];

/** Blades of grass over a lawn. */
const lawn = (tone: (x: number, y: number) => Tone, random: () => number): Shape[] => [
  wash('M4 18H96V96H4Z', 'pale-leaf', 0.5),
  ...Array.from({ length: 90 }, (_, i) => {
    const [x, y] = [6 + (i % 15) * 6.3 + random() * 3, 30 + Math.floor(i / 15) * 12 + random() * 5];
    return { d: `M${x} ${y}q${random() * 4 - 2} -7 ${random() * 6 - 3} -11`, fill: tone(x, y), line: -1.7 } as const;
  }),
];
const within = (x: number, y: number, r: number) => ((x - 50) / r) ** 2 + ((y - 56) / (r * 0.72)) ** 2 < 1;

/** Chips of bark seen from above. */
const chips = (random: () => number): Shape[] => [
  wash('M4 22H96V96H4Z', 'soil', 0.35),
  ...Array.from({ length: 34 }, (_, i) => {
    const [x, y] = [8 + (i % 7) * 13 + random() * 6, 30 + Math.floor(i / 7) * 14 + random() * 6];
    const lean = random() * 3;
    return inked(ellipse([x, y], 7, 2.6, lean), i % 3 ? 'amber' : 'brown', 0.7);
  }),
];

const pellets = (count: number, size: readonly [number, number], random: () => number): Shape[] =>
  Array.from({ length: count }, () =>
    inked(ellipse([18 + random() * 64, 58 + random() * 28], size[0], size[1], random() * 3), 'dark', 0.7),
  );

/** Marks of soil, mulch, lawn and surroundings, by the name that the library uses. */
export const grounds: Readonly<Record<string, Draw>> = {
  runs: () => [
    ...ground,
    inked(ellipse([30, 62], 9, 5), 'dark', 1),
    inked(ellipse([74, 74], 8, 4.6), 'dark', 1),
    { d: 'M30 66C40 84 58 62 72 78', fill: 'dark', line: -3.4 },
    stroke('M8 60l3 -9M16 59l2 -10M88 60l-2 -9', 1),
  ],
  dug: (_, random) => [
    ...ground,
    inked(ellipse([50, 70], 24, 11), 'dark', 1.1),
    inked(blob([20, 62], 11, random), 'soil', 1),
    inked(blob([80, 66], 9, random), 'soil', 1),
    inked('M52 48C60 42 68 46 66 54C60 58 52 56 52 48Z', 'cream', 0.9),
    stroke('M66 48l10 -8', 1.2),
  ],
  'rodent-pellets': (_, random) => [...ground, stroke('M4 62V8M4 30H40V8', 0.8, 0.5), ...pellets(15, [4.4, 1.7], random)],
  'round-pellets': (_, random) => [...ground, ...pellets(20, [2.9, 2.7], random)],
  turf: (_, random) => [
    wash('M4 62H96V96H4Z', 'soil', 0.7),
    ...(
      [
        [30, 78],
        [52, 84],
        [70, 76],
      ] as Point[]
    ).map((at) => inked(`M${at[0] - 5} ${at[1]}a6 6 0 1 1 9 3`, 'cream', 1.6)),
    inked('M96 62H52C46 40 58 26 78 26L96 26Z', 'soil', 1.1),
    inked('M96 28H78C62 28 52 40 56 60L46 60C40 34 56 16 78 16H96Z', 'leaf', 1.1),
    ...Array.from({ length: 9 }, (__, i) => stroke(`M${6 + i * 5} 62l${random() * 4 - 2} -10`, 1.2)),
  ],
  'lawn-patches': (_, random) => lawn((x, y) => (within(x, y, 26) ? 'amber' : 'leaf-deep'), random),
  'fairy-ring': (_, random) => [
    ...lawn((x, y) => (within(x, y, 40) && !within(x, y, 27) ? 'leaf-deep' : 'pale-leaf'), random),
    ...(
      [
        [20, 44],
        [50, 34],
        [80, 46],
        [30, 78],
        [68, 80],
      ] as Point[]
    ).flatMap(([x, y]) => [inked(`M${x - 1.4} ${y}v-6h2.8v6Z`, 'cream', 0.6), inked(`M${x - 5} ${y - 6}q5 -8 10 0Z`, 'amber', 0.8)]),
  ],
  'cotton-rim': (_, random) => [
    ...lawn((x, y) => (within(x, y, 28) ? 'brown' : 'leaf-deep'), random),
    ...Array.from({ length: 18 }, (__, i) =>
      wash(blob([50 + 29 * Math.cos(i * 0.35), 56 + 21 * Math.sin(i * 0.35)], 4.4, random), 'white', 0.85),
    ),
  ],
  'red-threads': (_, random) => [
    ...lawn((x, y) => (within(x, y, 30) ? 'cream' : 'leaf-deep'), random),
    ...Array.from({ length: 24 }, () => ({
      d: `M${26 + random() * 48} ${40 + random() * 34}q2 -5 ${random() * 8 - 4} -10`,
      fill: 'petal' as const,
      line: -1.5,
    })),
  ],
  'slime-mould': (_, random) => [
    ...chips(random),
    inked(blob([48, 56], 24, random, 0.25), 'yellow', 1.1),
    ...Array.from({ length: 26 }, () => inked(blob([30 + random() * 36, 42 + random() * 28], 4, random, 0.35), 'yellow', 0.6)),
  ],
  'birds-nest': (_, random) => [
    ...chips(random),
    ...(
      [
        [30, 44],
        [52, 52],
        [70, 44],
        [40, 72],
        [64, 76],
      ] as Point[]
    ).flatMap(([x, y]) => [
      inked(`M${x - 9} ${y - 5}L${x - 5} ${y + 8}H${x + 5}L${x + 9} ${y - 5}Z`, 'brown', 1),
      inked(ellipse([x, y - 5], 9, 4.4), 'cream', 0.9),
      ...[-3, 1, 4].map((shift) => inked(ellipse([x + shift, y - 5 + (shift % 2)], 2, 1.4), 'dark', 0.4)),
    ]),
  ],
  'tar-specks': (_, random) => [
    inked('M16 6H84V74H16Z', 'white', 1.1),
    ...[22, 38, 54].map((y) => stroke(`M16 ${y}H84`, 0.6, 0.5)),
    ...Array.from({ length: 40 }, () => wash(ellipse([20 + random() * 60, 26 + random() * 46], 1.3, 1.3), 'dark')),
    ...Array.from({ length: 14 }, (__, i) => inked(ellipse([8 + i * 6.4, 84 + (i % 2) * 6], 6, 2.4, i), i % 3 ? 'amber' : 'brown', 0.7)),
  ],
  'mulch-mould': (_, random) => [
    ...chips(random),
    ...Array.from({ length: 20 }, () => ({
      d: openPath([
        [14 + random() * 70, 30 + random() * 54],
        [20 + random() * 60, 34 + random() * 50],
        [16 + random() * 68, 32 + random() * 54],
      ]),
      fill: 'white' as const,
      line: -1.1,
    })),
    ...[0, 1, 2].map((i) => wash(blob([30 + i * 20, 52 + (i % 2) * 16], 7, random, 0.4), 'white', 0.85)),
  ],
  salt: (_, random) => [
    ...pot,
    ...Array.from({ length: 16 }, (__, i) => inked(blob([22 + i * 3.8, 37 + (i % 2) * 6], 2.8, random, 0.4), 'white', 0.5)),
    ...[30, 44, 60].map((x) => wash(blob([x, 58], 5, random, 0.5), 'white', 0.7)),
  ],
  'dry-core': () => [
    ...pot,
    inked('M32 48H68L64 88H36Z', 'cream', 1),
    stroke('M40 52L44 60L40 68L46 80M58 54L54 64L60 74', 0.8),
    { d: 'M26 44L31 90M74 44L69 90', fill: 'water', line: -3 },
    inked('M50 6C56 16 58 22 50 26C42 22 44 16 50 6Z', 'water', 0.9),
  ],
  sour: (_, random) => [
    inked('M8 88C24 84 34 50 50 48C66 50 76 84 92 88Z', 'brown', 1.2),
    ...Array.from({ length: 22 }, () => stroke(`M${26 + random() * 48} ${68 + random() * 16}l6 ${random() * 3 - 1}`, 0.9, 0.7)),
    ...[36, 50, 64].map((x) => stroke(`M${x} 42q-6 -8 0 -15t0 -15`, 1.4, 0.7)),
  ],
  heaps: (_, random) => [
    ...ground,
    ...(
      [
        [20, 62, 14],
        [52, 60, 18],
        [84, 64, 11],
      ] as const
    ).flatMap(([x, y, r]) => [
      inked(`M${x - r} ${y}C${x - r * 0.5} ${y - r * 1.2} ${x + r * 0.5} ${y - r * 1.2} ${x + r} ${y}Z`, 'soil', 1.1),
      ...Array.from({ length: 6 }, () => wash(ellipse([x + (random() - 0.5) * r, y - random() * r * 0.6], 1.6, 1.2), 'brown')),
    ]),
  ],
  sprayer: () => [
    inked('M26 36H58V84C58 90 26 90 26 84Z', 'silver', 1.3),
    inked('M34 26H50V36H34Z', 'grey', 1.1),
    stroke('M50 30C72 26 66 60 78 60', 2),
    stroke('M78 60L88 46', 2.4),
    ...[-0.5, -0.2, 0.1, 0.4].map((angle) => stroke(`M90 44l${8 * Math.cos(angle)} ${-10 + 10 * Math.sin(angle)}`, 0.8, 0.7)),
    stroke('M32 62L52 62M42 52V72', 1, 0.4),
    stroke('M30 46H54', 0.7, 0.5),
  ],
};
