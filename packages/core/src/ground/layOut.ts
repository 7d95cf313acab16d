import { boundsOf, turned } from './shape.js';
import type { PlanShape, Rectangle } from './shape.js';

/** Something that asks for room: how much of it is told by its weight. */
export interface WantsRoom {
  readonly id: string;
  readonly weight: number;
}

/** The largest simple rectangle to lay things in: the shape itself, the square in a circle, or the box round an outline. */
function roomIn(shape: PlanShape): Rectangle {
  if (shape.kind === 'rectangle') return shape;
  if (shape.kind === 'circle') {
    const side = shape.radius * Math.SQRT2;
    return { kind: 'rectangle', x: shape.x, y: shape.y, width: side, depth: side, turn: 0 };
  }
  const { left, right, top, bottom } = boundsOf(shape);
  return { kind: 'rectangle', x: (left + right) / 2, y: (top + bottom) / 2, width: right - left, depth: bottom - top, turn: 0 };
}

/**
 * Lay things side by side along the longer side of a place, each as long as its weight asks, with a narrow path between.
 *
 * @returns one rectangle for each id
 */
export function layOutIn(place: PlanShape, things: readonly WantsRoom[]): Map<string, Rectangle> {
  const room = roomIn(place);
  const lengthwise = room.width >= room.depth;
  const length = lengthwise ? room.width : room.depth;
  const total = things.reduce((sum, { weight }) => sum + weight, 0);
  const path = Math.min(0.3, (0.2 * length) / Math.max(1, things.length));
  const laid = new Map<string, Rectangle>();
  let from = -length / 2;
  for (const { id, weight } of things) {
    const own = (length * weight) / total;
    const middle = from + own / 2;
    const short = lengthwise ? room.depth : room.width;
    const long = Math.max(own / 2, own - path);
    const at = turned(room, lengthwise ? { x: middle, y: 0 } : { x: 0, y: middle });
    laid.set(id, {
      kind: 'rectangle',
      ...at,
      width: lengthwise ? long : short * 0.94,
      depth: lengthwise ? short * 0.94 : long,
      turn: room.turn,
    });
    from += own;
  }
  return laid;
}

/** A place that was not drawn yet; its area is known or guessed. */
export interface Undrawn {
  readonly id: string;
  readonly areaM2: number;
}

const usualDepth = 1.5;
const gap = 1;
const shelfWidth = 24;

/**
 * Lay places that were not drawn yet in rows below everything that was, as beds of their area.
 *
 * @param drawn - shapes that are already there
 */
export function layOutUndrawn(places: readonly Undrawn[], drawn: readonly PlanShape[]): Map<string, Rectangle> {
  const bounds = drawn.map(boundsOf);
  const left = Math.min(0, ...bounds.map((one) => one.left));
  let top = bounds.length === 0 ? 0 : Math.max(...bounds.map(({ bottom }) => bottom)) + gap;
  let x = left;
  let rowDepth = 0;
  const laid = new Map<string, Rectangle>();
  for (const { id, areaM2 } of places) {
    const depth = Math.max(usualDepth, Math.sqrt(areaM2 / 4));
    const width = areaM2 / depth;
    if (x > left && x + width > left + shelfWidth) {
      top += rowDepth + gap;
      x = left;
      rowDepth = 0;
    }
    laid.set(id, { kind: 'rectangle', x: x + width / 2, y: top + depth / 2, width, depth, turn: 0 });
    x += width + gap;
    rowDepth = Math.max(rowDepth, depth);
  }
  return laid;
}
