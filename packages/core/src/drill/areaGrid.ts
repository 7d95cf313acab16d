/** A point on a drawing, in its own units. */
export type Point = readonly [x: number, y: number];

/** Area of a leaf, counted in small cells. */
export interface AreaGrid {
  /** of the leaf, in the drawing's units squared */
  readonly area: number;
  /** share of the leaf that lies under any of these outlines, percent */
  percentOf(outlines: readonly (readonly Point[])[]): number;
  /** how far a place is from the margin of its blade, in the drawing's units */
  marginOf(place: Point): number;
  /** a place on the leaf, each part of it as likely as another of its size */
  draw(random: () => number): Point;
}

// Cells along the longer side.
const usual = 240;

/**
 * Lay a fine grid over outlines, which count together and once where they lie over each other.
 *
 * Inside is told by the even-odd rule, row by row, at the middle of each cell.
 *
 * @param cellsAlong - cells along the longer side of the leaf
 * @throws RangeError where the outlines enclose nothing
 */
export function areaGrid(blades: readonly (readonly Point[])[], cellsAlong = usual): AreaGrid {
  const all = blades.flat();
  const [left, right] = [Math.min(...all.map(([x]) => x)), Math.max(...all.map(([x]) => x))];
  const [top, bottom] = [Math.min(...all.map(([, y]) => y)), Math.max(...all.map(([, y]) => y))];
  const cell = Math.max(right - left, bottom - top) / cellsAlong;
  if (!(cell > 0 && Number.isFinite(cell))) throw new RangeError('These outlines enclose no leaf.');
  const [columns, rows] = [Math.ceil((right - left) / cell), Math.ceil((bottom - top) / cell)];

  /** Mark the cells inside one outline. */
  const fill = (outline: readonly Point[], marked: Uint8Array) => {
    const heights = outline.map(([, y]) => y);
    const first = Math.max(0, Math.floor((Math.min(...heights) - top) / cell));
    const last = Math.min(rows - 1, Math.ceil((Math.max(...heights) - top) / cell));
    for (let row = first; row <= last; row++) {
      const y = top + (row + 0.5) * cell;
      const crossings = crossingsAt(outline, y);
      for (let i = 0; i + 1 < crossings.length; i += 2) {
        const from = Math.max(0, Math.ceil((crossings[i]! - left) / cell - 0.5));
        const to = Math.min(columns - 1, Math.floor((crossings[i + 1]! - left) / cell - 0.5));
        for (let column = from; column <= to; column++) marked[row * columns + column] = 1;
      }
    }
  };

  const leaf = new Uint8Array(columns * rows);
  for (const blade of blades) fill(blade, leaf);
  const own = Array.from(leaf.keys()).filter((i) => leaf[i]);
  if (own.length === 0) throw new RangeError('These outlines enclose no leaf.');

  return {
    area: own.length * cell ** 2,
    percentOf: (outlines) => {
      const marked = new Uint8Array(columns * rows);
      for (const outline of outlines) fill(outline, marked);
      let under = 0;
      for (const i of own) under += marked[i]!;
      return (100 * under) / own.length;
    },
    marginOf: (place) =>
      Math.min(...blades.map((blade) => Math.min(...blade.map((a, i) => fromEdge(place, a, blade[(i + 1) % blade.length]!))))),
    draw: (random) => {
      const i = own[Math.floor(random() * own.length)]!;
      return [left + ((i % columns) + random()) * cell, top + (Math.floor(i / columns) + random()) * cell];
    },
  };
}

/** Where a level line crosses an outline, from left to right. */
function crossingsAt(outline: readonly Point[], y: number): number[] {
  const crossings: number[] = [];
  let [ax, ay] = outline.at(-1)!;
  for (const [bx, by] of outline) {
    if (ay > y !== by > y) crossings.push(ax + ((bx - ax) * (y - ay)) / (by - ay));
    [ax, ay] = [bx, by];
  }
  return crossings.sort((a, b) => a - b);
}

function fromEdge([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number {
  const [dx, dy] = [bx - ax, by - ay];
  const along = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(x - ax - along * dx, y - ay - along * dy);
}
