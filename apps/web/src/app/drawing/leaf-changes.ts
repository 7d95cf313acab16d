import { closedPath, ellipse, openPath } from './geometry';
import { amount, both, dots, patches, rim, tint } from './mark-makers';
import type { Mark } from './mark-makers';
import { boxOf, scatter } from './placing';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

/** The part of each blade beyond a share of its length in another tone: 1 starts at the base, 0 at the tip. */
const beyond =
  (fill: Tone, from: (severity: number) => number, opacity = 0.92): Mark =>
  ({ blades, severity }) =>
    blades.map(({ outline, midrib }) => {
      const [base, tip] = [midrib[0]!, midrib.at(-1)!];
      const length = Math.hypot(tip[0] - base[0], tip[1] - base[1]) || 1;
      const along = ([x, y]: Point) => ((x - base[0]) * (tip[0] - base[0]) + (y - base[1]) * (tip[1] - base[1])) / length ** 2;
      const kept = outline.filter((point) => along(point) >= from(severity));
      return kept.length > 2 ? { ...wash(closedPath(kept), fill, opacity), line: 0.5 } : wash(closedPath(outline), fill, 0.3);
    });

/** One half of each blade, left or right of its midrib. */
const half =
  (fill: Tone, opacity: number): Mark =>
  ({ blades }) =>
    blades.map(({ outline }) => wash(closedPath(outline.slice(0, Math.ceil(outline.length / 2))), fill, opacity));

const skeleton: Mark = (canvas) => [
  ...patches({ fill: 'paper', least: 6, most: 15, size: [6, 10], opacity: 1, roughness: 0.4, line: 0.5 })(canvas),
  ...canvas.blades.flatMap(({ midrib, sideVeins }) => [
    stroke(openPath(midrib), 1.2),
    ...sideVeins.map((vein) => stroke(openPath(vein), 0.9)),
    ...sideVeins.flatMap((vein, i) => (sideVeins[i + 2] ? [stroke(openPath([vein[1]!, sideVeins[i + 2]![1]!]), 0.5, 0.8)] : [])),
  ]),
];

/** A roll along the middle of the leaf, bound with threads. */
function roll(tone: Tone, bound: boolean): Mark {
  return ({ blades }) => {
    const { left, right, top, bottom } = boxOf(blades.flatMap(({ outline }) => outline));
    const x = (left + right) / 2;
    const wide = Math.max(9, (right - left) * 0.2);
    const [from, to] = [top + (bottom - top) * 0.14, bottom - (bottom - top) * 0.12];
    const threads = [0.22, 0.42, 0.62, 0.82].map((t) => from + (to - from) * t);
    return [
      inked(
        `M${x - wide} ${to}C${x - wide * 1.2} ${(from + to) / 2} ${x - wide * 0.7} ${from} ${x} ${from}C${x + wide * 0.7} ${from} ${x + wide * 1.2} ${(from + to) / 2} ${x + wide} ${to}Z`,
        tone,
        1.1,
      ),
      inked(ellipse([x, to], wide, wide * 0.36), 'leaf-deep', 0.8),
      stroke(`M${x - wide * 0.4} ${to}Q${x} ${to - wide * 0.5} ${x + wide * 0.5} ${to}`, 0.7),
      ...(bound
        ? threads.flatMap((y): Shape[] => [
            { d: `M${x - wide * 1.15} ${y - 3}L${x + wide * 1.15} ${y + 4}`, fill: 'white', line: -1.3 },
            { d: `M${x - wide * 1.15} ${y + 3}L${x + wide * 1.15} ${y - 3}`, fill: 'white', line: -0.9 },
          ])
        : threads.map((y) => stroke(`M${x - wide * 0.7} ${y}Q${x} ${y + 3} ${x + wide * 0.7} ${y}`, 0.4, 0.5))),
    ];
  };
}

