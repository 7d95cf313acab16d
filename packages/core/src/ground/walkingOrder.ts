import type { Point } from './shape.js';

/** A stop with how late it must come, lowest first: what is clean before what could be carried on. */
export interface WalkStop {
  readonly id: string;
  readonly turn: number;
  /** none: it was not drawn; such stops come last of their turn */
  readonly at: Point | null;
}

/**
 * The order of a walk that never goes from a later turn back to an earlier one, and is short.
 *
 * Within a turn: nearest neighbour from where the last turn ended, then improved by 2-opt moves until none shortens it.
 *
 * Source: Croes (1958), Operations Research 6:791–812.
 *
 * @param start - where the walk begins; the first stop of the first turn if left out
 * @returns ids in order
 */
export function walkingOrder(stops: readonly WalkStop[], start?: Point): string[] {
  const turns = [...new Set(stops.map(({ turn }) => turn))].sort((a, b) => a - b);
  const order: string[] = [];
  let from = start;
  for (const turn of turns) {
    const own = stops.filter((stop) => stop.turn === turn);
    const placed = own.filter((stop): stop is WalkStop & { at: Point } => stop.at !== null);
    const path = shortened(nearestFirst(placed, from ?? placed[0]?.at), from);
    order.push(...path.map(({ id }) => id), ...own.filter(({ at }) => !at).map(({ id }) => id));
    from = path.at(-1)?.at ?? from;
  }
  return order;
}

/** Length of a walk through points, metres. */
export const walkLength = (points: readonly Point[]): number =>
  points.reduce((sum, point, i) => (i === 0 ? 0 : sum + distance(points[i - 1]!, point)), 0);

const distance = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y);

function nearestFirst<T extends { readonly at: Point }>(stops: readonly T[], start: Point | undefined): T[] {
  const left = [...stops];
  const path: T[] = [];
  let from = start;
  while (left.length > 0) {
    let best = 0;
    for (let i = 1; i < left.length; i++) if (distance(left[i]!.at, from!) < distance(left[best]!.at, from!)) best = i;
    const [next] = left.splice(best, 1);
    path.push(next!);
    from = next!.at;
  }
  return path;
}

/** Turn stretches round as long as that shortens an open path. */
function shortened<T extends { readonly at: Point }>(path: readonly T[], start: Point | undefined): T[] {
  const best = [...path];
  const leg = (a: Point | undefined, b: Point | undefined) => (a && b ? distance(a, b) : 0);
  for (let improved = true; improved;) {
    improved = false;
    for (let i = 0; i < best.length - 1; i++)
      for (let j = i + 1; j < best.length; j++) {
        const before = i === 0 ? start : best[i - 1]!.at;
        const after = best[j + 1]?.at;
        const now = leg(before, best[i]!.at) + leg(best[j]!.at, after);
        const then = leg(before, best[j]!.at) + leg(best[i]!.at, after);
        if (then < now - 1e-9) {
          best.splice(i, j - i + 1, ...best.slice(i, j + 1).reverse());
          improved = true;
        }
      }
  }
  return best;
}
