/** Which pixels belong: 1 or 0 for each. */
export interface Mask {
  readonly width: number;
  readonly height: number;
  readonly on: Uint8Array;
}

/** A patch of pixels that touch. */
export interface Patch {
  readonly area: number;
  readonly pixels: Int32Array;
  /** whether it reaches the edge of the picture */
  readonly open: boolean;
}

export const emptyMask = (width: number, height: number): Mask => ({ width, height, on: new Uint8Array(width * height) });

export const areaOf = ({ on }: Mask): number => on.reduce((sum, one) => sum + one, 0);

/**
 * Patches of pixels that are `value` and touch by a side, largest first.
 *
 * Source: flood fill, Rosenfeld & Pfaltz (1966), J. ACM 13:471–494.
 */
export function patches({ width, height, on }: Mask, value: 0 | 1 = 1): Patch[] {
  const seen = new Uint8Array(on.length);
  const queue = new Int32Array(on.length);
  const found: Patch[] = [];
  for (let start = 0; start < on.length; start++) {
    if (seen[start] || on[start] !== value) continue;
    let [head, tail] = [0, 0];
    let open = false;
    queue[tail++] = start;
    seen[start] = 1;
    while (head < tail) {
      const at = queue[head++]!;
      const x = at % width;
      const y = (at - x) / width;
      if (x === 0 || y === 0 || x === width - 1 || y === height - 1) open = true;
      for (let side = 0; side < 4; side++) {
        const next = beside(at, x, y, side, width, height);
        if (next < 0 || seen[next] || on[next] !== value) continue;
        seen[next] = 1;
        queue[tail++] = next;
      }
    }
    found.push({ area: tail, pixels: queue.slice(0, tail), open });
  }
  return found.sort((a, b) => b.area - a.area);
}

/** The pixel left of, right of, above or below another; −1 outside the picture. */
function beside(at: number, x: number, y: number, side: number, width: number, height: number): number {
  if (side === 0) return x > 0 ? at - 1 : -1;
  if (side === 1) return x < width - 1 ? at + 1 : -1;
  if (side === 2) return y > 0 ? at - width : -1;
  return y < height - 1 ? at + width : -1;
}

/** Fill the holes: everything that does not reach the edge of the picture from outside. */
export function filled(mask: Mask): Mask {
  const on = mask.on.slice();
  for (const patch of patches(mask, 0)) if (!patch.open) for (const pixel of patch.pixels) on[pixel] = 1;
  return { ...mask, on };
}

/** Take away one pixel all round, then give it back: slivers and single pixels go, larger patches stay. */
export function opened(mask: Mask): Mask {
  return neighbours(
    neighbours(mask, (count) => count === 5),
    (count) => count > 0,
  );
}

/** Each pixel by how many of itself and its four neighbours are on. */
function neighbours({ width, height, on }: Mask, keep: (count: number) => boolean): Mask {
  const out = new Uint8Array(on.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = y * width + x;
      const count =
        on[at]! +
        (x > 0 ? on[at - 1]! : 0) +
        (x < width - 1 ? on[at + 1]! : 0) +
        (y > 0 ? on[at - width]! : 0) +
        (y < height - 1 ? on[at + width]! : 0);
      out[at] = keep(count) ? 1 : 0;
    }
  return { width, height, on: out };
}
