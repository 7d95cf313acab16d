import { legs, line, rings } from './creature-parts';
import type { Draw } from './creature-parts';
import { ellipse } from './geometry';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

/** A piece of leaf underside, with its midrib, that small things sit on. */
const ground = (): Shape[] => [
  inked('M4 50C20 10 80 10 96 50C80 90 20 90 4 50Z', 'pale-leaf', 1.1),
  stroke('M4 50H96M26 50L40 28M46 50L62 26M66 50L80 34M26 50L40 72M46 50L62 74M66 50L80 66', 0.7, 0.5),
];

/** Places in close rows, a little disordered. */
const packed = (rows: number, across: number, gap: number, random: () => number): Point[] =>
  Array.from({ length: rows * across }, (_, i): Point => {
    const [row, column] = [Math.floor(i / across), i % across];
    const shift = row % 2 === 0 ? 0 : gap / 2;
    return [
      50 + (column - (across - 1) / 2) * gap + shift - gap / 4 + random() * 1.6,
      50 + (row - (rows - 1) / 2) * gap * 0.9 + random() * 1.6,
    ];
  });

/** Eggs that stand on end, ribbed. */
const skittle = ([x, y]: Point, tone: Tone): Shape[] => [
  inked(
    `M${x - 3.4} ${y + 6}C${x - 5} ${y - 2} ${x - 2} ${y - 8} ${x} ${y - 9}C${x + 2} ${y - 8} ${x + 5} ${y - 2} ${x + 3.4} ${y + 6}Z`,
    tone,
    0.8,
  ),
  stroke(`M${x} ${y - 8}V${y + 5}`, 0.5, 0.6),
];

const pearls = (at: readonly Point[], radius: number, tone: Tone): Shape[] =>
  at.flatMap((one) => [
    inked(ellipse(one, radius, radius), tone, 0.8),
    wash(ellipse([one[0] - radius * 0.3, one[1] - radius * 0.3], radius * 0.3, radius * 0.3), 'white', 0.8),
  ]);

const soil = (from: number): Shape => wash(`M0 ${from}Q25 ${from - 4} 50 ${from}T100 ${from}V100H0Z`, 'soil', 0.85);

const beads: readonly Point[] = [
  [18, 35],
  [31, 39],
  [46, 37],
  [61, 37],
  [80, 48],
  [43, 52],
  [38, 66],
  [42, 82],
  [71, 57],
  [70, 71],
];
const roots = 'M8 30C30 44 66 36 94 58M40 40C44 60 36 76 44 96M68 46C74 62 70 78 78 94';

/** A case of rings that narrows to both ends. */
const spindle = (tone: Tone, width: number): Shape[] => [
  inked(`M50 10C${50 + width} 16 ${50 + width} 58 54 88L50 94L46 88C${50 - width} 58 ${50 - width} 16 50 10Z`, tone, 1.3),
];

