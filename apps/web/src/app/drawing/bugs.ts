import { feelers, legs, line } from './creature-parts';
import type { Draw } from './creature-parts';
import { ellipse, openPath, polar } from './geometry';
import type { Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

/** Two clear wings over a body. */
const wings = (spread: number, length: number): Shape[] =>
  [-1, 1].map((side) => ({
    ...inked(
      `M${50 + side * 3} 36C${50 + side * spread} 40 ${50 + side * spread * 1.2} ${30 + length} ${50 + side * spread * 0.7} ${40 + length}C${50 + side * 8} ${30 + length} ${50 + side * 4} 60 ${50 + side * 3} 36Z`,
      'silver',
      0.9,
    ),
    opacity: 0.85,
  }));

function fly(tone: Tone, eyes: Tone, size: number): Shape[] {
  const s = (value: number) => 50 + (value - 50) * size;
  return [
    ...legs(3, s(40), s(54), 22 * size, 8 * size),
    inked(ellipse([50, s(66)], 10 * size, 17 * size), tone, 1.1),
    ...wings(24 * size, 40 * size),
    inked(ellipse([50, s(40)], 10 * size, 11 * size), tone, 1.1),
    inked(ellipse([s(43), s(24)], 6 * size, 7 * size), eyes, 0.9),
    inked(ellipse([s(57), s(24)], 6 * size, 7 * size), eyes, 0.9),
  ];
}

const cluster = (
  count: number,
  at: (i: number) => readonly [number, number],
  draw: (x: number, y: number, i: number) => Shape[],
): Shape[] => Array.from({ length: count }, (_, i) => draw(...at(i), i)).flat();

/** Bugs, flies, eggs and other small life on leaves, by the name that the library uses. */
export const bugs: Readonly<Record<string, Draw>> = {
  'mealy-aphid': (random) => [
    inked('M50 4C76 20 80 70 50 96C20 70 24 20 50 4Z', 'leaf', 1.2),
    stroke('M50 8V94', 0.9, 0.6),
    ...cluster(
      16,
      (i) => [34 + (i % 4) * 10.6 + random() * 3, 26 + Math.floor(i / 4) * 14 + random() * 4],
      (x, y) => [
        stroke(`M${x - 4} ${y}l-3 3M${x + 4} ${y}l3 3M${x - 4} ${y - 2}l-3 -3M${x + 4} ${y - 2}l3 -3`, 0.6),
        inked(ellipse([x, y], 3.8, 5), 'grey', 0.7),
        wash(ellipse([x, y + 1], 2.6, 3.2), 'white', 0.75),
      ],
    ),
  ],
  leafhopper: () => [
    ...legs(3, 40, 58, 17, 10),
    inked('M50 10C60 14 64 24 62 34H38C36 24 40 14 50 10Z', 'leaf', 1.1),
    inked('M38 34H62C64 56 58 80 50 94C42 80 36 56 38 34Z', 'pale-leaf', 1.2),
    stroke('M50 36V90M44 40L48 80M56 40L52 80', 0.6, 0.7),
    wash(ellipse([42, 22], 2.4, 2.4), 'dark'),
    wash(ellipse([58, 22], 2.4, 2.4), 'dark'),
  ],
  'shield-bug': () => [
    ...legs(3, 40, 62, 20, 22),
    ...feelers(20, 15),
    inked('M43 14H57L60 26H40Z', 'olive', 1.1),
    inked('M40 26L60 26L80 38C78 62 66 84 50 92C34 84 22 62 20 38Z', 'olive', 1.4),
    inked('M36 38H64L50 70Z', 'brown', 1),
    stroke('M50 70V90M30 44Q36 70 48 84M70 44Q64 70 52 84', 0.7, 0.6),
  ],
  'plant-bug': () => [
    ...legs(3, 38, 62, 26, 12),
    ...feelers(18, 20),
    inked(ellipse([50, 20], 7, 6), 'leaf-deep', 1),
    inked('M42 26H58L64 38H36Z', 'leaf-deep', 1),
    inked('M36 38H64C66 58 62 78 50 88C38 78 34 58 36 38Z', 'leaf', 1.2),
    inked('M42 40H58L50 56Z', 'yellow', 0.8),
    stroke('M38 42L56 82M62 42L44 82', 0.6, 0.6),
  ],
  'lace-bug': () => [
    ...feelers(22, 12),
    inked('M44 22H56L60 34H40Z', 'brown', 1),
    inked('M22 32H78C82 54 76 78 64 88H36C24 78 18 54 22 32Z', 'paper', 1.2),
    ...[30, 40, 50, 60, 70].map((x) => stroke(`M${x} 33V86`, 0.5, 0.8)),
    ...[42, 52, 62, 72].map((y) => stroke(`M21 ${y}H79`, 0.5, 0.8)),
    inked('M44 34H56L53 78H47Z', 'brown', 0.9),
    wash(ellipse([34, 62], 5, 7), 'brown', 0.6),
    wash(ellipse([66, 62], 5, 7), 'brown', 0.6),
  ],
  psyllid: (random) => [
    ...Array.from({ length: 7 }, (_, i) => ({
      d: openPath([
        [38 + i * 4, 80],
        [34 + i * 5 + random() * 4, 90],
        [40 + i * 3, 98],
      ]),
      fill: 'white' as const,
      line: -1.6,
    })),
    ...legs(3, 42, 60, 14, 20),
    ...feelers(24, 11),
    inked(ellipse([50, 54], 25, 31), 'amber', 1.3),
    inked('M28 44C34 40 40 46 40 58C34 62 28 56 28 44Z', 'cream', 0.9),
    inked('M72 44C66 40 60 46 60 58C66 62 72 56 72 44Z', 'cream', 0.9),
    ...[66, 74].map((y) => stroke(`M34 ${y}Q50 ${y + 4} 66 ${y}`, 0.6, 0.6)),
    wash(ellipse([42, 30], 2.4, 2.4), 'red'),
    wash(ellipse([58, 30], 2.4, 2.4), 'red'),
  ],
  'fruit-flies': () => fly('amber', 'red', 0.86),
  'house-fly': () => [...fly('grey', 'brown', 1), stroke('M46 34V48M54 34V48', 0.9)],
  froth: (random) => [
    inked('M46 2H54L55 98H45Z', 'leaf', 1.1),
    ...Array.from({ length: 26 }, () => {
      const at = polar([50, 50], 22 * Math.sqrt(random()), random() * 6.28);
      return inked(ellipse(at, 4 + 3 * random(), 4 + 3 * random()), 'white', 0.6);
    }),
    { ...inked(ellipse([52, 52], 5, 8), 'pale-leaf', 0.8), opacity: 0.9 },
    wash(ellipse([50, 47], 1, 1), 'dark'),
    wash(ellipse([54, 47], 1, 1), 'dark'),
  ],
  'predatory-mite': () => [
    ...legs(4, 36, 64, 30, 13),
    inked('M50 20C64 24 72 54 62 78C56 86 44 86 38 78C28 54 36 24 50 20Z', 'orange', 1.4),
    wash(ellipse([44, 44], 3, 9, 0.15), 'white', 0.6),
    stroke('M46 20L43 10M54 20L57 10', 1.2),
    ...[-1, 1].map((side) => stroke(`M${50 + side * 22} 14q${side * 8} -4 ${side * 14} 0`, 0.8, 0.6)),
  ],
  'stalked-eggs': () => [
    inked('M4 8Q50 18 96 8V20Q50 30 4 20Z', 'leaf', 1.1),
    ...cluster(
      7,
      (i) => [16 + i * 11.4, 62 + (i % 3) * 11],
      (x, y) => [stroke(`M${x - 2} 23Q${x + 1} ${y - 22} ${x} ${y - 5}`, 0.8), inked(ellipse([x, y], 2.8, 5.6), 'pale-leaf', 0.9)],
    ),
  ],
  'upright-eggs': () => [
    inked('M4 74Q50 62 96 74V90Q50 78 4 90Z', 'leaf', 1.1),
    ...cluster(
      18,
      (i) => [26 + (i % 9) * 6 + (i > 8 ? 3 : 0), i > 8 ? 54 : 61],
      (x, y) => [inked(ellipse([x, y], 3, 8.6), 'orange', 0.8), wash(ellipse([x - 0.9, y - 3], 0.8, 2.4), 'white', 0.8)],
    ),
  ],
  'egg-rows': () => [
    inked('M50 4C80 20 84 72 50 97C16 72 20 20 50 4Z', 'leaf', 1.2),
    stroke('M50 10V94M50 62L26 44M50 62L74 44', 0.9, 0.6),
    ...cluster(
      14,
      (i) => [36 + (i % 5) * 7 + (Math.floor(i / 5) % 2) * 3.4, 34 + Math.floor(i / 5) * 8],
      (x, y) => [inked(ellipse([x, y], 3, 3.8), 'brown', 0.8), wash(ellipse([x - 0.8, y - 1.2], 1, 1.2), 'amber')],
    ),
  ],
  'lacewing-larva': () => [
    ...legs(3, 34, 50, 21, 10),
    stroke('M46 18C38 14 38 6 45 3M54 18C62 14 62 6 55 3', 2),
    inked(ellipse([50, 22], 7, 6), 'amber', 1),
    ...line(9, (t) => [50, 30 + 60 * t] as const).map((at, i) =>
      inked(ellipse(at, 13 - Math.abs(i - 2.6) * 1.9, 5), i % 2 ? 'cream' : 'brown', 1),
    ),
    ...[38, 52, 66].flatMap((y) => [stroke(`M36 ${y}l-7 -3M64 ${y}l7 -3`, 0.8)]),
  ],
  spider: () => [
    ...legs(4, 40, 56, 36, 8),
    inked(ellipse([50, 66], 17, 20), 'brown', 1.3),
    inked(ellipse([50, 40], 10, 11), 'amber', 1.2),
    wash('M50 50L54 60L50 82L46 60Z', 'cream', 0.9),
    ...[45, 48.5, 51.5, 55].map((x) => wash(ellipse([x, 34], 1.1, 1.1), 'dark')),
  ],
};
