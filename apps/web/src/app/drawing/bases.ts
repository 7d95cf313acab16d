import { blob, ellipse, openPath } from './geometry';
import type { Draw } from './part-shapes';
import { seedling, soilLine } from './part-shapes';
import type { Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

/** A stem or trunk that goes into the soil, with some roots. */
const foot = (tone: Tone = 'leaf', wide = 7): Shape[] => [
  ...soilLine,
  stroke('M46 60L34 84M50 60V90M54 60L66 84', 1.4),
  inked(`M${50 - wide} 4H${50 + wide}L${51 + wide} 62H${49 - wide}Z`, tone, 1.2),
];
const trunk = (): Shape[] => [...foot('amber', 11), stroke('M45 6Q43 34 46 60M56 6Q58 34 54 58', 0.5, 0.5)];

/** Marks of the place where stem meets soil, and of seedlings, by the name that the library uses. */
export const bases: Readonly<Record<string, Draw>> = {
  'crown-gall': (_, random) => [
    ...trunk(),
    ...(
      [
        [40, 46, 12],
        [58, 52, 14],
        [48, 60, 10],
      ] as const
    ).flatMap(([x, y, r]) => [
      inked(blob([x, y], r, random, 0.22), 'brown', 1.2),
      ...[0, 2, 4].map((a) => stroke(ellipse([x + 3 * Math.cos(a), y + 3 * Math.sin(a)], 3.4, 3), 0.5, 0.6)),
    ]),
  ],
  'white-sheet': (_, random) => [
    ...trunk(),
    inked('M42 14C46 10 56 10 59 16L58 54C54 60 44 58 42 52Z', 'white', 1),
    ...Array.from({ length: 7 }, (__, i) =>
      stroke(`M${44 + random() * 4} ${18 + i * 5}Q50 ${20 + i * 5} ${54 + random() * 4} ${17 + i * 5}`, 0.4, 0.6),
    ),
    inked('M59 16C68 22 70 42 64 56L58 54Z', 'brown', 1),
  ],
  toadstools: () => [
    ...trunk(),
    ...(
      [
        [26, 44, 9],
        [72, 44, 11],
        [84, 46, 6],
      ] as const
    ).flatMap(([x, y, r]) => [
      inked(`M${x - 2} ${y}L${x - 3} ${y - r}H${x + 3}L${x + 2} ${y}Z`, 'cream', 0.9),
      inked(`M${x - r} ${y - r}C${x - r} ${y - r * 2.2} ${x + r} ${y - r * 2.2} ${x + r} ${y - r}Z`, 'amber', 1.1),
    ]),
  ],
  'white-fan': (_, random) => [
    ...foot(),
    ...Array.from({ length: 13 }, (__, i) => ({
      d: openPath([
        [50, 44],
        [50 + (i - 6) * 4, 42 + random() * 3],
        [50 + (i - 6) * 7, 41 + random() * 5],
      ]),
      fill: 'white' as const,
      line: -1.5,
    })),
    ...Array.from({ length: 18 }, () => inked(ellipse([26 + random() * 48, 40 + random() * 7], 1.7, 1.7), 'amber', 0.5)),
  ],
  'black-leg': (severity) => [
    ...foot(),
    wash(
      `M42.4 ${48 - 26 * severity}C46 ${44 - 26 * severity} 54 ${52 - 26 * severity} 57.6 ${46 - 26 * severity}L58 62H42Z`,
      'dark',
      0.95,
    ),
  ],
  gnawed: () => [
    ...trunk(),
    inked('M41 16C46 12 56 14 60 18L60 40C54 44 46 42 41 38Z', 'cream', 1),
    ...[20, 25, 30, 35].flatMap((y) => [stroke(`M43 ${y}L49 ${y + 3}M47 ${y - 1}L53 ${y + 2}M52 ${y}L58 ${y + 2}`, 0.7, 0.8)]),
  ],
  girdle: () => [
    ...trunk(),
    inked('M36 24H64V30H36Z', 'dark', 0.9),
    wash('M40 18H60V24H40ZM40 30H60V36H40Z', 'brown', 0.7),
    stroke('M64 26L78 20L82 28', 1.4),
  ],
  buried: () => [
    ...soilLine,
    inked('M42 4H58V94H42Z', 'amber', 1.2),
    stroke('M42 84L28 92M58 84L72 92', 1.4),
    stroke('M76 42V78M72 47L76 42L80 47M72 73L76 78L80 73', 0.9, 0.7),
  ],
  'mulch-heap': (_, random) => [
    ...soilLine,
    inked('M41 2H59L60 44H40Z', 'amber', 1.2),
    inked('M10 46C28 42 38 14 41 10H59C62 14 72 42 90 46C70 52 30 52 10 46Z', 'brown', 1.2),
    ...Array.from({ length: 26 }, () => {
      const x = 22 + random() * 56;
      const y = 46 - random() * (30 - Math.abs(x - 50) * 0.9);
      return stroke(`M${x - 3} ${y}l6 ${random() * 3 - 1.5}`, 0.9, 0.7);
    }),
  ],
  'red-girdle': () => [
    ...foot('leaf', 6),
    inked('M44.4 30C46 34 46 46 45 52H55C54 46 54 34 55.6 30Z', 'red', 1),
    wash('M46 36H54V46H46Z', 'brown', 0.5),
  ],
  cinnamon: () => [
    ...trunk(),
    inked('M41 30C44 18 48 34 51 22C54 34 57 20 59 32L60 58H40Z', 'orange', 1),
    stroke('M44 40V54M50 36V56M56 42V54', 0.6, 0.6),
  ],
  felled: (severity) => [
    wash('M6 74Q50 70 94 74V94H6Z', 'soil', 0.6),
    stroke('M6 74Q50 70 94 74', 1),
    ...seedling(18, 74, false),
    ...([40, 64] as const)
      .slice(0, severity > 0.2 ? 2 : 1)
      .flatMap((x): Shape[] => [
        stroke(`M${x} 74V67`, 2),
        stroke(`M${x + 3} 71L${x + 19} 66`, 1.4),
        inked(ellipse([x + 23, 62], 5.4, 2.6, -0.6), 'leaf', 0.8),
        inked(ellipse([x + 24, 68], 5.4, 2.6, 0.4), 'leaf', 0.8),
      ]),
  ],
  missing: () => [
    wash('M6 74Q50 70 94 74V94H6Z', 'soil', 0.6),
    stroke('M6 74Q50 70 94 74', 1),
    ...seedling(14, 74, false),
    ...([38, 56] as const).map((x) => inked(ellipse([x, 76], 5, 3), 'dark', 0.8)),
    ...seedling(86, 74, false),
    stroke('M38 62l0 -6M56 62l0 -6', 0.9, 0.5),
  ],
};
