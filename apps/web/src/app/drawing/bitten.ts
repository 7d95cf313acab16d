import { distance } from './geometry';
import type { Blade } from './leaf';
import type { Point } from './shape';

/** How many bites are taken out of the margin, and how wide each is. */
export interface Bites {
  readonly count: number;
  readonly radius: number;
}

const pointsBetween = 5;

/** The blades with bites out of their margin: each a half round with its middle on the old edge. */
export function bitten(blades: readonly Blade[], { count, radius }: Bites, random: () => number): Blade[] {
  // Spread over the blades, so that of many small ones only some are bitten.
  const upTo = (i: number) => Math.round((i * count) / blades.length);
  return blades.map((blade, i) => {
    const each = upTo(i + 1) - upTo(i);
    if (each === 0) return blade;
    const margin = fine(blade.outline);
    const step = margin.length / each;
    const starts = Array.from({ length: each }, (_, k) => Math.floor((k + 0.2 + 0.6 * random()) * step) % margin.length);
    const outline = starts.reduce((so, start) => bite(so, start, radius * (0.6 + 0.7 * random()), blade.midrib[1]!), margin);
    return { ...blade, outline };
  });
}

/** Bend the part of a margin that lies within reach of its point `start` into a half round. */
function bite(margin: readonly Point[], start: number, radius: number, towards: Point): Point[] {
  const centre = margin[start]!;
  const reach = distance(centre, towards) || 1;
  const inward: Point = [(towards[0] - centre[0]) / reach, (towards[1] - centre[1]) / reach];
  const along: Point = [-inward[1], inward[0]];
  return margin.map((point) => {
    const offset = (point[0] - centre[0]) * along[0] + (point[1] - centre[1]) * along[1];
    if (distance(point, centre) > radius || Math.abs(offset) > radius) return point;
    const angle = (offset / radius) * (Math.PI / 2);
    return [
      centre[0] + radius * (Math.cos(angle) * inward[0] + Math.sin(angle) * along[0]),
      centre[1] + radius * (Math.cos(angle) * inward[1] + Math.sin(angle) * along[1]),
    ];
  });
}

/** The same outline with points between its own. */
const fine = (outline: readonly Point[]): Point[] =>
  outline.flatMap(([x, y], i) => {
    const [nextX, nextY] = outline[(i + 1) % outline.length]!;
    return Array.from({ length: pointsBetween }, (_, k): Point => {
      const share = k / pointsBetween;
      return [x + (nextX - x) * share, y + (nextY - y) * share];
    });
  });
