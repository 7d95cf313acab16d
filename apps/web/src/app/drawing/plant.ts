import { blob, closedPath, ellipse, openPath, turn } from './geometry';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

/** How a whole small plant looks. */
interface PlantStyle {
  /** 0 upright leaves to 1 hanging */
  readonly droop?: number;
  readonly tone?: Tone;
  /** tone of the lowest pair */
  readonly lowest?: Tone;
  readonly oneSide?: boolean;
  readonly height?: number;
  readonly soil?: 'wet' | 'dry';
  readonly fallen?: number;
  readonly extra?: readonly Shape[];
}

function leaf(at: Point, side: -1 | 1, droop: number, size: number, tone: Tone): Shape {
  const half = (t: number) => 0.34 * size * Math.sin(Math.PI * t ** 0.75);
  const along = [0, 0.2, 0.4, 0.6, 0.8, 1];
  const points: Point[] = [
    ...along.map((t): Point => [at[0] + side * size * t, at[1] - half(t)]),
    ...along
      .slice(1, -1)
      .reverse()
      .map((t): Point => [at[0] + side * size * t, at[1] + half(t)]),
  ];
  return inked(closedPath(points.map((point) => turn(point, at, side * (-0.45 + droop * 1.75)))), tone, 1);
}

export function plant({
  droop = 0,
  tone = 'leaf',
  lowest,
  oneSide = false,
  height = 1,
  soil,
  fallen = 0,
  extra = [],
}: PlantStyle): Shape[] {
  const top = 84 - 64 * height;
  const lean = droop * 9;
  const nodes = [0.18, 0.42, 0.66, 0.88];
  const stem = (t: number): Point => [50 + lean * t * t, 84 - (84 - top) * t];
  const leaves = nodes.flatMap((t, i) =>
    ([-1, 1] as const).map((side) => {
      const sick = !oneSide || side === 1;
      return leaf(
        stem(t),
        side,
        sick ? droop : 0,
        (27 - i * 4) * (0.55 + 0.45 * height),
        i === 0 && lowest ? lowest : sick ? tone : 'leaf',
      );
    }),
  );
  const ground =
    soil === 'wet'
      ? [wash(ellipse([50, 88], 34, 6), 'soil'), wash(ellipse([40, 87], 9, 1.6), 'water'), wash(ellipse([62, 89], 11, 1.8), 'water')]
      : soil === 'dry'
        ? [wash(ellipse([50, 88], 34, 6), 'amber', 0.7), stroke('M26 88L36 86L42 91M54 85L60 90L70 87', 0.8)]
        : [wash(ellipse([50, 88], 30, 5), 'soil', 0.75)];
  const litter = Array.from({ length: fallen }, (_, i) =>
    inked(ellipse([24 + i * 17, 87 + (i % 2) * 4], 7, 2.6, i), i % 2 ? 'yellow' : 'amber', 0.8),
  );
  return [...ground, stroke(openPath([stem(0), stem(0.5), stem(1)]), 2.4), ...leaves, ...litter, ...extra];
}

const cut = (ring: Tone): Shape[] => [
  inked(ellipse([50, 50], 36, 34), 'leaf', 1.4),
  inked(ellipse([50, 50], 30, 28), ring, 0.8),
  inked(ellipse([50, 50], 22, 20), 'cream', 0.8),
  stroke(ellipse([50, 50], 10, 9), 0.5, 0.5),
];

const branch: Shape[] = [inked('M40 98C41 70 40 40 45 4L57 4C58 40 60 70 62 98Z', 'amber', 1.3)];

