import { beetles } from './beetles';
import { bugs } from './bugs';
import { caterpillars } from './caterpillars';
import { beetleLike, feelers, legs, line, rings } from './creature-parts';
import type { Draw } from './creature-parts';
import { crawlers } from './crawlers';
import { ellipse, openPath, polar } from './geometry';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';
import { winged } from './winged';
import { young } from './young';

function aphid(tone: Tone): Shape[] {
  return [
    ...legs(3, 42, 62, 24, 15),
    ...feelers(24, 16),
    stroke('M42 82L37 95M58 82L63 95', 1.8),
    inked('M50 22C64 24 76 52 68 74C62 88 38 88 32 74C24 52 36 24 50 22Z', tone, 1.4),
    stroke('M36 52Q50 57 64 52M35 64Q50 70 65 64', 0.6, 0.6),
    wash(ellipse([45, 30], 1.7, 1.7), 'dark'),
    wash(ellipse([55, 30], 1.7, 1.7), 'dark'),
  ];
}

/** Animals from simple parts of their anatomy, by the name that the library uses; all seen from above with the head up. */
export const creatures: Readonly<Record<string, Draw>> = {
  ...beetles,
  ...bugs,
  ...caterpillars,
  ...crawlers,
  ...winged,
  ...young,
  'aphid-green': () => aphid('leaf'),
  'aphid-black': () => aphid('dark'),
  mummy: () => [
    ...legs(3, 44, 62, 16, 18),
    inked(ellipse([50, 56], 25, 29), 'amber', 1.4),
    stroke('M28 48Q50 54 72 48M26 62Q50 69 74 62', 0.6, 0.6),
    inked(ellipse([55, 70], 7, 6.4), 'dark', 1),
  ],
  whitefly: () => [
    ...feelers(26, 12),
    ...legs(2, 40, 52, 16, 10),
    inked('M50 34C70 40 84 74 74 86C62 88 52 60 50 44C48 60 38 88 26 86C16 74 30 40 50 34Z', 'white', 1.3),
    inked(ellipse([50, 32], 9, 8), 'cream', 1.1),
    wash(ellipse([46, 30], 1.6, 1.6), 'red'),
    wash(ellipse([54, 30], 1.6, 1.6), 'red'),
  ],
  thrips: () => [
    ...legs(3, 32, 46, 14, 6),
    ...feelers(14, 9),
    ...[-1, 1].flatMap((side) => [
      stroke(`M${50 + side * 5} 40Q${50 + side * 15} 62 ${50 + side * 9} 88`, 1.4),
      ...Array.from({ length: 8 }, (_, i) =>
        stroke(`M${50 + side * (11 - Math.abs(i - 3))} ${50 + i * 5}L${50 + side * 20} ${54 + i * 5}`, 0.5, 0.7),
      ),
    ]),
    inked('M50 12C57 16 57 26 56 34C60 50 58 76 50 92C42 76 40 50 44 34C43 26 43 16 50 12Z', 'amber', 1.3),
    ...[44, 54, 64, 74].map((y) => stroke(`M43 ${y}H57`, 0.6)),
  ],
  mite: () => [
    ...legs(4, 38, 66, 22, 17),
    inked('M50 24C70 28 76 62 64 78C56 84 44 84 36 78C24 62 30 28 50 24Z', 'amber', 1.4),
    wash(ellipse([40, 54], 6, 9), 'dark', 0.75),
    wash(ellipse([60, 54], 6, 9), 'dark', 0.75),
    wash(ellipse([45, 33], 1.6, 1.6), 'red'),
    wash(ellipse([55, 33], 1.6, 1.6), 'red'),
  ],
  mealybug: (random) => [
    ...Array.from({ length: 26 }, (_, i) => {
      const angle = (i / 26) * 6.28;
      return stroke(openPath([polar([50, 52], 26, angle), polar([50, 52], 38 + 5 * random(), angle)]), 1.6, 0.55);
    }),
    inked(ellipse([50, 52], 24, 33), 'white', 1.3),
    ...[32, 40, 48, 56, 64, 72].map((y) =>
      stroke(`M${28 + Math.abs(y - 52) * 0.25} ${y}Q50 ${y + 4} ${72 - Math.abs(y - 52) * 0.25} ${y}`, 0.7, 0.6),
    ),
    wash(ellipse([50, 52], 5, 24), 'petal', 0.5),
  ],
  scale: () => [
    inked('M38 98C40 70 40 30 42 2H58C60 30 60 70 62 98Z', 'leaf', 1.1),
    ...(
      [
        [50, 26, 15],
        [44, 54, 13],
        [57, 78, 14],
      ] as const
    ).flatMap(([x, y, r]) => [
      inked(ellipse([x, y], r * 0.85, r), 'brown', 1.2),
      stroke(ellipse([x - 2, y - 2], r * 0.45, r * 0.55), 0.6, 0.6),
    ]),
  ],
  caterpillar: () => [
    ...Array.from({ length: 8 }, (_, i) => stroke(`M${22 + i * 8} 62V72`, 1.6)),
    ...rings(
      line(11, (t) => [16 + 68 * t, 54 - 11 * Math.sin(Math.PI * t)]),
      (t) => 9 + 2 * Math.sin(Math.PI * t),
      'leaf',
      'dark',
    ),
    ...Array.from({ length: 9 }, (_, i) => wash(ellipse([24 + i * 7, 46 - 9 * Math.sin((i / 9) * 3)], 1.3, 1.3), 'yellow')),
  ],
  'flea-beetle': () =>
    beetleLike('dark', [
      stroke('M32 72C22 76 18 84 24 92M68 72C78 76 82 84 76 92', 3),
      wash(ellipse([42, 48], 2.4, 9, 0.2), 'silver', 0.8),
    ]),
  gnat: () => [
    ...legs(3, 36, 46, 34, 4),
    ...feelers(18, 18),
    inked('M52 34C66 36 84 58 80 72C68 72 56 52 52 40Z', 'silver', 0.9),
    inked('M48 34C34 36 16 58 20 72C32 72 44 52 48 40Z', 'silver', 0.9),
    inked(ellipse([50, 34], 7, 8), 'dark', 1),
    inked('M46 42H54L52 84H48Z', 'dark', 1),
    inked(ellipse([50, 22], 5, 5), 'dark', 1),
  ],
  'gnat-larva': () =>
    rings(
      line(15, (t) => [14 + 72 * t, 50 + 15 * Math.sin(t * 6.2)]),
      (t) => 6.4 - 2 * t,
      'water',
      'dark',
    ),
  'weevil-grub': () =>
    rings(
      line(11, (t) => polar([50, 52], 24, -2.5 + t * 4.4)),
      (t) => 9 + 4 * Math.sin(Math.PI * t),
      'cream',
      'brown',
    ),
  grub: () =>
    rings(
      line(10, (t) => [18 + 62 * t, 52 + 5 * Math.sin(t * 5)]),
      (t) => 7 + 1.6 * Math.sin(Math.PI * t),
      'cream',
      'brown',
    ),
  slug: () => [
    wash('M6 78Q50 86 96 74L96 80Q50 92 6 84Z', 'silver', 0.9),
    inked('M14 70C14 56 34 50 56 50C74 50 88 58 92 74C70 82 26 82 14 70Z', 'brown', 1.4),
    inked('M28 58C34 46 54 44 62 54C54 62 38 64 28 58Z', 'amber', 1),
    stroke('M18 62L8 46M24 58L17 40', 1.6),
    wash(ellipse([8, 45], 1.8, 1.8), 'dark'),
    wash(ellipse([17, 39], 1.8, 1.8), 'dark'),
  ],
  earwig: () => [
    ...legs(3, 34, 50, 17, 8),
    ...feelers(16, 17),
    inked(ellipse([50, 18], 8, 8), 'brown', 1.1),
    inked('M41 26H59L60 44H40Z', 'amber', 1.1),
    ...line(6, (t) => [50, 48 + 24 * t]).map((at) => inked(ellipse(at, 9, 4.4), 'brown', 0.9)),
    stroke('M45 76C34 84 40 96 49 95M55 76C66 84 60 96 51 95', 2.2),
  ],
  'net-cocoon': () => [
    inked('M50 10C74 26 76 74 50 92C24 74 26 26 50 10Z', 'paper', 1),
    ...[-16, -6, 4, 14, 24].flatMap((shift) => [
      stroke(`M${34 + shift} 16L${58 + shift} 88`, 0.5, 0.7),
      stroke(`M${66 - shift} 16L${42 - shift} 88`, 0.5, 0.7),
    ]),
    inked(ellipse([50, 52], 9, 24), 'brown', 1),
    stroke('M42 46H58M42 56H58', 0.6),
  ],
  'ladybird-larva': () => [
    ...legs(3, 32, 50, 19, 11),
    inked(ellipse([50, 16], 7, 6), 'dark', 1),
    ...line(8, (t) => [50, 24 + 62 * t]).map(([x, y], i) => inked(ellipse([x, y], 15 - Math.abs(i - 2.5) * 1.9, 6), 'grey', 1)),
    ...(
      [
        [40, 36],
        [60, 36],
        [40, 54],
        [60, 54],
      ] as Point[]
    ).map((at) => wash(ellipse(at, 3.2, 2.8), 'orange')),
  ],
  'hoverfly-larva': () => [
    inked('M50 8C60 26 70 60 62 84C56 94 44 94 38 84C30 60 40 26 50 8Z', 'leaf', 1.3),
    wash('M50 20C53 40 54 66 50 84C46 66 47 40 50 20Z', 'white', 0.85),
    ...[36, 50, 64, 76].map((y) => stroke(`M${40 - (y - 36) * 0.1} ${y}Q50 ${y + 4} ${60 + (y - 36) * 0.1} ${y}`, 0.6, 0.6)),
    stroke('M48 88L46 96M52 88L54 96', 1.4),
  ],
  ant: () => [
    ...legs(3, 42, 54, 26, 5),
    ...feelers(18, 15),
    inked(ellipse([50, 22], 9, 8), 'dark', 1),
    inked(ellipse([50, 46], 6, 11), 'dark', 1),
    inked(ellipse([50, 61], 3, 3), 'dark', 1),
    inked(ellipse([50, 78], 12, 15), 'dark', 1),
  ],
};
