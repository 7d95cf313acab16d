import { ellipse, openPath } from './geometry';
import { leafChanges } from './leaf-changes';
import { leafSpots } from './leaf-spots';
import { along, amount, both, dots, patches, rim, tint, tufts, wander } from './mark-makers';
import type { Mark } from './mark-makers';
import { scatter } from './placing';
import type { Point } from './shape';
import { inked, stroke } from './shape';

const eggs: Mark = ({ random }) =>
  Array.from({ length: 13 }, (_, i) => {
    const at: Point = [44 + (i % 4) * 4.6 + random(), 44 + Math.floor(i / 4) * 6.2 + random()];
    return inked(ellipse(at, 1.9, 3), 'yellow', 0.7);
  });

const trail: Mark = ({ random }) => {
  const path = openPath([
    [16, 70],
    [32, 58 + 6 * random()],
    [46, 62],
    [58, 44],
    [74, 42 + 6 * random()],
    [86, 26],
  ]);
  return [
    { d: path, fill: 'silver', line: -4.4 },
    { d: path, fill: 'white', line: -1.6 },
  ];
};

/** Dots like stitches, beside the midrib toward the tip. */
const dotRow: Mark = ({ blades, severity }) =>
  blades.flatMap(({ midrib }) => {
    const [base, tip] = [midrib[0]!, midrib.at(-1)!];
    const length = Math.hypot(tip[0] - base[0], tip[1] - base[1]);
    const [ux, uy] = [(tip[0] - base[0]) / length, (tip[1] - base[1]) / length];
    const count = amount(severity, 7, 13);
    return Array.from({ length: count }, (_, i) => {
      const along = 0.88 * length - i * 5;
      return inked(ellipse([base[0] + ux * along - uy * 3.6, base[1] + uy * along + ux * 3.6], 1.7, 1.7), 'cream', 0.3);
    });
  });

