import type { Host } from '@field-nurse/library';
import { blob, closedPath, ellipse, turn } from './geometry';
import { plant } from './plant';
import type { Point, Shape } from './shape';
import { inked, stroke, wash } from './shape';

export type Habit = Host['habit'];

/** A spot on the drawing of a whole plant, in sheet units. */
export interface Spot {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
}

interface Silhouette {
  readonly shapes: readonly Shape[];
  readonly spots: Readonly<Record<string, Spot>>;
}

const at = (x: number, y: number, radius = 9): Spot => ({ x, y, radius });
const soil = wash(ellipse([50, 88], 40, 6), 'soil', 0.75);
const below = { ground: at(80, 89, 8), root: at(50, 95, 7), bulb: at(50, 90, 8), tuber: at(36, 94, 7) };

/** A strap leaf from the middle, bent over by `lean`. */
const strap = (lean: number, length: number): Shape => {
  const tip: Point = [50 + lean * 1.1, 82 - length];
  return inked(
    `M46 84C${46 + lean * 0.2} ${84 - length * 0.6} ${tip[0] - lean * 0.5} ${tip[1]} ${tip[0]} ${tip[1]}C${tip[0] - lean * 0.3} ${tip[1] + 5} ${54 + lean * 0.2} ${84 - length * 0.5} 54 84Z`,
    'leaf',
    1,
  );
};

/** A broad leaf from a point, turned by `angle` radians from upright. */
const broad = (from: Point, angle: number, length: number): Shape => {
  const half = length * 0.3;
  const points: Point[] = [
    from,
    [from[0] - half, from[1] - length * 0.45],
    [from[0] - half * 0.6, from[1] - length * 0.85],
    [from[0], from[1] - length],
    [from[0] + half * 0.6, from[1] - length * 0.85],
    [from[0] + half, from[1] - length * 0.45],
  ];
  return inked(closedPath(points.map((point) => turn(point, from, angle))), 'leaf', 1);
};

/** The same wobble at each drawing. */
const steady = () => 0.5;

const silhouettes: Readonly<Record<Habit, Silhouette>> = {
  bush: {
    shapes: plant({}),
    spots: {
      leaf: at(68, 44),
      'leaf-underside': at(30, 50),
      'new-growth': at(50, 20),
      'old-leaves': at(74, 68),
      stem: at(50, 58, 7),
      'stem-base': at(50, 82, 7),
      crown: at(50, 76, 8),
      flower: at(50, 14, 8),
      fruit: at(38, 36, 8),
      seedling: at(50, 74, 9),
      ...below,
    },
  },
  climber: {
    shapes: [soil, stroke('M42 90L42 6', 1.6, 0.7), ...plant({ height: 1.14 }).slice(1)],
    spots: {
      leaf: at(70, 38),
      'leaf-underside': at(28, 46),
      'new-growth': at(50, 12),
      'old-leaves': at(74, 68),
      stem: at(50, 52, 7),
      'stem-base': at(50, 82, 7),
      crown: at(50, 76, 8),
      flower: at(34, 24, 8),
      fruit: at(64, 56, 8),
      seedling: at(50, 74, 9),
      ...below,
    },
  },
  tuft: {
    shapes: [soil, ...[-1.25, 1.25, -0.85, 0.85, -0.45, 0.45, 0].map((angle) => broad([50, 86], angle, 54 - Math.abs(angle) * 6))],
    spots: {
      leaf: at(70, 46),
      'leaf-underside': at(24, 66),
      'new-growth': at(50, 52),
      'old-leaves': at(82, 74),
      stem: at(60, 66, 7),
      'stem-base': at(50, 85, 7),
      crown: at(50, 68, 9),
      flower: at(50, 36, 8),
      fruit: at(34, 80, 8),
      seedling: at(50, 78, 9),
      ...below,
    },
  },
  blades: {
    shapes: [
      soil,
      ...[-34, 34, -20, 20, -8, 8].map((lean) => strap(lean, 74 - Math.abs(lean) * 0.5)),
      inked('M44 88C43 80 45 70 46 64H54C55 70 57 80 56 88Z', 'cream', 1),
    ],
    spots: {
      leaf: at(68, 36),
      'leaf-underside': at(28, 46),
      'new-growth': at(50, 30),
      'old-leaves': at(84, 42),
      stem: at(50, 74, 7),
      'stem-base': at(50, 86, 7),
      crown: at(50, 60, 9),
      flower: at(46, 14, 8),
      fruit: at(40, 24, 8),
      seedling: at(50, 80, 9),
      ...below,
    },
  },
  tree: {
    shapes: [
      soil,
      inked('M45 90C47 76 46 62 44 50L52 54L60 48C55 62 55 76 57 90Z', 'amber', 1.2),
      inked(blob([50, 34], 32, steady), 'leaf', 1.2),
      ...[
        [34, 38],
        [62, 26],
        [66, 46],
      ].map(([x, y]) => inked(ellipse([x!, y!], 4.5, 4.5), 'red', 0.9)),
    ],
    spots: {
      leaf: at(30, 26),
      'leaf-underside': at(46, 54),
      'new-growth': at(50, 8),
      'old-leaves': at(22, 46),
      stem: at(50, 70, 7),
      'stem-base': at(51, 87, 7),
      crown: at(50, 58, 8),
      flower: at(76, 22, 8),
      fruit: at(65, 46, 8),
      seedling: at(50, 80, 9),
      ...below,
    },
  },
  tray: {
    shapes: [
      inked('M14 74H86L80 92H20Z', 'soil', 1.4),
      ...[24, 37, 50, 63, 76].flatMap((x) => [stroke(`M${x} 74V56`, 1.4), broad([x, 57], -0.9, 13), broad([x, 57], 0.9, 13)]),
    ],
    spots: {
      leaf: at(44, 52),
      'leaf-underside': at(70, 53),
      'new-growth': at(50, 50),
      'old-leaves': at(30, 54),
      stem: at(63, 64, 7),
      'stem-base': at(37, 73, 7),
      crown: at(50, 60, 8),
      flower: at(50, 48, 8),
      fruit: at(50, 52, 8),
      seedling: at(24, 62, 10),
      ground: at(76, 76, 8),
      root: at(50, 86, 8),
      bulb: at(50, 84, 8),
      tuber: at(36, 86, 7),
    },
  },
  heap: {
    shapes: [
      inked('M10 90C18 60 34 44 50 42C68 44 84 62 90 90Z', 'soil', 1.4),
      ...[28, 46, 66].map((x, i) => broad([x, 78 - i * 6], i - 1, 16)),
    ],
    spots: {
      leaf: at(40, 66),
      'leaf-underside': at(62, 64),
      'new-growth': at(50, 46),
      'old-leaves': at(28, 76),
      stem: at(50, 60, 7),
      'stem-base': at(50, 84, 7),
      crown: at(50, 54, 8),
      flower: at(50, 48, 8),
      fruit: at(60, 74, 8),
      seedling: at(34, 70, 9),
      ground: at(84, 88, 8),
      root: at(50, 82, 8),
      bulb: at(50, 80, 8),
      tuber: at(36, 84, 7),
    },
  },
};

/** The drawing of a whole plant by how it stands. */
export const silhouette = (habit: Habit): readonly Shape[] => silhouettes[habit].shapes;

/** Where a part is on that drawing; none for the whole plant. */
export const spotOf = (habit: Habit, part: string): Spot | undefined => silhouettes[habit].spots[part];
