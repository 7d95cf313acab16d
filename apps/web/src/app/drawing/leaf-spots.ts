import { blob, ellipse, openPath } from './geometry';
import { amount, both, dots, patches, tint } from './mark-makers';
import type { Mark } from './mark-makers';
import { scatter } from './placing';
import type { Tone } from './shape';
import { inked, stroke, wash } from './shape';

/** Blocks with straight sides, as if bounded by veins. */
const angles =
  (fill: Tone, least: number, most: number, size: number, halo?: Tone): Mark =>
  (canvas) =>
    scatter(canvas, amount(canvas.severity, least, most), size * 2, size).flatMap(([x, y]) => [
      ...(halo ? [wash(ellipse([x, y], size * 1.8, size * 1.8), halo, 0.7)] : []),
      inked(
        `M${x - size} ${y - size * 0.6}L${x + size * 0.6} ${y - size}L${x + size} ${y + size * 0.6}L${x - size * 0.6} ${y + size}Z`,
        fill,
        0.4,
      ),
    ]);

/** Rings and arcs that are only colour. */
const rings: Mark = (canvas) =>
  scatter(canvas, amount(canvas.severity, 3, 7), 14, 7).flatMap((at) => [
    { d: ellipse(at, 6.4, 5.8), fill: 'yellow', line: -1.7 },
    { d: ellipse(at, 3.2, 2.8), fill: 'yellow', line: -1.2 },
  ]);

/** Lumps on the leaf with a light and a shaded side. */
const lumps =
  (fill: Tone, shine: Tone, least: number, most: number, size: number): Mark =>
  (canvas) =>
    scatter(canvas, amount(canvas.severity, least, most), size * 2.3, size).flatMap(([x, y]) => {
      const radius = size * (0.7 + 0.5 * canvas.random());
      return [
        inked(ellipse([x, y], radius, radius * 0.9), fill, 0.8),
        wash(ellipse([x - radius * 0.3, y - radius * 0.3], radius * 0.35, radius * 0.3), shine, 0.9),
      ];
    });

const streaks: Mark = ({ blades, severity }) =>
  blades.flatMap(({ midrib, sideVeins }) =>
    [midrib, ...sideVeins.filter((_, i) => i % 2 === 0 || severity > 0.4)].map((vein) => ({
      d: openPath(vein),
      fill: 'dark' as const,
      line: -2.4,
    })),
  );

