import type { Blade, HalfWidth } from './leaf-blade';
import { blade, moved, toothed, waved } from './leaf-blade';
import * as compound from './leaf-compound';
import { paired, palmate } from './leaf-palmate';
import type { Point } from './shape';

/** How the stalk is drawn: to the foot of one blade, along the middle of many, or not at all. */
type Stalk = 'one' | 'middle' | 'none';
type Shape = readonly [stalk: Stalk, blades: () => Blade[]];

const ovate: HalfWidth = (t) => 31 * Math.sin(Math.PI * t ** 0.75) ** 0.85;
const lance: HalfWidth = (t) => 18 * Math.sin(Math.PI * t ** 0.85) ** 0.9;
const heart: HalfWidth = (t) => 38 * Math.sin(Math.PI * t ** 0.72) ** 0.85;
const round: HalfWidth = (t) => 40 * Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 2));
const strap: HalfWidth = (t) => 9 * Math.min(1, 0.55 + t * 2) * Math.sqrt(Math.max(0, 1 - t ** 5));
const triangle: HalfWidth = (t) => 36 * Math.min(1, 0.35 + 5 * t) * (1 - t) ** 0.8;
const spoon: HalfWidth = (t) => 27 * Math.sin(Math.PI * t ** 1.5) ** 0.8 + 2 * (1 - t);
const lyre: HalfWidth = (t) => (t < 0.5 ? 6 + 13 * Math.abs(Math.sin(Math.PI * 4 * t)) : 29 * Math.sin(Math.PI * (t - 0.34) * 1.5) ** 0.7);
const split: HalfWidth = (t) => heart(t) * ((t * 7) % 1 > 0.72 && t > 0.16 && t < 0.86 ? 0.42 : 1);
const spiny: HalfWidth = (t) => 27 * Math.sin(Math.PI * t ** 0.85) ** 0.7 * (0.78 + 0.24 * Math.cos(2 * Math.PI * 5 * t));

const single =
  (width: HalfWidth, options: Parameters<typeof blade>[4] = {}, base: Point = [50, 88], length = 80, bend = 4) =>
  (): Blade[] => [blade(width, base, length, bend, options)];
const fine = { steps: 64 };
/** Narrow upright leaves from one foot. */
const tuft = (width: HalfWidth, angles: readonly number[], length: number) => () =>
  angles.map((angle, i) => moved(blade(width, [50, 50], length - 4 * (i % 3), 5, { parallel: true }), [50, 92], angle));
const chain = (): Blade[] =>
  [88, 63, 38].map((y) =>
    blade(
      (t) => 15 * Math.sin(Math.PI * Math.min(0.96, 0.1 + t * 0.88)) ** 0.6 * (0.9 + 0.12 * Math.cos(4 * Math.PI * t)),
      [50, y],
      26,
      0,
      fine,
    ),
  );
const pearls = (): Blade[] =>
  [28, 50, 72].flatMap((x, s) =>
    Array.from({ length: 5 }, (_, i) =>
      blade((t) => 7.5 * Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 2)), [x + 3 * (i % 2), 30 + 14 * i + 4 * s], 15, 0),
    ),
  );

