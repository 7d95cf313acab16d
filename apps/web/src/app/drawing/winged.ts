import { feelers, legs, line } from './creature-parts';
import type { Draw } from './creature-parts';
import { ellipse } from './geometry';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

/** A path and its mirror image about the middle of the sheet, where `x` turns a distance from the middle into a place. */
const mirrored = (path: (x: (off: number) => number) => string, draw: (d: string) => Shape): Shape[] =>
  [-1, 1].map((side) => draw(path((off) => 50 + side * off)));

/** Moths and butterflies with their wings laid open: front wings, hind wings, what is peculiar to the kind, body. */
function lepidopteran(front: Tone, hind: Tone, extra: readonly Shape[] = []): Shape[] {
  return [
    ...mirrored(
      (x) => `M${x(4)} 46C${x(18)} 50 ${x(34)} 60 ${x(32)} 76C${x(22)} 86 ${x(8)} 76 ${x(3)} 58Z`,
      (d) => inked(d, hind, 1.1),
    ),
    ...mirrored(
      (x) => `M${x(4)} 38C${x(20)} 22 ${x(40)} 18 ${x(46)} 24C${x(47)} 38 ${x(34)} 54 ${x(5)} 54Z`,
      (d) => inked(d, front, 1.2),
    ),
    ...extra,
    ...feelers(28, 20),
    inked(ellipse([50, 30], 5, 5.4), 'brown', 1),
    inked('M45 34H55C57 52 55 72 50 80C45 72 43 52 45 34Z', 'brown', 1.1),
    ...[48, 56, 64].map((y) => stroke(`M45 ${y}H55`, 0.6, 0.6)),
  ];
}

const bands: Shape[] = [
  ...mirrored(
    (x) => `M${x(38)} 22Q${x(28)} 36 ${x(30)} 46M${x(26)} 26Q${x(18)} 38 ${x(20)} 51`,
    (d) => stroke(d, 1, 0.7),
  ),
  ...mirrored(
    (x) => ellipse([x(26), 35], 2.6, 3.4),
    (d) => wash(d, 'dark', 0.7),
  ),
];

/** A true fly: two wings swept back, big eyes. */
function fly(tone: Tone, extra: readonly Shape[] = []): Shape[] {
  return [
    ...legs(3, 38, 56, 22, 11),
    inked('M40 50H60C64 66 58 86 50 90C42 86 36 66 40 50Z', tone, 1.2),
    ...[60, 68, 76].map((y) => stroke(`M41 ${y}Q50 ${y + 3} 59 ${y}`, 0.6, 0.7)),
    inked(ellipse([50, 40], 12, 12), tone, 1.2),
    ...extra,
    ...mirrored(
      (x) => `M${x(6)} 40C${x(22)} 42 ${x(34)} 64 ${x(28)} 84C${x(18)} 84 ${x(8)} 64 ${x(4)} 46Z`,
      (d) => ({ ...inked(d, 'water', 0.9), opacity: 0.75 }),
    ),
    ...mirrored(
      (x) => `M${x(7)} 44C${x(16)} 54 ${x(24)} 68 ${x(26)} 80`,
      (d) => stroke(d, 0.5, 0.7),
    ),
    inked(ellipse([50, 24], 10, 7), 'dark', 1),
    ...mirrored(
      (x) => ellipse([x(6), 24], 4.6, 5.6),
      (d) => wash(d, 'red'),
    ),
  ];
}

/** Four clear wings and a narrow waist. */
function wasp(tone: Tone, extra: readonly Shape[] = []): Shape[] {
  return [
    ...legs(3, 36, 48, 20, 7),
    ...mirrored(
      (x) => `M${x(4)} 38C${x(20)} 30 ${x(38)} 34 ${x(42)} 44C${x(30)} 52 ${x(14)} 50 ${x(4)} 42Z`,
      (d) => ({ ...inked(d, 'water', 0.9), opacity: 0.75 }),
    ),
    ...mirrored(
      (x) => `M${x(4)} 44C${x(14)} 48 ${x(26)} 56 ${x(28)} 62C${x(18)} 64 ${x(8)} 56 ${x(3)} 48Z`,
      (d) => ({ ...inked(d, 'water', 0.9), opacity: 0.75 }),
    ),
    ...feelers(22, 22),
    inked(ellipse([50, 23], 7, 6), 'dark', 1),
    inked(ellipse([50, 38], 8, 10), 'dark', 1.1),
    inked('M48 48H52C60 56 60 78 50 94C40 78 40 56 48 48Z', tone, 1.2),
    ...extra,
  ];
}

const stripes = (from: number, to: number, halfWidth: number): Shape[] =>
  line(4, (t): Point => [50, from + (to - from) * t]).map(([, y]) =>
    stroke(`M${50 - halfWidth} ${y}Q50 ${y + 4} ${50 + halfWidth} ${y}`, 3),
  );

/** A beetle with round wing cases and spots. */
const ladybird = (): Shape[] => [
  ...legs(3, 44, 72, 12, 26),
  ...feelers(22, 9),
  inked(ellipse([50, 26], 11, 8), 'dark', 1),
  inked(ellipse([50, 60], 30, 32), 'red', 1.4),
  stroke('M50 29V92', 1),
  ...mirrored(
    (x) => ellipse([x(13), 48], 5, 5),
    (d) => wash(d, 'dark'),
  ),
  ...mirrored(
    (x) => ellipse([x(15), 70], 5.4, 5.4),
    (d) => wash(d, 'dark'),
  ),
  wash(ellipse([50, 34], 6, 4), 'dark'),
  wash(ellipse([44, 27], 2, 2), 'white'),
  wash(ellipse([56, 27], 2, 2), 'white'),
];