/** Spots and growths on a leaf, by the name that the library uses. */
export const leafSpots: Readonly<Record<string, Mark>> = {
  rings,
  tar: both(patches({ fill: 'yellow', least: 3, most: 5, size: [5, 7], opacity: 0.7 }), lumps('dark', 'silver', 4, 8, 5.2)),
  'purple-rim': dots({ fill: 'purple', least: 9, most: 26, size: [2, 2.9], apart: 7.5, centre: 'cream', halo: 'red', line: 0.3 }),
  'wet-angles': angles('olive', 9, 24, 2.6),
  'halo-specks': dots({ fill: 'dark', least: 12, most: 34, size: [0.9, 1.5], apart: 6, halo: 'yellow' }),
  'drop-out-spots': (canvas) =>
    scatter(canvas, amount(canvas.severity, 7, 18), 8, 4).flatMap((at, i) => [
      wash(ellipse(at, 3.2, 3), 'purple', 0.8),
      i % 3 === 0 ? inked(ellipse(at, 2.3, 2.1), 'brown', 0.4) : inked(ellipse(at, 2.3, 2.1), 'paper', 0.7),
    ]),
  'white-blisters': lumps('white', 'silver', 10, 26, 2.4),
  'orange-tubes': both(dots({ fill: 'orange', least: 5, most: 11, size: [3, 4], apart: 11, halo: 'yellow', line: 0.5 }), (canvas) =>
    scatter(canvas, amount(canvas.severity, 5, 9), 11, 5).map(([x, y]) =>
      inked(`M${x - 1.4} ${y}L${x - 0.7} ${y + 6}H${x + 0.7}L${x + 1.4} ${y}Z`, 'amber', 0.6),
    ),
  ),
  'dry-blotch': patches({ fill: 'brown', least: 2, most: 5, size: [8, 13], opacity: 0.92, roughness: 0.4, line: 0.6 }),
  'wedge-blotch': ({ blades, severity }) =>
    blades.flatMap(({ sideVeins, midrib }) =>
      sideVeins.slice(0, 2 + Math.round(4 * severity)).flatMap((vein, i) => {
        const next = sideVeins[i + 2];
        if (!next || i % 3 === 2) return [];
        const [a, b, c, d] = [vein[0]!, vein[2]!, next[2]!, next[0]!];
        return [inked(`M${a.join(' ')}L${b.join(' ')}L${c.join(' ')}L${d.join(' ')}Z`, 'brown', 0.5), stroke(openPath(midrib), 0.7, 0.6)];
      }),
    ),
  'black-streaks': streaks,
  'sunken-streaks': (canvas) =>
    scatter(canvas, amount(canvas.severity, 7, 16), 8, 3).flatMap((at, i) => [
      inked(ellipse(at, 1.5, 3 + (i % 3) * 1.6, 0.1), 'dark', 0.5),
      wash(ellipse([at[0] - 0.5, at[1]], 0.5, 2), 'brown', 0.9),
    ]),
  'spray-spots': both(
    dots({ fill: 'water', least: 8, most: 18, size: [2, 4], apart: 9, centre: 'brown', line: 0.4 }),
    dots({ fill: 'brown', least: 8, most: 20, size: [0.8, 1.6], apart: 4 }),
  ),
  'clear-drops': ({ blades }) =>
    blades.flatMap(({ midrib, sideVeins }) =>
      [midrib[0]!, ...sideVeins.map((vein) => vein[0]!)]
        .slice(0, 6)
        .flatMap(([x, y]) => [
          inked(
            `M${x} ${y - 3.6}C${x + 3.4} ${y} ${x + 3} ${y + 4} ${x} ${y + 4}C${x - 3} ${y + 4} ${x - 3.4} ${y} ${x} ${y - 3.6}Z`,
            'water',
            0.7,
          ),
          wash(ellipse([x - 0.9, y + 1], 0.8, 1.2), 'white'),
        ]),
    ),
  pimples: lumps('red', 'petal', 14, 40, 2),
  felt: (canvas) =>
    scatter(canvas, amount(canvas.severity, 3, 7), 14, 7).flatMap((at) => [
      inked(blob(at, 7, canvas.random, 0.2), 'leaf-deep', 0.7),
      wash(blob(at, 5, canvas.random, 0.25), 'cream', 0.95),
      ...Array.from({ length: 14 }, () => {
        const [x, y] = [at[0] + 9 * (canvas.random() - 0.5), at[1] + 8 * (canvas.random() - 0.5)];
        return stroke(`M${x} ${y}l1.4 -2`, 0.4, 0.7);
      }),
    ]),
  'red-blisters': lumps('red', 'petal', 4, 9, 7),
  'fleshy-gall': (canvas) =>
    scatter(canvas, amount(canvas.severity, 2, 4), 17, 7).flatMap(([x, y]) => [
      inked(blob([x, y], 10, canvas.random, 0.22), 'petal', 1.1),
      inked(blob([x + 5, y - 4], 6, canvas.random, 0.2), 'cream', 0.8),
      wash(ellipse([x - 3, y - 3], 2.6, 1.8), 'white', 0.8),
    ]),
  'pink-cushions': both(
    tint('amber', { opacity: 0.5 }),
    dots({ fill: 'petal', least: 12, most: 30, size: [1.3, 2.2], apart: 6, line: 0.5 }),
  ),
  'chocolate-dots': dots({ fill: 'brown', least: 18, most: 52, size: [1.2, 2.4], apart: 4.4, line: 0.3 }),
  'pale-ovals': (canvas) =>
    scatter(canvas, amount(canvas.severity, 2, 5), 15, 4).map((at) => inked(ellipse(at, 4.4, 11, 0.12), 'cream', 0.6)),
  velvet: both(
    patches({ fill: 'yellow', least: 3, most: 6, size: [8, 11], opacity: 0.7 }),
    patches({ fill: 'olive', least: 3, most: 7, size: [5, 8], roughness: 0.25, opacity: 0.95 }),
  ),
};
