import type { Shape } from '@field-nurse/contract';
import { boundsOf, centreOf, movedBy, snapShift } from '@field-nurse/core/ground';
import type { PlanShape, Point } from '@field-nurse/core/ground';

export const gridM = 0.1;
const snapM = 0.3;
const leastM = 0.2;

const round = (value: number) => Math.round(value * 100) / 100;

/** Whole centimetres: nobody lays out closer. */
export function tidy(shape: PlanShape): Shape {
  if (shape.kind === 'rectangle')
    return { ...shape, x: round(shape.x), y: round(shape.y), width: round(shape.width), depth: round(shape.depth) };
  if (shape.kind === 'circle') return { ...shape, x: round(shape.x), y: round(shape.y), radius: round(shape.radius) };
  return { kind: 'outline', points: shape.points.map(([x, y]) => [round(x), round(y)]) };
}

/** Moved by a drag, drawn to neighbours' edges or the grid. */
export function dragged(shape: PlanShape, dx: number, dy: number, neighbours: readonly PlanShape[]): Shape {
  const moved = movedBy(shape, dx, dy);
  const shift = snapShift(moved, neighbours, gridM, snapM);
  return tidy(movedBy(moved, shift.dx, shift.dy));
}

/** A corner that can be pulled: the lower right one of a rectangle, the rim of a circle, each corner of an outline. */
export function handles(shape: PlanShape): Point[] {
  if (shape.kind === 'outline') return shape.points.map(([x, y]) => ({ x, y }));
  if (shape.kind === 'circle') return [{ x: shape.x + shape.radius, y: shape.y }];
  const angle = (shape.turn * Math.PI) / 180;
  const [w, d] = [shape.width / 2, shape.depth / 2];
  return [{ x: shape.x + w * Math.cos(angle) - d * Math.sin(angle), y: shape.y + w * Math.sin(angle) + d * Math.cos(angle) }];
}

/** The shape with one handle pulled to a point; the corner across stays. */
export function pulled(shape: PlanShape, handle: number, to: Point): Shape {
  if (shape.kind === 'outline')
    return tidy({ ...shape, points: shape.points.map((point, i) => (i === handle ? ([to.x, to.y] as const) : point)) });
  if (shape.kind === 'circle') return tidy({ ...shape, radius: Math.max(leastM, Math.hypot(to.x - shape.x, to.y - shape.y)) });
  const angle = (shape.turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const [w, d] = [shape.width / 2, shape.depth / 2];
  const across = { x: shape.x - w * cos + d * sin, y: shape.y - w * sin - d * cos };
  const [dx, dy] = [to.x - across.x, to.y - across.y];
  const width = Math.max(leastM, Math.round((dx * cos + dy * sin) / gridM) * gridM);
  const depth = Math.max(leastM, Math.round((dy * cos - dx * sin) / gridM) * gridM);
  return tidy({ ...shape, width, depth, x: across.x + (width * cos - depth * sin) / 2, y: across.y + (width * sin + depth * cos) / 2 });
}

/** The same ground in another kind of shape. */
export function asKind(shape: PlanShape, kind: Shape['kind']): Shape {
  const { left, right, top, bottom } = boundsOf(shape);
  const { x, y } = centreOf(shape);
  if (kind === 'circle') return tidy({ kind, x, y, radius: Math.max(leastM, Math.min(right - left, bottom - top) / 2) });
  if (kind === 'rectangle')
    return tidy({ kind, x: (left + right) / 2, y: (top + bottom) / 2, width: right - left, depth: bottom - top, turn: 0 });
  return tidy({
    kind,
    points: [
      [left, top],
      [right, top],
      [right, bottom],
      [left, bottom],
    ],
  });
}

/** A quarter more of a turn, for rectangles. */
export const turnedBy = (shape: PlanShape, degrees: number): Shape =>
  tidy(shape.kind === 'rectangle' ? { ...shape, turn: ((shape.turn + degrees + 540) % 360) - 180 } : shape);
