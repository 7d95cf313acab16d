import { blob, ellipse } from './geometry';
import type { Draw } from './part-shapes';
import { apple, pot, soilLine } from './part-shapes';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

const trunk = (): Shape[] => [
  inked('M36 98C38 66 37 34 38 2H62C63 34 62 66 64 98Z', 'amber', 1.3),
  stroke('M45 6Q43 40 46 94M54 8Q57 48 53 92', 0.5, 0.5),
];
const leaf = (x: number, y: number, side: number, size: number, tone: Tone = 'leaf'): Shape =>
  inked(
    `M${x} ${y}Q${x + side * size * 0.4} ${y - size * 0.42} ${x + side * size} ${y - size * 0.12}Q${x + side * size * 0.5} ${y + size * 0.3} ${x} ${y}Z`,
    tone,
    0.9,
  );
/** A cut that is to be made. */
const cut = (x: number, y: number, dx: number, dy: number): Shape[] =>
  [0, 0.36, 0.72].map((at) => stroke(`M${x + dx * at} ${y + dy * at}l${dx * 0.2} ${dy * 0.2}`, 1.8));
/** An arrow from one point to another. */
function arrow([x, y]: Point, [toX, toY]: Point): Shape[] {
  const angle = Math.atan2(toY - y, toX - x);
  const barb = (turn: number) => `M${toX} ${toY}l${-6 * Math.cos(angle + turn)} ${-6 * Math.sin(angle + turn)}`;
  return [stroke(`M${x} ${y}L${toX} ${toY}${barb(0.5)}${barb(-0.5)}`, 1.4)];
}
const plantlet = (x: number, y: number, size: number): Shape[] => [
  stroke(`M${x} ${y}V${y - size}`, 1.8),
  leaf(x, y - size * 0.45, -1, size * 0.7),
  leaf(x, y - size * 0.55, 1, size * 0.7),
  leaf(x, y - size * 0.9, -1, size * 0.5),
  leaf(x, y - size * 0.95, 1, size * 0.5),
];

