import { closedPath, openPath, turn } from './geometry';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke } from './shape';

export const leafShapes = ['ovate', 'lance', 'heart', 'lobed', 'compound', 'strap', 'round', 'rosette', 'needle', 'frond', 'pad'] as const;
export type LeafShape = (typeof leafShapes)[number];

/** A blade with its outline, from which marks are placed, and its veins. */
export interface Blade {
  readonly outline: readonly Point[];
  readonly midrib: readonly Point[];
  readonly sideVeins: readonly (readonly Point[])[];
  /** at its broadest, in sheet units */
  readonly width: number;
}

/** Half the width of a blade at t, 0 at the base and 1 at the tip, in sheet units. */
type HalfWidth = (t: number) => number;

const ovate: HalfWidth = (t) => 31 * Math.sin(Math.PI * t ** 0.75) ** 0.85;
const widths: Readonly<Record<Exclude<LeafShape, 'compound' | 'rosette' | 'needle' | 'frond'>, HalfWidth>> = {
  ovate,
  lance: (t) => 18 * Math.sin(Math.PI * t ** 0.85) ** 0.9,
  heart: (t) => 38 * Math.sin(Math.PI * t ** 0.72) ** 0.85,
  lobed: (t) => 33 * Math.sin(Math.PI * t ** 0.7) ** 0.7 * (0.78 + 0.26 * Math.cos(t * Math.PI * 7)),
  strap: (t) => 9 * Math.min(1, 0.55 + t * 2) * Math.sqrt(Math.max(0, 1 - t ** 5)),
  pad: (t) => 30 * Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 2)),
  round: (t) => 40 * Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 2)) * (0.95 + 0.05 * Math.cos(t * Math.PI * 9)),
};

const steps = 28;

/** The blades of a leaf shape: one, or several for compound leaves, rosettes, fronds and shoots of needles. */
export function blades(shape: LeafShape): Blade[] {
  if (shape === 'compound') return compound();
  if (shape === 'rosette') return rosette();
  if (shape === 'needle') return alongRachis(11, 1.7, 32, 0.72);
  if (shape === 'frond') return alongRachis(8, 7.4, 30, 1.02);
  const tall = shape === 'round' ? 0.84 : 1;
  if (shape === 'heart') return [blade(widths.heart, [50, 74], 66, 3, { lobes: 26 })];
  const narrow = shape === 'strap';
  return [blade(widths[shape], [50, 88], 80 * tall, narrow ? 10 : 4, { parallel: narrow })];
}

/**
 * @param lobes - how far the blade hangs below its base on both sides of the stalk
 * @param parallel - veins run along the blade, as in leeks and grasses
 */
function blade(width: HalfWidth, base: Point, length: number, bend: number, { lobes = 0, parallel = false } = {}): Blade {
  const hang = (t: number) => lobes * Math.sin(Math.PI * Math.min(1, t / 0.36));
  const axis = (t: number): Point => [base[0] + bend * Math.sin(Math.PI * t * 0.9), base[1] - length * t];
  const side = (sign: number) =>
    Array.from({ length: steps + 1 }, (_, i): Point => {
      const t = i / steps;
      const [x, y] = axis(t);
      return [x + sign * width(t), y + hang(t)];
    });
  /** A place on the blade: so far along it, and by this share of its half width aside. */
  const place = (t: number, share: number): Point => {
    const [x, y] = axis(t);
    return [x + share * width(t), y];
  };
  const branching = () =>
    [0.2, 0.36, 0.52, 0.68].flatMap((t) => [-1, 1].map((sign) => [axis(t), place(t + 0.07, 0.55 * sign), place(t + 0.14, 0.86 * sign)]));
  // Neighbours stand two apart in the list, as the branching ones of a side do.
  const along = () => [-0.66, 0.33, -0.33, 0.66].map((share) => [0.04, 0.3, 0.6, 0.9].map((t) => place(t, share)));
  const sideVeins = parallel ? along() : branching();
  return {
    outline: [...side(1), ...side(-1).reverse()],
    midrib: [0, 0.2, 0.4, 0.6, 0.8, 0.97].map(axis),
    sideVeins,
    width: 2 * Math.max(...Array.from({ length: steps }, (_, i) => width(i / steps))),
  };
}

function compound(): Blade[] {
  const small = (at: Point, angle: number, size: number) =>
    moved(
      blade((t) => ovate(t) * 0.42 * size, [50, 50], 34 * size, 1),
      at,
      angle,
    );
  return [
    small([50, 42], 0.05, 1.05),
    small([49, 52], -1.05, 0.92),
    small([51, 50], 1.05, 0.92),
    small([49, 72], -1.25, 0.82),
    small([51, 70], 1.25, 0.82),
  ];
}

function rosette(): Blade[] {
  return Array.from({ length: 9 }, (_, i) =>
    moved(
      blade((t) => 13 * Math.sin(Math.PI * t ** 0.7) ** 0.8, [50, 50], i % 2 ? 41 : 34, 0),
      [50, 52],
      (i / 9) * 2 * Math.PI,
    ),
  );
}

/** Pairs of narrow leaflets or needles along a middle stalk, the lowest first, and one at the tip. */
function alongRachis(pairs: number, width: number, length: number, angle: number): Blade[] {
  const leaflet = (size: number) => blade((t) => width * Math.sin(Math.PI * t ** 0.7) ** 0.8, [50, 50], length * size, 0);
  const low = Array.from({ length: pairs }, (_, i) => {
    const t = i / (pairs - 1);
    const size = 0.72 + 0.4 * Math.sin(Math.PI * (0.25 + 0.65 * t));
    return [-1, 1].map((side) => moved(leaflet(size), [50, 84 - 56 * t], side * angle));
  });
  return [...low.flat(), moved(leaflet(0.8), [50, 30], 0)];
}

function moved({ outline, midrib, sideVeins, width }: Blade, to: Point, angle: number): Blade {
  const move = (points: readonly Point[]) => points.map(([x, y]) => turn([x + to[0] - 50, y + to[1] - 50], to, angle));
  return { outline: move(outline), midrib: move(midrib), sideVeins: sideVeins.map(move), width };
}

/** Wash and line of the blades with their stalk, ready for marks. */
export function drawBlades(shape: LeafShape, own: readonly Blade[], tone: Tone = 'leaf', veins = true): Shape[] {
  const stalk =
    shape === 'rosette' || shape === 'pad'
      ? []
      : [
          stroke(
            openPath(
              shape === 'compound' || shape === 'needle' || shape === 'frond'
                ? [
                    [50, shape === 'compound' ? 46 : 28],
                    [50, 70],
                    [48, 97],
                  ]
                : [own[0]!.midrib[0]!, [50, 92], [47, 98]],
            ),
            1.8,
          ),
        ];
  return [
    ...stalk,
    ...own.map(({ outline }) => inked(closedPath(outline), tone, 1.2)),
    ...(veins
      ? own.flatMap(({ midrib, sideVeins }) => [
          stroke(openPath(midrib), 0.9, 0.75),
          ...sideVeins.map((vein) => stroke(openPath(vein), 0.5, 0.55)),
        ])
      : []),
  ];
}