/** Eggs, pupae and other young that no sign shows, by the name that the library uses. */
export const young: Readonly<Record<string, Draw>> = {
  'eggs-standing': (random) => [...ground(), ...packed(3, 5, 11, random).flatMap((at) => skittle(at, 'yellow'))],
  'eggs-flat': (random) => [
    ...ground(),
    ...packed(4, 4, 11, random).flatMap((at) => [inked(ellipse(at, 7, 5.6), 'cream', 0.8), stroke(ellipse(at, 3.4, 2.6), 0.5, 0.5)]),
  ],
  'egg-single': () => [
    ...ground(),
    inked(ellipse([54, 41], 8, 10), 'cream', 1.1),
    ...[-4, 0, 4].map((off) => stroke(`M${54 + off} 33Q${54 + off * 1.4} 41 ${54 + off} 49`, 0.6, 0.6)),
    wash(ellipse([51, 37], 2, 3), 'white', 0.8),
  ],
  'eggs-globes': (random) => [...ground(), ...pearls(packed(3, 4, 17, random), 5, 'water')],
  'eggs-in-soil': (random) => [
    soil(22),
    ...pearls(
      packed(3, 4, 13, random).map(([x, y]): Point => [x, y + 10]),
      6,
      'cream',
    ),
  ],
  'eggs-in-stem': () => [
    inked('M34 0H66V100H34Z', 'leaf', 1.2),
    ...[18, 34, 50, 66, 82].flatMap((y) => [
      stroke(`M44 ${y - 5}Q50 ${y} 44 ${y + 5}`, 1.4),
      inked(ellipse([51, y], 3, 5.6, 0.3), 'cream', 0.9),
    ]),
    stroke('M40 4V96M60 4V96', 0.5, 0.5),
  ],
  'eggs-on-twig': (random) => [
    inked('M40 0H60V100H40Z', 'brown', 1.2),
    ...line(7, (t): Point => [44 + 12 * random(), 10 + 80 * t]).flatMap((at) => [
      inked(ellipse(at, 3.4, 5.4, random()), 'dark', 0.8),
      wash(ellipse([at[0] - 1, at[1] - 2], 1, 1.6), 'white', 0.6),
    ]),
  ],
  'pupa-moth': () => [
    ...spindle('brown', 22),
    stroke('M33 26Q50 34 67 26M40 28Q38 52 48 60M60 28Q62 52 52 60', 0.9),
    ...[60, 68, 76, 82].map((y, i) => stroke(`M${35 + i * 2.6} ${y}Q50 ${y + 4} ${65 - i * 2.6} ${y}`, 0.8)),
    wash(ellipse([42, 30], 4, 9, 0.2), 'amber', 0.6),
  ],
  'pupa-hanging': () => [
    inked('M6 6H94V14H6Z', 'brown', 1),
    stroke('M50 14V20', 1.6),
    inked('M50 20C62 26 68 44 64 58L68 64L62 70C60 82 54 90 50 94C46 90 40 82 38 70L32 64L36 58C32 44 38 26 50 20Z', 'pale-leaf', 1.3),
    stroke('M30 34Q50 46 70 34M40 50Q50 54 60 50M40 62Q50 66 60 62M42 74Q50 77 58 74', 0.7, 0.7),
    ...[38, 50, 62].flatMap((y) => [wash(ellipse([44, y], 1.4, 1.4), 'dark'), wash(ellipse([56, y], 1.4, 1.4), 'dark')]),
  ],
  puparium: () => [
    soil(66),
    inked('M50 16C64 18 70 34 70 52C70 70 62 84 50 86C38 84 30 70 30 52C30 34 36 18 50 16Z', 'brown', 1.4),
    ...[28, 38, 48, 58, 68, 77].map((y) =>
      stroke(`M${34 + Math.abs(y - 52) * 0.12} ${y}Q50 ${y + 5} ${66 - Math.abs(y - 52) * 0.12} ${y}`, 0.8, 0.8),
    ),
    wash(ellipse([43, 40], 3, 12, 0.1), 'amber', 0.7),
  ],
  'pupa-soil': () => [
    wash('M0 0H100V100H0Z', 'soil', 0.85),
    inked(ellipse([50, 52], 34, 40), 'paper', 1),
    inked('M50 22C62 24 68 44 64 62C60 78 54 84 50 86C46 84 40 78 36 62C32 44 38 24 50 22Z', 'cream', 1.3),
    ...[-1, 1].map((side) =>
      stroke(
        `M${50 + side * 3} 42Q${50 + side * 14} 46 ${50 + side * 8} 58M${50 + side * 3} 50Q${50 + side * 12} 56 ${50 + side * 5} 66`,
        1,
      ),
    ),
    stroke('M42 30Q50 36 58 30M40 70Q50 74 60 70', 0.8, 0.7),
    wash(ellipse([46, 30], 1.5, 1.5), 'dark'),
    wash(ellipse([54, 30], 1.5, 1.5), 'dark'),
  ],
  cocoon: (random) => [
    ...ground(),
    ...line(7, (t): Point => [50, 34 + 32 * t]).flatMap(([, y]) => [
      stroke(`M22 50Q12 ${y} 4 ${y + 6 * random() - 3}M78 50Q88 ${y} 96 ${y + 6 * random() - 3}`, 0.6, 0.6),
    ]),
    inked(ellipse([50, 50], 32, 17), 'white', 1.2),
    wash(ellipse([50, 50], 22, 10), 'brown', 0.45),
    ...line(9, (t): Point => [24 + 52 * t, 0]).map(([x]) => {
      const tall = 16 * Math.sqrt(1 - ((x - 50) / 32) ** 2);
      return stroke(
        `M${x - 3} ${50 - tall}Q${x + 5} 50 ${x - 3} ${50 + tall}M${x + 3} ${50 - tall}Q${x - 5} 50 ${x + 3} ${50 + tall}`,
        0.5,
        0.45,
      );
    }),
  ],
  'mite-worm': () => [
    ...rings(
      line(15, (t): Point => [50 + 7 * Math.sin(t * 3), 20 + 66 * t]),
      (t) => 9.5 - 5.5 * t,
      'cream',
      'cream',
    ),
    ...[-1, 1].map((side) =>
      stroke(
        `M${50 + side * 7} 22L${50 + side * 20} 16L${50 + side * 23} 8M${50 + side * 8} 30L${50 + side * 22} 28L${50 + side * 27} 20`,
        1.3,
      ),
    ),
    stroke('M50 12V5', 1.6),
  ],
  nematode: () => [
    { d: 'M16 88C44 84 18 58 42 50S78 44 84 12', fill: 'none', line: 7.5, opacity: 0.9 },
    { d: 'M16 88C44 84 18 58 42 50S78 44 84 12', fill: 'cream', line: -5.4 },
    stroke('M83 20L84 12', 1.6),
  ],
  cysts: () => [
    ...(
      [
        ['dark', -6.4],
        ['cream', -4.4],
      ] as const
    ).map(([fill, width]) => ({ d: roots, fill, line: width })),
    ...pearls(beads, 4.6, 'amber'),
  ],
  crawler: () => [
    ...legs(3, 36, 62, 13, 18),
    ...[-1, 1].map((side) => stroke(`M${50 + side * 7} 26L${50 + side * 13} 14`, 1.2)),
    inked('M50 22C68 24 74 50 66 76C60 84 40 84 34 76C26 50 32 24 50 22Z', 'amber', 1.3),
    ...[40, 50, 60, 70].map((y) => stroke(`M35 ${y}Q50 ${y + 4} 65 ${y}`, 0.6, 0.6)),
    wash(ellipse([43, 32], 1.8, 1.8), 'red'),
    wash(ellipse([57, 32], 1.8, 1.8), 'red'),
  ],
  'thrips-young': () => [
    ...legs(3, 34, 48, 13, 6),
    inked('M50 14C58 18 57 30 56 38C60 54 57 76 50 88C43 76 40 54 44 38C43 30 42 18 50 14Z', 'yellow', 1.2),
    ...[46, 56, 66, 75].map((y) => stroke(`M44 ${y}H56`, 0.6, 0.6)),
    wash(ellipse([47, 22], 1.5, 1.5), 'red'),
    wash(ellipse([53, 22], 1.5, 1.5), 'red'),
  ],
  'bug-young': () => [
    ...legs(3, 40, 60, 18, 16),
    ...[-1, 1].map((side) => stroke(`M${50 + side * 4} 22L${50 + side * 16} 8`, 1.2)),
    inked(ellipse([50, 26], 8, 6), 'dark', 1),
    inked('M34 36Q50 28 66 36C74 52 68 78 50 86C32 78 26 52 34 36Z', 'leaf', 1.3),
    ...[-1, 1].map((side) =>
      inked(`M${50 + side * 4} 38Q${50 + side * 14} 40 ${50 + side * 14} 54Q${50 + side * 8} 54 ${50 + side * 4} 44Z`, 'leaf-deep', 0.9),
    ),
    ...[58, 66, 74].map((y) => wash(ellipse([50, y], 4, 2), 'dark', 0.7)),
  ],
};