/** Thin twisted ribbons instead of a blade. */
const strappy: Mark = () =>
  [-26, -13, 0, 13, 26].flatMap((shift, i) => [
    inked(
      `M${50 + shift * 0.2} 84C${46 + shift} 64 ${58 + shift} 48 ${48 + shift * 1.2} 14C${54 + shift * 1.2} 42 ${52 + shift * 0.9} 62 ${53 + shift * 0.2} 84Z`,
      i % 2 ? 'leaf' : 'leaf-deep',
      0.9,
    ),
    stroke(`M${51 + shift * 0.2} 82C${50 + shift * 0.9} 62 ${55 + shift} 46 ${49 + shift * 1.2} 20`, 0.4, 0.7),
  ]);

const yellowCup: Mark = (canvas) => [
  ...rim('yellow')({ ...canvas, severity: 0.7 }),
  ...canvas.blades.flatMap(({ outline }) =>
    outline
      .filter((_, i) => i % 8 === 3)
      .map(([x, y]) => inked(`M${x - 5} ${y + 3}Q${x} ${y - 8} ${x + 6} ${y + 2}Q${x} ${y - 2} ${x - 5} ${y + 3}Z`, 'pale-leaf', 0.8)),
  ),
];

/** Pleats across the leaf. */
const pleats: Mark = ({ blades, severity }) =>
  blades.flatMap((blade) => {
    const { left, right, top, bottom } = boxOf(blade.outline);
    return Array.from({ length: 5 + Math.round(6 * severity) }, (_, i) => {
      const y = top + ((bottom - top) * (i + 1.5)) / (8 + 6 * severity);
      const inset = (right - left) * 0.26;
      return stroke(`M${left + inset} ${y}Q${(left + right) / 2} ${y + (i % 2 ? 5 : -4)} ${right - inset} ${y}`, 0.8, 0.75);
    });
  });

/** Rips between the side veins, from the margin inwards. */
const rips: Mark = ({ blades }) =>
  blades.flatMap(({ sideVeins }) =>
    sideVeins
      .filter((_, i) => i % 2 === 1)
      .map(([from, , to]) => {
        const start: Point = [from![0] + (to![0] - from![0]) * 0.35, from![1] + (to![1] - from![1]) * 0.35];
        return inked(`M${start.join(' ')}L${to![0]} ${to![1] - 3}L${to![0]} ${to![1] + 3}Z`, 'paper', 0.8);
      }),
  );

/** A leaf hanging broken over, dry from the kink on. */
const folded: Mark = () => [
  inked('M44 96C42 70 44 50 46 34L54 34C56 52 56 72 56 96Z', 'leaf', 1.2),
  inked('M46 34C48 22 60 20 70 30C80 40 84 58 82 74C76 62 70 46 54 36Z', 'cream', 1.1),
  stroke('M45 36L56 34M60 30Q74 42 80 66', 0.7),
];