/** Marks of stems and whole plants, by the name that the library uses. */
export const plantMarks: Readonly<Record<string, (severity: number, random: () => number) => Shape[]>> = {
  gnarled: (_, random) => [
    wash(ellipse([50, 86], 32, 6), 'soil', 0.75),
    ...([-1, 1] as const).flatMap((side) => [leaf([50, 80], side, 0.15, 36, 'leaf'), leaf([50, 72], side, -0.05, 34, 'leaf')]),
    ...Array.from({ length: 11 }, (__, i) =>
      inked(blob([40 + (i % 4) * 6.6, 54 + Math.floor(i / 4) * 7], 5.4, random, 0.4), i % 2 ? 'olive' : 'amber', 0.9),
    ),
  ],
  bloated: () => [
    wash(ellipse([50, 88], 30, 5), 'soil', 0.75),
    inked('M44 88C30 76 38 60 30 44C22 30 34 16 42 24C46 40 52 60 50 88Z', 'pale-leaf', 1.3),
    inked('M52 88C50 62 60 50 56 34C54 20 68 14 72 26C76 42 66 54 70 66C72 78 64 86 58 88Z', 'leaf', 1.3),
    stroke('M36 34Q44 56 44 80M64 30Q60 54 62 74', 0.6, 0.6),
  ],
  'scorched-shoot': (_, random) => [
    wash('M6 78Q50 72 94 78V96H6Z', 'soil', 0.6),
    ...(
      [
        [26, 30],
        [50, 18],
        [74, 34],
      ] as const
    ).flatMap(([x, y], i) => [
      inked(
        `M${x - 7} 80C${x - 10} 60 ${x + 6} 50 ${x - 6} ${y}C${x + 12} ${y + 12} ${x + 12} 58 ${x + 7} 80Z`,
        i === 1 ? 'amber' : 'brown',
        1.1,
      ),
      wash(blob([x, 62], 5, random), 'grey', 0.9),
    ]),
  ],
  broom: () => [
    stroke('M50 98V52', 4),
    ...Array.from({ length: 17 }, (_, i) => {
      const angle = -2.5 + i * 0.118;
      const end: Point = [50 + 46 * Math.cos(angle), 54 + 48 * Math.sin(angle)];
      return stroke(openPath([[50, 54], [50 + 22 * Math.cos(angle * 1.02), 54 + 26 * Math.sin(angle)], end]), 1.3);
    }),
    ...Array.from({ length: 17 }, (_, i) => {
      const angle = -2.5 + i * 0.118;
      return inked(ellipse([50 + 44 * Math.cos(angle), 54 + 46 * Math.sin(angle)], 4.4, 1.7, angle), 'pale-leaf', 0.6);
    }),
  ],
  stretched: () => [
    wash(ellipse([44, 90], 30, 5), 'soil', 0.75),
    stroke('M42 88Q46 50 72 14', 2),
    ...(
      [
        [43, 74],
        [48, 52],
        [58, 32],
      ] as const
    ).flatMap(([x, y]) => [leaf([x, y], 1, 0, 15, 'pale-leaf'), leaf([x, y], -1, 0.1, 14, 'pale-leaf')]),
    leaf([72, 15], 1, 0, 16, 'pale-leaf'),
    inked(ellipse([90, 12], 7, 7), 'yellow', 0.9),
  ],
  bolted: () => [
    wash(ellipse([50, 90], 32, 5), 'soil', 0.75),
    ...([-1, 1] as const).flatMap((side) => [leaf([50, 84], side, 0.25, 32, 'leaf'), leaf([50, 76], side, 0, 28, 'leaf')]),
    stroke('M50 86V18', 3),
    ...Array.from({ length: 9 }, (_, i) =>
      stroke(
        openPath([
          [50, 44 - i * 2],
          [50 + (i - 4) * 4, 28 - i],
          [50 + (i - 4) * 6, 14 + Math.abs(i - 4) * 2],
        ]),
        0.9,
      ),
    ),
    ...Array.from({ length: 9 }, (_, i) => inked(ellipse([50 + (i - 4) * 6, 12 + Math.abs(i - 4) * 2], 3, 3), 'yellow', 0.7)),
  ],
  weak: () => [
    wash(ellipse([50, 90], 36, 5), 'soil', 0.75),
    ...Array.from({ length: 9 }, (_, i) =>
      stroke(
        openPath([
          [26 + i * 6, 88],
          [25 + i * 6 + (i % 3) * 2, 66],
          [22 + i * 7, 46 + (i % 4) * 6],
        ]),
        1,
      ),
    ),
    ...Array.from({ length: 9 }, (_, i) => inked(ellipse([22 + i * 7, 45 + (i % 4) * 6], 3.6, 1.7, i), 'pale-leaf', 0.6)),
  ],
  'crown-rot': (_, random) => [
    wash(ellipse([50, 86], 34, 6), 'soil', 0.75),
    ...([-1, 1] as const).flatMap((side) => [
      leaf([50 + side * 6, 78], side, 0.55, 36, 'yellow'),
      leaf([50 + side * 4, 72], side, 0.25, 32, 'leaf'),
    ]),
    wash(blob([50, 76], 12, random), 'brown', 0.95),
    inked('M46 48C38 36 40 16 50 8C60 16 62 36 54 48Z', 'pale-leaf', 1.1),
    wash(blob([50, 49], 5, random), 'dark', 0.9),
    stroke('M70 34V16M66 20L70 15L74 20', 0.9, 0.6),
  ],
  'collapsed-rosette': () => [
    wash(ellipse([50, 88], 40, 6), 'soil', 0.75),
    ...([-1, 1] as const).flatMap((side) =>
      [0.62, 0.42, 0.2].map((droop, i) => leaf([50, 80 - i * 5], side, droop, 44 - i * 5, i === 0 ? 'amber' : 'silver')),
    ),
    inked('M50 76C60 66 74 58 92 58C80 70 66 78 52 82Z', 'silver', 1.1),
    inked(ellipse([50, 78], 6, 4.4), 'dark', 0.9),
    ...[44, 56, 60].map((x) => wash(ellipse([x, 72], 1.5, 1.5), 'dark')),
  ],
  moved: () => [
    ...plant({ droop: 0.45, height: 0.7 }),
    inked('M8 82L20 60L27 63L18 86C14 90 8 88 8 82Z', 'silver', 1),
    stroke('M24 61L34 40', 2.4),
    stroke('M30 84Q50 79 70 84', 0.8, 0.7),
  ],
  wilt: (severity) => plant({ droop: 0.5 + 0.5 * severity }),
  'wilt-wet': (severity) => plant({ droop: 0.5 + 0.5 * severity, soil: 'wet' }),
  'wilt-dry': (severity) => plant({ droop: 0.5 + 0.5 * severity, soil: 'dry' }),
  'wilt-day': (severity) => [
    ...plant({ droop: 0.4 + 0.5 * severity }),
    inked(ellipse([82, 17], 8, 8), 'yellow', 1),
    stroke('M82 4V1M82 33V30M67 17H70M94 17H97', 1),
  ],
  stunted: () => [...plant({ height: 0.45 }), stroke('M84 84V22M80 26L84 20L88 26', 0.9, 0.6)],
  'brown-ring': () => cut('brown'),
  'one-side': (severity) => plant({ droop: 0.4 + 0.5 * severity, tone: 'yellow', oneSide: true }),
  'stem-lesion': (_, random) => [...plant({}), wash(blob([50, 62], 4, random), 'dark'), wash(blob([50.5, 70], 4.4, random), 'dark')],
  'leaf-fall': (severity) => plant({ droop: 0.25, lowest: 'yellow', fallen: 2 + Math.round(2 * severity) }),
  'one-old-leaf': () => plant({ lowest: 'yellow' }),
  'pale-plant': () => plant({ tone: 'pale-leaf', lowest: 'yellow' }),
  crook: () => [
    stroke('M46 96C46 70 44 44 50 26C54 12 70 10 72 24', 3),
    ...[
      [72, 24],
      [66, 14],
      [50, 26],
    ].map(([x, y], i) =>
      inked(
        closedPath([
          [x!, y!],
          [x! + 8, y! + 8],
          [x! + 6 - i * 4, y! + 24],
          [x! - 3, y! + 12],
        ]),
        'dark',
        0.9,
      ),
    ),
    leaf([46, 66], -1, 0, 22, 'leaf'),
    leaf([46, 74], 1, 0, 22, 'leaf'),
  ],
  ooze: (_, random) => [
    ...branch,
    wash(blob([52, 48], 9, random), 'dark', 0.8),
    inked('M53 46C58 54 60 60 56 64C52 66 49 60 53 46Z', 'amber', 0.8),
    inked('M46 54C49 60 49 66 46 68C43 67 43 61 46 54Z', 'amber', 0.8),
  ],
};
