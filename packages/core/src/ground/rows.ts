import { turned } from './shape.js';
import type { Point, Rectangle } from './shape.js';

/** A point of a rectangle by shares of its longer side and of its shorter one, each from 0 to 1. */
function within(shape: Rectangle, along: number, across: number): Point {
  const [x, y] = shape.width >= shape.depth ? [along, across] : [across, along];
  return turned(shape, { x: (x - 0.5) * shape.width, y: (y - 0.5) * shape.depth });
}

/** Rows of a planting from end to end along its longer side, evenly apart. @param rows - how many, 1 or more */
export function rowsOf(shape: Rectangle, rows: number): [Point, Point][] {
  return Array.from({ length: rows }, (_, i) => {
    const across = (i + 0.5) / rows;
    return [within(shape, 0, across), within(shape, 1, across)];
  });
}

/** Strips across the rows of a planting, one after the other along its longer side: four corners each. @param count - how many, 1 or more */
export function stripsOf(shape: Rectangle, count: number): [Point, Point, Point, Point][] {
  return Array.from({ length: count }, (_, i) => {
    const [from, to] = [i / count, (i + 1) / count];
    return [within(shape, from, 0), within(shape, to, 0), within(shape, to, 1), within(shape, from, 1)];
  });
}

/**
 * Where a plant stands, when plants are counted along the first row, then along the next one.
 *
 * @param number - of the plant, from 1
 * @param plants - how many there are in all
 * @returns nothing where the planting has no such plant
 */
export function plantSpot(shape: Rectangle, rows: number, plants: number, number: number): Point | undefined {
  if (number < 1 || number > plants) return undefined;
  const inRow = Math.ceil(plants / rows);
  const [row, place] = [Math.floor((number - 1) / inRow), (number - 1) % inRow];
  return within(shape, (place + 0.5) / inRow, (row + 0.5) / rows);
}