/** Changes of a leaf's shape, colour and wholeness, by the name that the library uses. */
export const leafChanges: Readonly<Record<string, Mark>> = {
  rolled: roll('leaf', true),
  'rolled-up': roll('leaf', false),
  skeleton,
  'window-patches': patches({ fill: 'cream', least: 4, most: 9, size: [5, 8], opacity: 0.85, roughness: 0.35, line: 0.4 }),
  purple: both(tint('purple', { opacity: 0.85 }), ({ blades }) =>
    blades.map(({ midrib }) => ({ d: openPath(midrib), fill: 'red' as const, line: -1.6 })),
  ),
  'yellow-edge': both(rim('yellow'), (canvas) => rim('brown')({ ...canvas, severity: canvas.severity * 0.25 })),
  'heart-edge': (canvas) => rim('dark')({ ...canvas, severity: 0.2 + 0.3 * canvas.severity }),
  strappy,
  'yellow-veins': ({ blades, severity }) =>
    blades.flatMap(({ midrib, sideVeins }) =>
      [midrib, ...sideVeins].map((vein) => ({ d: openPath(vein), fill: 'yellow' as const, line: -(1.8 + 1.6 * severity) })),
    ),
  bronzed: both(tint('amber', { opacity: 0.8 }), patches({ fill: 'brown', least: 4, most: 9, size: [6, 10], opacity: 0.45 })),
  'v-wedge': ({ blades, severity }) =>
    blades.flatMap(({ outline, midrib, sideVeins }) =>
      [5, outline.length - 9].slice(0, severity > 0.3 ? 2 : 1).flatMap((start, side): Shape[] => {
        const [a, b] = [outline[start]!, outline[start + 6]!];
        const tip = midrib[1]!;
        const vein = sideVeins[side] ?? midrib;
        return [
          inked(`M${a.join(' ')}L${b.join(' ')}L${(tip[0] * 2 + a[0]) / 3} ${(tip[1] * 2 + a[1]) / 3}Z`, 'yellow', 0.5),
          { d: openPath(vein), fill: 'dark', line: -1.8 },
        ];
      }),
    ),
  variegated: both(half('cream', 0.9), patches({ fill: 'cream', least: 2, most: 4, size: [4, 6], roughness: 0.2, opacity: 0.9 })),
  tattered: rips,
  wrinkled: pleats,
  glassy: both(tint('water', { opacity: 0.75 }), dots({ fill: 'white', least: 4, most: 8, size: [1.4, 2.6], apart: 12 })),
  'rolled-margin': ({ blades }) =>
    blades.flatMap(({ outline }): Shape[] => [
      { d: closedPath(outline), fill: 'yellow', line: -5.4 },
      stroke(closedPath(outline.map(([x, y]): Point => [50 + (x - 50) * 0.86, 50 + (y - 50) * 0.9])), 0.8, 0.8),
    ]),
  'yellow-cup': yellowCup,
  'blotchy-mottle': both(half('yellow', 0.55), patches({ fill: 'yellow', least: 4, most: 8, size: [4, 8], roughness: 0.45, opacity: 0.9 })),
  'needle-tips': beyond('brown', (severity) => 0.75 - 0.35 * severity),
  'needle-inner': ({ blades, severity }) =>
    blades
      .slice(0, Math.ceil(blades.length * (0.3 + 0.3 * severity)))
      .map(({ outline }) => ({ ...wash(closedPath(outline), 'amber', 0.95), line: 0.5 })),
  'needle-mottle': both(tint('yellow', { opacity: 0.45 }), dots({ fill: 'cream', least: 50, most: 150, size: [0.4, 0.7], apart: 2 })),
  bloom: both(tint('silver', { opacity: 0.65 }), tint('white', { opacity: 0.25 })),
  'tatter-holes': (canvas) =>
    scatter(canvas, amount(canvas.severity, 6, 14), 7, 4).flatMap(([x, y]) => [
      wash(ellipse([x, y], 3, 2.6), 'brown', 0.9),
      inked(`M${x - 2} ${y - 1}L${x + 1} ${y - 2.4}L${x + 2} ${y + 1.2}L${x - 1} ${y + 2}Z`, 'paper', 0.5),
    ]),
  folded,
  'midrib-brown': ({ blades, severity }) =>
    blades.flatMap(({ midrib, sideVeins }): Shape[] => [
      { d: openPath(midrib), fill: 'brown', line: -(6 + 5 * severity) },
      ...sideVeins.slice(0, 4).map((vein): Shape => ({ d: openPath([vein[0]!, vein[1]!]), fill: 'brown', line: -3 })),
      stroke(openPath(midrib), 0.8, 0.8),
    ]),
  chilled: both(tint('leaf-deep', { opacity: 0.85 }), patches({ fill: 'olive', least: 3, most: 6, size: [7, 11], opacity: 0.8 })),
  'green-bands': tint('yellow', { veins: 6 }),
  'tip-brown': beyond('brown', (severity) => 0.9 - 0.16 * severity),
};