/** Leaf outlines by which a grower knows a plant, and the words for them. */
const shapes = {
  ovate: ['one', single(ovate)],
  toothed: ['one', single(toothed(ovate, 13, 0.14), fine)],
  lance: ['one', single(lance)],
  willow: ['one', single((t) => 0.6 * lance(t))],
  spoon: ['one', single(spoon)],
  heart: ['one', single(heart, { lobes: 26 }, [50, 74], 66, 3)],
  'toothed-heart': ['one', single(toothed(heart, 12, 0.12), { lobes: 22, steps: 64 }, [50, 74], 66, 3)],
  triangle: ['one', single(toothed(triangle, 12, 0.12), fine, [50, 84], 74)],
  arrow: [
    'one',
    () => [palmate(paired({ length: 58, spread: 1.5 }, { angle: 2.5, length: 36, spread: 0.7 }), { between: 12, pointed: 1, notch: 0.3 })],
  ],
  lobed: ['one', single((t) => 33 * Math.sin(Math.PI * t ** 0.7) ** 0.7 * (0.78 + 0.26 * Math.cos(t * Math.PI * 7)), fine)],
  lyre: ['one', single(lyre, fine)],
  spiny: ['one', single(spiny, fine)],
  cabbage: [
    'one',
    single(
      waved((t) => 43 * Math.sin(Math.PI * (0.06 + 0.92 * t) ** 1.1) ** 0.6, 9, 0.1),
      fine,
      [50, 90],
      78,
      0,
    ),
  ],
  frilled: ['one', single(waved(ovate, 16, 0.34), { steps: 120 })],
  paddle: ['one', single((t) => 26 * Math.sin(Math.PI * t ** 0.95) ** 0.6)],
  split: ['one', single(split, { lobes: 24, steps: 90 }, [50, 76], 68, 0)],
  round: ['one', single((t) => round(t) * (0.95 + 0.05 * Math.cos(t * Math.PI * 9)), {}, [50, 88], 67.2)],
  scalloped: [
    'one',
    () => [
      palmate(
        paired(
          { length: 43, spread: 0.42 },
          { angle: 0.72, length: 43, spread: 0.42 },
          { angle: 1.44, length: 42, spread: 0.42 },
          { angle: 2.2, length: 38, spread: 0.42 },
        ),
        { between: 37, pointed: 0.2, notch: 0.3, base: [50, 56] },
      ),
    ],
  ],
  fan: [
    'one',
    () => [
      palmate(paired({ length: 1, spread: 1 }, { angle: 0.5, length: 62, spread: 0.62 }), {
        between: 4,
        pointed: 0.18,
        notch: 1.95,
        base: [50, 84],
      }),
    ],
  ],
  maple: [
    'one',
    () => [
      palmate(paired({ length: 60, spread: 0.55 }, { angle: 0.82, length: 54, spread: 0.5 }, { angle: 1.72, length: 36, spread: 0.5 }), {
        between: 19,
        pointed: 0.85,
        teeth: 5,
        depth: 0.14,
      }),
    ],
  ],
  vine: [
    'one',
    () => [
      palmate(paired({ length: 54, spread: 0.62 }, { angle: 0.98, length: 48, spread: 0.62 }, { angle: 1.98, length: 40, spread: 0.6 }), {
        between: 32,
        pointed: 0.55,
        teeth: 6,
        depth: 0.1,
        notch: 0.18,
      }),
    ],
  ],
  cucumber: [
    'one',
    () => [
      palmate(paired({ length: 54, spread: 0.72 }, { angle: 1.02, length: 46, spread: 0.7 }, { angle: 2.02, length: 42, spread: 0.6 }), {
        between: 36,
        pointed: 0.42,
        notch: 0.22,
        base: [50, 62],
      }),
    ],
  ],
  fig: [
    'one',
    () => [
      palmate(paired({ length: 58, spread: 0.4 }, { angle: 0.92, length: 50, spread: 0.4 }, { angle: 1.86, length: 34, spread: 0.45 }), {
        between: 20,
        pointed: 0.3,
      }),
    ],
  ],
  ivy: [
    'one',
    () => [
      palmate(paired({ length: 56, spread: 0.62 }, { angle: 1.05, length: 44, spread: 0.55 }, { angle: 2.1, length: 32, spread: 0.5 }), {
        between: 25,
        pointed: 0.8,
        notch: 0.2,
      }),
    ],
  ],
  currant: [
    'one',
    () => [
      palmate(paired({ length: 52, spread: 0.62 }, { angle: 1.1, length: 46, spread: 0.62 }, { angle: 2.2, length: 34, spread: 0.5 }), {
        between: 31,
        pointed: 0.45,
        teeth: 8,
        depth: 0.12,
        notch: 0.22,
      }),
    ],
  ],
  trefoil: ['middle', compound.trefoil],
  clover: ['middle', compound.clover],
  compound: ['middle', compound.plainPinnate],
  rose: ['middle', compound.roseLeaf],
  ash: ['middle', compound.ashLeaf],
  tomato: ['middle', compound.tomatoLeaf],
  potato: ['middle', compound.potatoLeaf],
  pea: ['middle', compound.peaLeaf],
  parsley: ['middle', compound.parsleyLeaf],
  fingers: ['middle', compound.fingers],
  feathery: ['middle', () => compound.twicePinnate(5, 1.3, 11, 30)],
  frond: ['middle', () => compound.alongRachis(9, 4.2, 30, 1.02)],
  palm: ['middle', () => compound.alongRachis(11, 3, 34, 0.95)],
  sprig: ['middle', () => compound.alongRachis(7, 4, 22, 0.8)],
  needle: ['middle', () => compound.alongRachis(11, 1.7, 32, 0.72)],
  scales: ['middle', () => compound.twicePinnate(5, 3, 12, 26)],
  strap: ['one', single(strap, { parallel: true }, [50, 88], 80, 10)],
  tubes: ['none', tuft((t) => 6.5 * Math.sqrt(Math.max(0, 1 - t ** 3)), [-0.32, 0.02, 0.34], 76)],
  grass: ['none', tuft((t) => 3.4 * Math.sqrt(Math.max(0, 1 - t ** 2)), [-0.5, -0.22, 0.03, 0.28, 0.55], 76)],
  rosette: ['none', compound.rosette],
  pad: ['none', single((t) => 30 * Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 2)))],
  chain: ['none', chain],
  pearls: ['none', pearls],
} as const satisfies Readonly<Record<string, Shape>>;

export type LeafShape = keyof typeof shapes;
export const leafShapes = Object.keys(shapes) as LeafShape[];

/** The blades of a leaf shape: one, or several for compound leaves, tufts, rosettes, fronds and shoots of needles. */
export const blades = (shape: LeafShape): Blade[] => shapes[shape][1]();

export const stalkOf = (shape: LeafShape): Stalk => shapes[shape][0];
