import { bases } from './bases';
import { blob, ellipse, polar } from './geometry';
import { fruits } from './fruits';
import { grounds } from './grounds';
import { handwork } from './handwork';
import { apple, berry, bulb, flower, fuzz, pot, roots, seedling, soilLine, tomato } from './part-shapes';
import type { Draw } from './part-shapes';
import { rootMarks } from './root-marks';
import type { Point } from './shape';
import { inked, stroke, wash } from './shape';
import { stemMarks } from './stems';

/** Marks of every part that is neither leaf, whole plant nor creature, and of what hands do, by the name that the library uses. */
export const partMarks: Readonly<Record<string, Draw>> = {
  ...bases,
  ...rootMarks,
  ...fruits,
  ...grounds,
  ...stemMarks,
  ...handwork,
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
