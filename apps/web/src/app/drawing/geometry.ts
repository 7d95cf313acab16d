import type { Point } from './shape';

const number = (value: number) => Math.round(value * 100) / 100;
const at = ([x, y]: Point) => `${number(x)} ${number(y)}`;

/** A closed smooth path through points: quadratic curves between the middles of neighbours. */
export function closedPath(points: readonly Point[]): string {
  const middles = points.map((point, i) => middle(point, points[(i + 1) % points.length]!));
  const start = middles.at(-1)!;
  return `M${at(start)}${points.map((point, i) => `Q${at(point)} ${at(middles[i]!)}`).join('')}Z`;
}

/** A closed path with straight sides. */
export const polygonPath = (points: readonly Point[]) => `M${points.map(at).join('L')}Z`;

/** An open smooth path through points. */
export function openPath(points: readonly Point[]): string {
  const inner = points
    .slice(1, -1)
    .map((point, i) => `Q${at(point)} ${at(i === points.length - 3 ? points.at(-1)! : middle(point, points[i + 2]!))}`);
  return `M${at(points[0]!)}${inner.length > 0 ? inner.join('') : `L${at(points.at(-1)!)}`}`;
}

/** An ellipse as a path, turned by `angle` radians. */
export function ellipse([x, y]: Point, rx: number, ry: number, angle = 0): string {
  const dx = rx * Math.cos(angle);
  const dy = rx * Math.sin(angle);
  const degrees = number((angle * 180) / Math.PI);
  return `M${at([x - dx, y - dy])}A${number(rx)} ${number(ry)} ${degrees} 1 1 ${at([x + dx, y + dy])}A${number(rx)} ${number(ry)} ${degrees} 1 1 ${at([x - dx, y - dy])}Z`;
}

/** An uneven round patch. */
export function blob(centre: Point, radius: number, random: () => number, roughness = 0.3): string {
  const corners = 9;
  return closedPath(
    Array.from({ length: corners }, (_, i) =>
      polar(centre, radius * (1 - roughness + 2 * roughness * random()), (i / corners) * 2 * Math.PI),
    ),
  );
}

export const polar = ([x, y]: Point, radius: number, angle: number): Point => [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
export const middle = (a: Point, b: Point): Point => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
export const distance = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1]);

/** Turn a point about a centre, radians clockwise on the sheet. */
export function turn([x, y]: Point, [cx, cy]: Point, angle: number): Point {
  const [dx, dy] = [x - cx, y - cy];
  return [cx + dx * Math.cos(angle) - dy * Math.sin(angle), cy + dx * Math.sin(angle) + dy * Math.cos(angle)];
}

/** Is the point inside the polygon (even-odd rule)? */
export function isInside([x, y]: Point, polygon: readonly Point[]): boolean {
  let inside = false;
  polygon.forEach(([ax, ay], i) => {
    const [bx, by] = polygon[(i + 1) % polygon.length]!;
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
  });
  return inside;
}
