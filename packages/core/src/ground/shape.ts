import { polygonArea, polygonCentroid, polygonContains } from 'd3-polygon';

/** A point on the ground plan, metres: x to the right, y downward. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export interface Rectangle extends Point {
  readonly kind: 'rectangle';
  readonly width: number;
  readonly depth: number;
  /** degrees clockwise round its middle */
  readonly turn: number;
}

export interface Circle extends Point {
  readonly kind: 'circle';
  readonly radius: number;
}

export interface Outline {
  readonly kind: 'outline';
  /** corners in order; the last joins the first */
  readonly points: readonly (readonly [number, number])[];
}

/** How something lies on the ground plan. Rectangles and circles are told by their middle. */
export type PlanShape = Rectangle | Circle | Outline;

/** The smallest upright box round a shape. */
export interface Bounds {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** Corners of a shape, clockwise from the upper left; a circle as a polygon of 48 sides. */
export function corners(shape: PlanShape): Point[] {
  if (shape.kind === 'outline') return shape.points.map(([x, y]) => ({ x, y }));
  if (shape.kind === 'circle') {
    const sides = 48;
    return Array.from({ length: sides }, (_, i) => {
      const angle = (2 * Math.PI * i) / sides;
      return { x: shape.x + shape.radius * Math.cos(angle), y: shape.y + shape.radius * Math.sin(angle) };
    });
  }
  const [w, d] = [shape.width / 2, shape.depth / 2];
  return [
    [-w, -d],
    [w, -d],
    [w, d],
    [-w, d],
  ].map(([dx, dy]) => turned(shape, { x: dx!, y: dy! }));
}

/** A point given from the middle of a rectangle, on the plan. */
export function turned({ x, y, turn }: Rectangle, from: Point): Point {
  const angle = (turn * Math.PI) / 180;
  return { x: x + from.x * Math.cos(angle) - from.y * Math.sin(angle), y: y + from.x * Math.sin(angle) + from.y * Math.cos(angle) };
}

export function boundsOf(shape: PlanShape): Bounds {
  if (shape.kind === 'circle')
    return { left: shape.x - shape.radius, right: shape.x + shape.radius, top: shape.y - shape.radius, bottom: shape.y + shape.radius };
  const points = corners(shape);
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) };
}

/**
 * Area, square metres.
 *
 * @example
 * planArea({ kind: 'rectangle', x: 0, y: 0, width: 12, depth: 1.2, turn: 30 }) // => 14.4
 */
export function planArea(shape: PlanShape): number {
  if (shape.kind === 'rectangle') return shape.width * shape.depth;
  if (shape.kind === 'circle') return Math.PI * shape.radius ** 2;
  return Math.abs(polygonArea(ringOf(shape.points)));
}

/** The middle: that of the area, or of the corners where an outline crosses itself into nothing. */
export function centreOf(shape: PlanShape): Point {
  if (shape.kind !== 'outline') return { x: shape.x, y: shape.y };
  const ring = ringOf(shape.points);
  const isFlat = Math.abs(polygonArea(ring)) < 1e-9;
  const [x, y]: [number, number] = isFlat ? [meanOf(ring.map(([x]) => x)), meanOf(ring.map(([, y]) => y))] : polygonCentroid(ring);
  return { x, y };
}

const meanOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
type Ring = [number, number][];
const ringOf = (points: readonly (readonly [number, number])[]): Ring => points.map(([x, y]) => [x, y]);

/** Whether a point lies inside; where an outline crosses itself, by the even-odd rule. */
export function containsPoint(shape: PlanShape, { x, y }: Point): boolean {
  if (shape.kind === 'circle') return Math.hypot(x - shape.x, y - shape.y) <= shape.radius;
  return polygonContains(
    corners(shape).map((corner): [number, number] => [corner.x, corner.y]),
    [x, y],
  );
}

/** The same shape elsewhere. */
export function movedBy<T extends PlanShape>(shape: T, dx: number, dy: number): T {
  if (shape.kind === 'outline') return { ...shape, points: shape.points.map(([x, y]) => [x + dx, y + dy] as const) };
  return { ...shape, x: shape.x + dx, y: shape.y + dy };
}

/** How far to shift a shape so that its nearest edges come to lie on those of its neighbours, or else on a grid. */
export function snapShift(shape: PlanShape, neighbours: readonly PlanShape[], grid: number, reach: number): { dx: number; dy: number } {
  const own = boundsOf(shape);
  const others = neighbours.map(boundsOf);
  const nearest = (edges: readonly number[], lines: readonly number[], fallback: number) => {
    let best = fallback;
    let found = false;
    for (const edge of edges)
      for (const line of lines)
        if (Math.abs(line - edge) <= reach && (!found || Math.abs(line - edge) < Math.abs(best))) {
          best = line - edge;
          found = true;
        }
    return best;
  };
  const toGrid = (value: number) => Math.round(value / grid) * grid - value;
  return {
    dx: nearest(
      [own.left, own.right],
      others.flatMap(({ left, right }) => [left, right]),
      toGrid(own.left),
    ),
    dy: nearest(
      [own.top, own.bottom],
      others.flatMap(({ top, bottom }) => [top, bottom]),
      toGrid(own.top),
    ),
  };
}