const roof = (tone: Tone, body: Tone): Shape[] => [
  ...legs(3, 34, 48, 16, 9),
  ...feelers(22, 26),
  inked(ellipse([50, 24], 7, 6), body, 1),
  inked('M44 30H56V60H44Z', body, 1),
  ...mirrored(
    (x) => `M${x(3)} 32C${x(20)} 34 ${x(26)} 66 ${x(16)} 94C${x(8)} 88 ${x(3)} 66 ${x(2)} 44Z`,
    (d) => ({ ...inked(d, tone, 1), opacity: 0.85 }),
  ),
  ...mirrored(
    (x) => `M${x(4)} 40L${x(15)} 88M${x(6)} 44L${x(20)} 74M${x(9)} 54L${x(21)} 60M${x(11)} 66L${x(20)} 80`,
    (d) => stroke(d, 0.5, 0.7),
  ),
];

/** Winged grown-ups of what does harm or helps in the garden, by the name that the library uses. */
export const winged: Readonly<Record<string, Draw>> = {
  moth: () => lepidopteran('brown', 'cream', bands),
  'moth-pale': () => [
    ...lepidopteran('white', 'white', [
      ...mirrored(
        (x) => `M${x(44)} 25C${x(46)} 36 ${x(36)} 50 ${x(14)} 53`,
        (d) => stroke(d, 3.4, 0.75),
      ),
    ]),
  ],
  'moth-small': () => [
    ...feelers(26, 18),
    inked('M38 30H62C66 56 62 80 50 92C38 80 34 56 38 30Z', 'grey', 1.2),
    stroke('M50 30V92', 0.8),
    ...mirrored(
      (x) => `M${x(2)} 46Q${x(8)} 52 ${x(2)} 58Q${x(8)} 66 ${x(2)} 72`,
      (d) => inked(d, 'cream', 0.8),
    ),
    inked(ellipse([50, 26], 7, 6), 'brown', 1),
  ],
  'butterfly-white': () =>
    lepidopteran('white', 'cream', [
      ...mirrored(
        (x) => `M${x(46)} 24C${x(42)} 21 ${x(34)} 22 ${x(30)} 24C${x(36)} 30 ${x(42)} 32 ${x(46)} 32Z`,
        (d) => wash(d, 'dark', 0.8),
      ),
      ...mirrored(
        (x) => ellipse([x(27), 38], 3, 3),
        (d) => wash(d, 'dark', 0.8),
      ),
    ]),
  'moth-clear': () => [
    ...wasp('orange', stripes(60, 84, 8)),
    ...mirrored(
      (x) => `M${x(9)} 66L${x(20)} 74M${x(9)} 70L${x(18)} 80`,
      (d) => stroke(d, 2),
    ),
  ],
  fly: () => fly('grey'),
  'fly-spotted': () => [
    ...fly('amber'),
    ...mirrored(
      (x) => ellipse([x(25), 76], 3, 4),
      (d) => wash(d, 'dark', 0.85),
    ),
  ],
  hoverfly: () => fly('yellow', stripes(57, 80, 10)),
  'bulb-fly': () => fly('amber', [...stripes(34, 46, 9).slice(0, 2), wash(ellipse([50, 80], 7, 7), 'orange')]),
  'crane-fly': () => [
    ...mirrored(
      (x) => `M${x(5)} 36L${x(34)} 12L${x(46)} 4M${x(5)} 40L${x(40)} 44L${x(48)} 58M${x(5)} 44L${x(28)} 76L${x(34)} 98`,
      (d) => stroke(d, 1.1),
    ),
    ...mirrored(
      (x) => `M${x(4)} 36C${x(20)} 28 ${x(38)} 30 ${x(44)} 36C${x(32)} 44 ${x(14)} 44 ${x(4)} 40Z`,
      (d) => ({ ...inked(d, 'water', 0.8), opacity: 0.75 }),
    ),
    inked(ellipse([50, 26], 5, 5), 'brown', 1),
    inked('M45 32H55C57 54 54 82 50 94C46 82 43 54 45 32Z', 'grey', 1.1),
  ],
  'wasp-small': () => wasp('dark'),
  'sawfly-adult': () => [...wasp('orange'), inked('M44 46H56L55 60H45Z', 'orange', 1)],
  'leafcutter-bee': () => [...wasp('brown', stripes(58, 82, 9)), inked(ellipse([50, 38], 11, 11), 'amber', 1.1)],
  ladybird,
  'lacewing-adult': () => roof('pale-leaf', 'leaf'),
  'psyllid-adult': () => roof('water', 'amber'),
  'aphid-winged': () => [
    ...legs(3, 40, 54, 20, 10),
    ...feelers(22, 20),
    inked('M50 22C60 24 66 48 60 70C56 82 44 82 40 70C34 48 40 24 50 22Z', 'leaf', 1.2),
    wash(ellipse([50, 38], 8, 9), 'dark', 0.85),
    ...mirrored(
      (x) => `M${x(5)} 38C${x(26)} 40 ${x(38)} 68 ${x(34)} 92C${x(20)} 86 ${x(8)} 62 ${x(3)} 46Z`,
      (d) => ({ ...inked(d, 'water', 0.9), opacity: 0.7 }),
    ),
    stroke('M43 78L40 90M57 78L60 90', 1.6),
  ],
};
