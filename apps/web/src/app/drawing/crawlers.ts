import { feelers, legs, line, rings } from './creature-parts';
import type { Draw } from './creature-parts';
import { ellipse } from './geometry';
import type { Point } from './shape';
import { inked, stroke, wash } from './shape';

/** What creeps in soil, litter and rot, and grasshoppers, by the name that the library uses. */
export const crawlers: Readonly<Record<string, Draw>> = {
  leatherjacket: () => [
    wash('M6 80Q50 74 94 80V96H6Z', 'soil', 0.7),
    inked('M12 56C20 40 70 38 88 52C92 58 90 66 84 68C64 76 24 76 12 64C10 62 10 58 12 56Z', 'grey', 1.4),
    ...line(8, (t): Point => [22 + 60 * t, 0]).map(([x]) => stroke(`M${x} 44Q${x + 3} 58 ${x} 70`, 0.7, 0.6)),
    stroke('M88 54l7 -5M89 58h8M88 63l7 4', 1.2),
  ],
  maggot: () => [
    ...[0, 1, 2].flatMap((i) =>
      rings(
        line(9, (t): Point => [18 + 56 * t + i * 4, 26 + i * 24 + 6 * Math.sin(t * 4 + i)]),
        (t) => 2.6 + 5.4 * t ** 0.7,
        'cream',
        'dark',
      ),
    ),
  ],
  woodlouse: () => [
    ...legs(6, 34, 76, 13, 18),
    ...feelers(18, 16),
    inked(ellipse([50, 22], 9, 6), 'grey', 1),
    ...line(8, (t): Point => [50, 30 + 56 * t]).map((at, i) => inked(ellipse(at, 22 - Math.abs(i - 3.2) * 2.1, 6.2), 'grey', 1)),
  ],
  springtail: () => [
    ...legs(3, 38, 54, 14, 7),
    ...feelers(20, 18),
    inked(ellipse([50, 24], 8, 8), 'white', 1.1),
    inked('M42 32H58C62 52 60 70 50 80C40 70 38 52 42 32Z', 'white', 1.2),
    ...[44, 54, 64].map((y) => stroke(`M41 ${y}H59`, 0.6, 0.6)),
    stroke('M50 80C46 90 42 94 36 97M50 80C54 90 58 94 64 97', 1.4),
    wash(ellipse([47, 22], 1.4, 1.4), 'dark'),
    wash(ellipse([53, 22], 1.4, 1.4), 'dark'),
  ],
  grasshopper: () => [
    inked('M10 44C14 36 26 36 32 40L84 52C92 56 92 62 84 64L34 64C20 64 10 56 10 44Z', 'leaf', 1.3),
    inked('M34 42L94 46C96 52 90 56 84 56L38 52Z', 'pale-leaf', 0.9),
    stroke('M44 62L70 30L84 84M84 84H92', 3),
    stroke('M26 62L22 80H17M38 64L36 82H31', 1.6),
    stroke('M12 40Q6 24 16 8M16 38Q16 22 28 12', 1),
    wash(ellipse([15, 44], 2.6, 3.2), 'dark'),
    stroke('M30 40V62', 0.8),
  ],
};
