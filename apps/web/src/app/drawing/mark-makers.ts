import { blob, closedPath, ellipse, isInside, openPath, polar } from './geometry';
import { scatter } from './placing';
import type { Canvas } from './placing';
import type { Point, Shape, Tone } from './shape';
import { stroke, wash } from './shape';

/** Draws a mark onto a leaf. */
export type Mark = (canvas: Canvas) => Shape[];

export const amount = (severity: number, least: number, most: number) => Math.round(least + (most - least) * severity);

interface DotStyle {
  readonly fill: Tone;
  readonly least: number;
  readonly most: number;
  readonly size: readonly [number, number];
  readonly apart?: number;
  readonly halo?: Tone;
  readonly centre?: Tone;
  readonly line?: number;
}

/** Round dots, with a halo or a pale centre where asked. */
export const dots =
  ({ fill, least, most, size, apart = 2, halo, centre, line = 0 }: DotStyle): Mark =>
  (canvas) =>
    scatter(canvas, amount(canvas.severity, least, most), apart, size[1]).flatMap((at) => {
      const radius = size[0] + (size[1] - size[0]) * canvas.random();
      return [
        ...(halo ? [wash(ellipse(at, radius * 1.7, radius * 1.7), halo, 0.85)] : []),
        { ...wash(ellipse(at, radius, radius), fill), line },
        ...(centre ? [wash(ellipse(at, radius * 0.45, radius * 0.45), centre)] : []),
      ];
    });

interface PatchStyle {
  readonly fill: Tone;
  readonly least: number;
  readonly most: number;
  readonly size: readonly [number, number];
  readonly opacity?: number;
  readonly line?: number;
  readonly roughness?: number;
  readonly halo?: Tone;
}

/** Uneven patches that grow with severity. */
export const patches =
  ({ fill, least, most, size, opacity = 0.95, line = 0, roughness = 0.3, halo }: PatchStyle): Mark =>
  (canvas) =>
    scatter(canvas, amount(canvas.severity, least, most), size[0] * 1.6, size[0]).flatMap((at) => {
      const radius = size[0] + (size[1] - size[0]) * canvas.severity * (0.5 + 0.5 * canvas.random());
      return [
        ...(halo ? [wash(blob(at, radius * 1.35, canvas.random, roughness), halo, 0.8)] : []),
        { ...wash(blob(at, radius, canvas.random, roughness), fill, opacity), line },
      ];
    });

/** A line that wanders over the leaf and widens, with a dark thread of droppings in it. */
export const wander =
  (fill: Tone, width: number): Mark =>
  (canvas) =>
    scatter(canvas, amount(canvas.severity, 1, 3), 20, 9).flatMap((start) => {
      // A mine stays between the skins of the leaflet that it began in.
      const home = canvas.blades.filter(({ outline }) => isInside(start, outline)).slice(0, 1);
      const spine = walk({ ...canvas, blades: home }, start, 22, 2.8);
      const parts = spine.slice(2).map((_, i) => openPath(spine.slice(i, i + 3)));
      const wide = (i: number) => width * (0.35 + (0.65 * i) / parts.length);
      return [
        ...parts.map((d, i) => ({ d, fill: 'leaf-deep' as const, line: -(wide(i) + 0.9) })),
        ...parts.map((d, i) => ({ d, fill, line: -wide(i) })),
        stroke(openPath(spine), 0.5, 0.7),
      ];
    });

/** So many steps over the blade from a point, bending slowly and turning back at the margin. */
function walk({ random, blades }: Canvas, start: Point, steps: number, length: number): Point[] {
  const holds = (point: Point) => blades.some(({ outline }) => isInside(point, outline));
  const spine: Point[] = [start];
  let heading = random() * 2 * Math.PI;
  let bend = 0;
  for (let i = 0; i < steps; i++) {
    bend = 0.7 * bend + (random() - 0.5) * 0.9;
    heading += bend;
    const turns = [0, 0.6, -0.6, 1.2, -1.2, 2, -2].find((turn) => holds(polar(spine.at(-1)!, length * 2.2, heading + turn)));
    if (turns === undefined) break;
    heading += turns;
    spine.push(polar(spine.at(-1)!, length, heading));
  }
  return spine;
}

// Green veins leave at least as much of a narrow blade yellow.
const widestVein = 0.1;

/** The whole blade in another tone, with veins left green where asked. */
export const tint =
  (fill: Tone, { veins = 0, opacity = 0.9 }: { veins?: number; opacity?: number } = {}): Mark =>
  ({ blades, severity }) =>
    blades.flatMap(({ outline, midrib, sideVeins, width }) => [
      { ...wash(closedPath(outline), fill, opacity * (0.45 + 0.55 * severity)), line: 0 },
      ...(veins > 0
        ? [midrib, ...sideVeins].map((vein) => ({
            d: openPath(vein),
            fill: 'leaf-deep' as const,
            line: -Math.min(veins, width * widestVein),
          }))
        : []),
    ]);

/** A rim in another tone, as broad as it is bad, with a rough inner edge. */
export const rim =
  (fill: Tone): Mark =>
  ({ blades, severity, random }) =>
    blades.map(({ outline }) => {
      const [x, y] = centreOf(outline);
      const inner = outline.map((point): Point => {
        const kept = 1 - (0.08 + 0.3 * severity) * (0.6 + 0.8 * random());
        return [x + (point[0] - x) * kept, y + (point[1] - y) * kept];
      });
      // Drawn the other way round, the inner edge is a hole in the outer one.
      return { ...wash(closedPath(outline) + closedPath(inner.reverse()), fill, 0.9), line: 0.5 };
    });

const centreOf = (points: readonly Point[]): Point => [
  points.reduce((sum, [x]) => sum + x, 0) / points.length,
  points.reduce((sum, [, y]) => sum + y, 0) / points.length,
];

export const both =
  (...marks: readonly Mark[]): Mark =>
  (canvas) =>
    marks.flatMap((mark) => mark(canvas));

/** A tuft of short hairs. */
export const tufts =
  (fill: Tone, least: number, most: number, size: number): Mark =>
  (canvas) =>
    scatter(canvas, amount(canvas.severity, least, most), size * 1.4, size * 0.6).flatMap((at) => [
      wash(blob(at, size, canvas.random, 0.25), fill, 0.95),
      ...Array.from({ length: 9 }, (_, i) => {
        const angle = (i / 9) * 6.28 + canvas.random();
        return stroke(
          openPath([polar(at, size * 0.4, angle), polar(at, size * 0.95, angle + 0.2), polar(at, size * 1.35, angle + 0.35)]),
          0.45,
          0.6,
        );
      }),
    ]);

export const along =
  (fill: Tone, width: number): Mark =>
  (canvas) => {
    const ribs = canvas.blades.flatMap(({ midrib, sideVeins }) => [midrib, ...sideVeins]);
    return scatter(canvas, amount(canvas.severity, 3, 8), 9, 3).map((at, i) => {
      const rib = ribs[i % ribs.length]!;
      const lean = Math.atan2(rib[2]![1] - rib[0]![1], rib[2]![0] - rib[0]![0]);
      return { ...wash(ellipse(at, 9, width, lean), fill), line: 0.6 };
    });
  };
