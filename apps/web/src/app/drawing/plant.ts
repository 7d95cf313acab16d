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
