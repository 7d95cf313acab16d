import { beetleLike, feelers, legs, line, rings } from './creature-parts';
import type { Draw } from './creature-parts';
import { ellipse, openPath } from './geometry';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

const lengthwise = (fill: Tone): Shape[] =>
  [-14, -7, 7, 14].map((shift) => ({
    d: `M${50 + shift} ${36 + Math.abs(shift) * 0.3}Q${50 + shift * 1.15} 58 ${50 + shift * 0.7} ${80 - Math.abs(shift) * 0.3}`,
    fill,
    line: -2.4,
  }));

/** A slim beetle with long wing cases. */
const slim = (tone: Tone, extra: readonly Shape[] = []): Shape[] => [
  ...legs(3, 42, 66, 18, 12),
  ...feelers(22, 15),
  inked(ellipse([50, 22], 7, 7), 'dark', 1),
  inked('M42 28H58L59 38H41Z', tone, 1),
  inked('M36 38H64C67 56 64 80 50 90C36 80 33 56 36 38Z', tone, 1.2),
  stroke('M50 38V90', 0.9),
  ...extra,
];

/** Beetles and their young, by the name that the library uses. */
export const beetles: Readonly<Record<string, Draw>> = {
  'beetle-striped': () => beetleLike('yellow', lengthwise('dark')),
  'beetle-scarlet': () => slim('red'),
  'beetle-metallic': () =>
    beetleLike('water', [wash(ellipse([42, 48], 5, 13, 0.2), 'white', 0.6), wash(ellipse([60, 66], 4, 10, -0.2), 'leaf-deep', 0.6)]),
  chafer: () => [
    ...legs(3, 40, 72, 24, 24),
    inked(ellipse([50, 20], 12, 8), 'leaf-deep', 1.1),
    inked('M30 30Q50 22 70 30L72 42H28Z', 'leaf-deep', 1.1),
    inked('M26 42H74C78 66 66 88 50 90C34 88 22 66 26 42Z', 'amber', 1.4),
    stroke('M50 42V90M38 44Q34 66 42 86M62 44Q66 66 58 86', 0.7, 0.6),
    ...[-1, 1].flatMap((side) => [0, 1, 2].map((i) => stroke(`M${50 + side * 8} 14L${50 + side * (18 + i * 3)} ${8 + i * 3}`, 1.2))),
    wash(ellipse([40, 56], 4, 10, 0.2), 'white', 0.45),
  ],
  weevil: () => [
    ...legs(3, 46, 70, 19, 16),
    stroke('M50 26L50 4', 3.4),
    stroke('M50 14L38 10L32 3M50 14L62 10L68 3', 1.1),
    inked(ellipse([50, 30], 8, 8), 'brown', 1.1),
    inked(ellipse([50, 62], 20, 27), 'brown', 1.3),
    stroke('M50 36V88M40 40Q36 62 43 84M60 40Q64 62 57 84', 0.8),
    ...line(10, (t): Point => [36 + 28 * ((t * 7) % 1), 46 + 34 * t]).map((at) => wash(ellipse(at, 1.1, 1.1), 'amber')),
  ],
  'ground-beetle': () => [
    ...legs(3, 40, 66, 28, 14),
    ...feelers(18, 20),
    inked(ellipse([50, 20], 8, 8), 'dark', 1),
    stroke('M45 13L41 6M55 13L59 6', 1.8),
    inked('M38 30Q50 26 62 30L60 44H40Z', 'dark', 1.1),
    inked('M34 46H66C70 64 64 88 50 94C36 88 30 64 34 46Z', 'dark', 1.3),
    stroke('M50 46V92', 0.9),
    ...[-10, -5, 5, 10].map((shift) => ({ d: `M${50 + shift} 50V84`, fill: 'grey' as const, line: -0.8 })),
  ],
  'sap-beetle': () => [
    ...legs(3, 44, 64, 16, 16),
    ...[-1, 1].flatMap((side) => [
      stroke(`M${50 + side * 5} 24L${50 + side * 14} 14`, 1.1),
      wash(ellipse([50 + side * 15, 12], 3.2, 3.2), 'brown'),
    ]),
    inked(ellipse([50, 28], 10, 7), 'dark', 1),
    inked('M34 36H66L68 70H32Z', 'brown', 1.3),
    inked('M36 70H64L58 88H42Z', 'amber', 1),
    stroke('M50 36V70', 0.9),
    wash(ellipse([42, 52], 3.4, 5), 'amber'),
    wash(ellipse([58, 52], 3.4, 5), 'amber'),
  ],
  'humped-larva': () => [
    ...legs(3, 34, 46, 15, 12),
    inked(ellipse([50, 18], 8, 7), 'dark', 1),
    inked('M50 24C66 26 76 50 70 72C64 90 36 90 30 72C24 50 34 26 50 24Z', 'red', 1.4),
    ...[36, 48, 60, 72].flatMap((y) => [
      wash(ellipse([35, y], 2, 2), 'dark'),
      wash(ellipse([65, y], 2, 2), 'dark'),
      stroke(`M38 ${y + 5}Q50 ${y + 9} 62 ${y + 5}`, 0.6, 0.6),
    ]),
  ],
  'spiny-larva': () => [
    ...line(7, (t): Point => [50, 22 + 58 * t]).flatMap(([x, y]) =>
      [-1, 1].flatMap((side) => [
        stroke(`M${x + side * 10} ${y}L${x + side * 26} ${y - 3}`, 1),
        stroke(`M${x + side * 18} ${y - 1.5}L${x + side * 22} ${y - 7}M${x + side * 20} ${y - 2}L${x + side * 24} ${y + 4}`, 0.7),
      ]),
    ),
    ...line(8, (t): Point => [50, 18 + 66 * t]).map((at, i) => inked(ellipse(at, 14 - Math.abs(i - 3.5) * 1.6, 6), 'yellow', 1)),
  ],
  'dirt-grub': (random) => [
    ...rings(
      line(8, (t): Point => [30 + 40 * t, 58 - 8 * Math.sin(Math.PI * t)]),
      (t) => 9 + 5 * Math.sin(Math.PI * t),
      'orange',
      'dark',
    ),
    ...Array.from({ length: 9 }, (_, i) => inked(ellipse([36 + i * 5, 40 + 10 * random()], 8, 6, random() * 3), 'olive', 0.8)),
    wash(ellipse([50, 40], 5, 3), 'silver', 0.6),
  ],
  wireworm: () => [
    ...rings(
      line(14, (t): Point => [12 + 76 * t, 58 - 18 * Math.sin(t * 2.6)]),
      () => 6,
      'amber',
      'brown',
    ),
    ...[20, 25, 30].map((x) =>
      stroke(
        openPath([
          [x, 52],
          [x - 1, 60],
          [x - 3, 66],
        ]),
        1,
      ),
    ),
  ],
};