/** Every mark of a leaf, by the name that the library uses. */
export const leafMarks: Readonly<Record<string, Mark>> = {
  ...leafSpots,
  ...leafChanges,
  stippling: dots({ fill: 'cream', least: 60, most: 190, size: [0.45, 0.85], apart: 2.2 }),
  silvering: both(
    patches({ fill: 'silver', least: 3, most: 7, size: [5, 10], opacity: 0.9, roughness: 0.45, line: 0.3 }),
    dots({ fill: 'dark', least: 8, most: 20, size: [0.4, 0.6] }),
  ),
  'black-dots': dots({ fill: 'dark', least: 20, most: 60, size: [0.5, 0.9], apart: 3 }),
  'dot-row': dotRow,
  webbing: (canvas) => [
    ...dots({ fill: 'cream', least: 40, most: 90, size: [0.4, 0.7] })(canvas),
    ...Array.from({ length: 16 }, () => {
      const [a, b] = scatter(canvas, 2, 24, 1);
      return a && b ? stroke(openPath([a, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2 + 3], b]), 0.4, 0.75) : stroke('M0 0', 0);
    }),
  ],
  powder: patches({ fill: 'white', least: 5, most: 11, size: [5, 10], opacity: 0.88, roughness: 0.35, line: 0.25 }),
  down: both(patches({ fill: 'yellow', least: 4, most: 8, size: [6, 8], opacity: 0.6 }), tufts('violet', 4, 8, 4.6)),
  'angular-patches': (canvas) =>
    scatter(canvas, amount(canvas.severity, 5, 12), 10, 5).map(([x, y]) =>
      inked(`M${x - 5} ${y - 3}L${x + 3} ${y - 5}L${x + 5} ${y + 3}L${x - 3} ${y + 5}Z`, 'yellow', 0.35),
    ),
  pustules: both(dots({ fill: 'orange', least: 16, most: 52, size: [1, 1.9], apart: 4.6, halo: 'yellow', line: 0.5 })),
  'fringed-spots': both(
    patches({ fill: 'yellow', least: 3, most: 4, size: [8, 12], opacity: 0.8 }),
    patches({ fill: 'dark', least: 4, most: 9, size: [4, 6.5], roughness: 0.5, opacity: 0.95 }),
  ),
  'ringed-spots': (canvas) =>
    scatter(canvas, amount(canvas.severity, 3, 7), 13, 6).flatMap((at) =>
      [1, 0.68, 0.38].map((share, i) => inked(ellipse(at, 6 * share, 5.6 * share), i % 2 ? 'cream' : 'brown', 0.6)),
    ),
  'small-spots': dots({ fill: 'brown', least: 16, most: 48, size: [1.4, 2.1], apart: 5, centre: 'cream' }),
  'wet-blotch': patches({ fill: 'dark', least: 2, most: 5, size: [9, 17], opacity: 0.82, roughness: 0.35, halo: 'olive' }),
  'white-fringe': patches({ fill: 'brown', least: 2, most: 4, size: [9, 13], halo: 'white', roughness: 0.25 }),
  'olive-spots': patches({ fill: 'olive', least: 5, most: 11, size: [4, 6], roughness: 0.4, line: 0.3 }),
  soot: patches({ fill: 'dark', least: 6, most: 14, size: [7, 12], opacity: 0.6, roughness: 0.45 }),
  honeydew: dots({ fill: 'water', least: 8, most: 22, size: [1.5, 3], apart: 6, line: 0.5, centre: 'white' }),
  'shot-holes': dots({ fill: 'paper', least: 24, most: 66, size: [0.9, 1.8], apart: 4.4, line: 0.6 }),
  holes: patches({ fill: 'paper', least: 3, most: 8, size: [5, 10], opacity: 1, roughness: 0.45, line: 1 }),
  slime: trail,
  'blotch-mine': patches({ fill: 'cream', least: 2, most: 4, size: [9, 13], roughness: 0.4, line: 0.7 }),
  'winding-mine': wander('cream', 3.4),
  windows: along('cream', 2),
  'between-veins': tint('yellow', { veins: 3.4 }),
  'fine-between-veins': tint('cream', { veins: 1.5 }),
  'even-yellow': tint('yellow'),
  mosaic: both(tint('pale-leaf'), patches({ fill: 'leaf-deep', least: 7, most: 13, size: [5, 8], roughness: 0.45, opacity: 0.85 })),
  'scorched-edge': rim('brown'),
  bleached: patches({ fill: 'cream', least: 2, most: 4, size: [9, 15], opacity: 0.95, roughness: 0.3, line: 0.3 }),
  frosted: both(tint('dark', { opacity: 0.75 }), patches({ fill: 'olive', least: 2, most: 4, size: [8, 12], opacity: 0.8 })),
  cork: dots({ fill: 'amber', least: 12, most: 36, size: [1.2, 2.2], apart: 5, line: 0.7 }),
  'cast-skins': (canvas) =>
    scatter(canvas, amount(canvas.severity, 8, 20), 7, 4).map((at) => inked(ellipse(at, 2.4, 1.1, canvas.random() * 3), 'white', 0.5)),
  'pale-scales': dots({ fill: 'cream', least: 12, most: 34, size: [1.3, 1.9], apart: 5, line: 0.5 }),
  eggs,
  droppings: (canvas) =>
    scatter(canvas, amount(canvas.severity, 8, 22), 5, 3).map((at) => inked(ellipse(at, 1.7, 1.2, canvas.random() * 3), 'dark', 0.5)),
  curl: (canvas) =>
    canvas.blades.flatMap(({ outline }) =>
      outline
        .filter((_, i) => i % 5 === 2)
        .map((at, i) =>
          inked(
            `M${at[0] - 6} ${at[1] + 3}Q${at[0]} ${at[1] - 7} ${at[0] + (i % 2 ? 7 : 5)} ${at[1] + 2}Q${at[0]} ${at[1] - 1} ${at[0] - 6} ${at[1] + 3}Z`,
            'leaf-deep',
            0.8,
          ),
        ),
    ),
};