/** What hands do to a plant, by the name that a treatment's card gives. */
export const handwork: Readonly<Record<string, Draw>> = {
  'stem-collar': () => [
    ...soilLine,
    ...plantlet(50, 46, 36),
    inked('M20 44L50 34L82 44L52 56Z', 'cream', 1.1),
    stroke('M50 45L68 51', 1.3),
    stroke('M50 47V34', 2),
    stroke('M44 60L38 76M50 58V82M56 60L63 76', 1),
  ],
  'trunk-band': () => [
    ...trunk(),
    inked('M34 44Q50 50 66 44V64Q50 70 34 64Z', 'grey', 1.2),
    stroke('M33 47Q50 53 67 47M33 61Q50 67 67 61', 1.6),
    ...arrow([22, 96], [22, 72]),
    inked(ellipse([22, 90], 3, 4.4), 'brown', 0.8),
  ],
  'cut-below': (_, random) => [
    stroke('M50 98V6', 5),
    { d: 'M50 98V6', fill: 'amber', line: -3.4 },
    wash(blob([50, 24], 9, random, 0.4), 'dark', 0.9),
    stroke('M50 66L74 48', 3),
    leaf(74, 48, 1, 18),
    leaf(66, 54, -1, 14),
    leaf(50, 84, -1, 20),
    ...cut(36, 60, 28, -8),
  ],
  'slit-stem': () => [
    inked('M36 98C38 66 38 34 39 2H61C62 34 62 66 64 98Z', 'leaf', 1.3),
    inked('M50 22C45 40 45 62 50 80C55 62 55 40 50 22Z', 'cream', 1.1),
    inked('M47 46C52 42 56 46 53 52C57 56 53 62 48 60C51 56 50 50 47 46Z', 'white', 0.9),
    stroke('M94 40L66 50Q58 53 54 56', 1.4),
  ],
  swab: (_, random) => [
    stroke('M30 98C34 66 40 38 44 4', 3.2),
    leaf(36, 62, 1, 46),
    leaf(40, 36, -1, 34),
    inked(blob([39, 60], 7, random, 0.3), 'white', 0.7),
    stroke('M96 22L58 50', 2.4),
    inked(ellipse([53, 53], 7, 4, -0.63), 'cream', 1),
  ],
  'wipe-leaf': () => [
    stroke('M50 98V74', 2.4),
    inked('M50 78C18 70 14 30 50 6C86 30 82 70 50 78Z', 'leaf', 1.3),
    stroke('M50 78V12', 0.8),
    inked('M26 40C30 34 66 34 74 40C78 46 74 56 70 58C60 54 40 56 30 60C24 54 24 46 26 40Z', 'water', 1.1),
    ...arrow([36, 30], [66, 18]),
  ],
  'mesh-hoops': () => [
    wash('M4 76H96V94H4Z', 'soil', 0.6),
    ...plantlet(30, 78, 24),
    ...plantlet(52, 78, 28),
    ...plantlet(74, 78, 24),
    inked('M10 80C10 22 90 22 90 80Z', 'none', 1.3),
    ...[22, 34, 46, 58, 70, 82].map((x) => stroke(`M${x} ${80 - 34 * Math.sin(((x - 10) / 80) * Math.PI)}V80`, 0.4, 0.7)),
    ...[48, 58, 68].map((y) => stroke(`M${12 + (68 - y) * 0.3} ${y}H${88 - (68 - y) * 0.3}`, 0.4, 0.7)),
    inked(ellipse([10, 82], 6, 4), 'grey', 0.9),
    inked(ellipse([90, 82], 6, 4), 'grey', 0.9),
  ],
  'fruit-bag': () => [
    stroke('M6 10Q40 4 94 14', 3),
    leaf(70, 12, 1, 22),
    ...apple().map((shape) => ({ ...shape, opacity: 0.55 })),
    inked('M46 20C14 28 6 58 12 96H88C94 58 86 28 54 20Z', 'none', 1.3),
    wash('M46 20C14 28 6 58 12 96H88C94 58 86 28 54 20Z', 'cream', 0.5),
    stroke('M44 19H56M50 19V8', 2),
  ],
  'sticky-card': () => [
    ...pot.map((shape) => shape),
    ...plantlet(42, 36, 30),
    stroke('M66 38V4', 1.6),
    inked('M56 4H86V30H56Z', 'yellow', 1.2),
    ...(
      [
        [62, 10],
        [72, 16],
        [80, 9],
        [66, 23],
        [78, 25],
      ] as Point[]
    ).map((at) => wash(ellipse(at, 1.8, 1.3), 'dark')),
  ],
  'from-below': () => [
    ...pot,
    ...plantlet(50, 36, 30),
    inked('M10 84H90L84 96H16Z', 'silver', 1.2),
    wash('M13 88H87L84 95H16Z', 'water', 0.9),
    ...arrow([40, 84], [40, 60]),
    ...arrow([60, 84], [60, 60]),
  ],
  behead: () => [
    wash('M4 84H96V96H4Z', 'soil', 0.6),
    stroke('M4 84H96', 1),
    inked('M46 30H54L56 86H44Z', 'leaf', 1.1),
    wash('M45 64H55L56 86H44Z', 'dark', 0.85),
    leaf(50, 36, -1, 34),
    leaf(50, 36, 1, 34),
    leaf(50, 28, -1, 26),
    leaf(50, 28, 1, 26),
    leaf(50, 20, -1, 15),
    leaf(50, 20, 1, 15),
    ...cut(30, 52, 40, 0),
  ],
  'board-trap': () => [
    wash('M4 66H96V94H4Z', 'soil', 0.6),
    inked('M12 54L84 44L90 52L18 62Z', 'amber', 1.2),
    inked('M34 74C34 66 42 66 46 70C54 68 64 70 70 76H40C36 77 34 76 34 74Z', 'grey', 1),
    stroke('M36 68L32 62M40 67L39 60', 1),
  ],
  'straw-pot': () => [
    stroke('M50 98V30', 2.6),
    inked('M34 22H66L72 52H28Z', 'amber', 1.3),
    ...Array.from({ length: 9 }, (_, i) => stroke(`M${32 + i * 4.6} 50l${i % 2 ? 3 : -3} 12`, 1)),
    inked('M62 74C66 72 72 74 74 78C70 80 64 80 62 78ZM74 78l7 -3M74 78l7 3', 'brown', 0.9),
  ],
  'mulch-back': () => [
    ...soilLine,
    inked('M42 2H58C58 22 60 34 68 42H32C40 34 42 22 42 2Z', 'amber', 1.2),
    inked('M4 42C8 32 20 32 24 40ZM96 42C92 32 80 32 76 40Z', 'brown', 1),
    ...arrow([34, 52], [18, 52]),
    ...arrow([66, 52], [82, 52]),
    stroke('M44 46L36 72M50 46V80M56 46L64 72', 1.2),
  ],
  'earth-up': () => [
    wash('M4 78C26 78 34 44 50 44C66 44 74 78 96 78V94H4Z', 'soil', 0.6),
    stroke('M4 78C26 78 34 44 50 44C66 44 74 78 96 78', 1.1),
    ...plantlet(50, 46, 34),
    inked(ellipse([38, 72], 8, 6), 'cream', 1),
    inked(ellipse([60, 74], 9, 6), 'cream', 1),
    ...arrow([14, 62], [30, 52]),
    ...arrow([86, 62], [70, 52]),
  ],
  'pick-leaf': (_, random) => [
    stroke('M50 98V10', 2.8),
    leaf(50, 34, 1, 28),
    leaf(50, 28, -1, 28),
    leaf(50, 74, -1, 40, 'yellow'),
    ...(
      [
        [30, 68],
        [22, 72],
        [36, 73],
      ] as Point[]
    ).map((at) => wash(blob(at, 3.4, random), 'brown')),
    leaf(50, 80, 1, 30),
    ...cut(48, 62, -12, 24),
  ],
  'jet-below': () => [
    stroke('M70 98C70 70 66 44 60 10', 2.6),
    leaf(66, 52, -1, 48),
    leaf(62, 28, -1, 40),
    ...[0, 1, 2].map((i) => ({ d: `M6 ${96 - i * 5}Q20 ${76 - i * 6} ${30 + i * 5} ${58 - i * 6}`, fill: 'water' as const, line: -2 })),
    ...(
      [
        [30, 56],
        [38, 52],
        [44, 56],
      ] as Point[]
    ).map((at) => wash(ellipse(at, 2, 1.4), 'leaf-deep')),
  ],
};
