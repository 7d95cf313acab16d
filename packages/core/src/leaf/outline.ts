import { emptyMask, filled } from './mask.js';
import type { Mask } from './mask.js';

/** Where the leaf lies: its middle, and the direction of its length. */
interface Axis {
  readonly x: number;
  readonly y: number;
  readonly cos: number;
  readonly sin: number;
}

/** Half widths on both sides of the axis, one for each pixel of length. */
interface Profile {
  readonly start: number;
  readonly left: Float64Array;
  readonly right: Float64Array;
}

const rounds = 2;
const terms = 6;
// Less than this share of the greatest half width is not called a bite: teeth and a wavy edge.
const leastBite = 0.03;
// An end thinner than this share of the greatest width is stalk, not blade.
const stalkWidth = 0.09;
// A thin end shorter than this share of the length is a pointed tip.
const longestTip = 0.06;
// Where one side is narrower than the other by this share of the greatest half width, it may be bitten.
const lopsided = 0.12;

/**
 * The outline that the leaf had before anything ate from its margin: holes filled, and bites bridged where one side falls inside the smooth curve
 * that the rest of the margin makes. Both sides of a blade are alike, so a bitten side is first judged by the other.
 *
 * Meant for simple blades. A tip or base that is wholly gone can't be known.
 *
 * @param leaf - what is left of it
 * @returns mask of the whole blade, the leaf's stalk left out
 */
export function wholeOutline(leaf: Mask): Mask {
  let whole = filled(leaf);
  for (let round = 0; round < rounds; round++) {
    const axis = axisOf(whole);
    const profile = blade(profileOf(leaf, axis));
    whole = raster(leaf, axis, { ...profile, left: bridged(profile.left, profile.right), right: bridged(profile.right, profile.left) });
  }
  return whole;
}

/** Principal axis of the pixels. Source: Pearson (1901), Phil. Mag. 2:559–572. */
function axisOf({ width, on }: Mask): Axis {
  let [n, sx, sy, xx, xy, yy] = [0, 0, 0, 0, 0, 0];
  for (let i = 0; i < on.length; i++) {
    if (!on[i]) continue;
    const x = i % width;
    const y = (i - x) / width;
    n++;
    sx += x;
    sy += y;
    xx += x * x;
    xy += x * y;
    yy += y * y;
  }
  const [x, y] = [sx / n, sy / n];
  const angle = 0.5 * Math.atan2(2 * (xy / n - x * y), xx / n - x * x - (yy / n - y * y));
  return { x, y, cos: Math.cos(angle), sin: Math.sin(angle) };
}

const along = ({ x, y, cos, sin }: Axis, px: number, py: number) => (px - x) * cos + (py - y) * sin;
const across = ({ x, y, cos, sin }: Axis, px: number, py: number) => (py - y) * cos - (px - x) * sin;

function profileOf({ width, height, on }: Mask, axis: Axis): Profile {
  const reach = Math.ceil(Math.hypot(width, height));
  const left = new Float64Array(2 * reach).fill(-Infinity);
  const right = new Float64Array(2 * reach).fill(-Infinity);
  let [first, last] = [2 * reach, 0];
  for (let i = 0; i < on.length; i++) {
    if (!on[i]) continue;
    const [px, py] = [i % width, Math.floor(i / width)];
    const at = Math.round(along(axis, px, py)) + reach;
    const side = across(axis, px, py);
    if (side > right[at]!) right[at] = side;
    if (-side > left[at]!) left[at] = -side;
    if (at < first) first = at;
    if (at > last) last = at;
  }
  return { start: first - reach, left: left.slice(first, last + 1), right: right.slice(first, last + 1) };
}

/** Cut the stalk off both ends; a pointed tip is thin too, but short. */
function blade({ start, left, right }: Profile): Profile {
  const widths = left.map((one, i) => one + right[i]!);
  const most = widths.reduce((a, b) => Math.max(a, b), 0);
  let [from, to] = [0, widths.length - 1];
  while (from < to && !(widths[from]! > most * stalkWidth)) from++;
  while (to > from && !(widths[to]! > most * stalkWidth)) to--;
  const tip = widths.length * longestTip;
  if (from < tip) from = 0;
  if (widths.length - 1 - to < tip) to = widths.length - 1;
  return { start: start + from, left: left.slice(from, to + 1), right: right.slice(from, to + 1) };
}

/** One side with its bites bridged: by the curve through the rest of it, and never beyond a thread drawn tight round it. */
function bridged(side: Float64Array, other: Float64Array): Float64Array {
  const most = Math.max(...side, ...other);
  const least = Math.max(1.5, leastBite * most);
  const thread = tightThread(side);
  const n = side.length;
  const rows = basis(n);
  const use = Array.from(side, (half, i) => Number.isFinite(half) && half > other[i]! - lopsided * most);
  let bound = thread;
  for (let round = 0; round < 12; round++) {
    const curve = fit(rows, side, use);
    if (!curve) break;
    bound = curve.map((one, i) => Math.min(one, thread[i]!));
    let changed = 0;
    for (let i = 0; i < n; i++) {
      const keep = side[i]! > bound[i]! - least;
      if (use[i] !== keep) changed++;
      use[i] = keep;
    }
    if (changed === 0) break;
  }
  // The very ends swing most and say least: there what is seen is believed.
  const end = Math.ceil(n * 0.02);
  return side.map((half, i) => (i >= end && i < n - end && !(half > bound[i]! - least) ? Math.max(half, bound[i]!) : half));
}

/** Upper convex hull of the half widths. Source: Andrew (1979), Information Processing Letters 9:216–219. */
function tightThread(side: Float64Array): Float64Array {
  const corners: number[] = [];
  for (let i = 0; i < side.length; i++) {
    if (!Number.isFinite(side[i]!)) continue;
    while (corners.length > 1) {
      const [a, b] = [corners.at(-2)!, corners.at(-1)!];
      if ((side[b]! - side[a]!) * (i - a) > (side[i]! - side[a]!) * (b - a)) break;
      corners.pop();
    }
    corners.push(i);
  }
  const thread = new Float64Array(side.length);
  for (let c = 0; c + 1 < corners.length; c++) {
    const [a, b] = [corners[c]!, corners[c + 1]!];
    for (let i = a; i <= b; i++) thread[i] = side[a]! + ((side[b]! - side[a]!) * (i - a)) / (b - a);
  }
  return thread;
}

/** √(t(1−t)) times a short Chebyshev series at each step of length. */
function basis(n: number): number[][] {
  return Array.from({ length: n }, (_, i) => {
    const t = (i + 0.5) / n;
    const end = Math.sqrt(t * (1 - t));
    return Array.from({ length: terms }, (_, k) => end * Math.cos(k * Math.acos(2 * t - 1)));
  });
}

/** Smooth half width that closes at both ends, by least squares over the points in use. */
function fit(rows: readonly number[][], side: Float64Array, use: readonly boolean[]): Float64Array | undefined {
  const n = side.length;
  const normal = Array.from({ length: terms }, () => new Array<number>(terms + 1).fill(0));
  let used = 0;
  for (let i = 0; i < n; i++) {
    if (!use[i]) continue;
    used++;
    for (let r = 0; r < terms; r++) {
      for (let c = 0; c < terms; c++) normal[r]![c]! += rows[i]![r]! * rows[i]![c]!;
      normal[r]![terms]! += rows[i]![r]! * side[i]!;
    }
  }
  if (used < terms * 2) return undefined;
  const series = solve(normal);
  return Float64Array.from(rows, (row) => row.reduce((sum, one, k) => sum + one * series[k]!, 0));
}

/** Gaussian elimination with partial pivots over an augmented matrix, with a grain of ridge so that it never breaks. */
function solve(matrix: number[][]): number[] {
  const n = matrix.length;
  for (let i = 0; i < n; i++) matrix[i]![i]! += 1e-9;
  for (let i = 0; i < n; i++) {
    const pivot = matrix.slice(i).reduce((best, row, r) => (Math.abs(row[i]!) > Math.abs(matrix[best]![i]!) ? r + i : best), i);
    [matrix[i], matrix[pivot]] = [matrix[pivot]!, matrix[i]!];
    for (let r = i + 1; r < n; r++) {
      const factor = matrix[r]![i]! / matrix[i]![i]!;
      for (let c = i; c <= n; c++) matrix[r]![c]! -= factor * matrix[i]![c]!;
    }
  }
  const solution = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--)
    solution[i] =
      (matrix[i]![n]! - matrix[i]!.slice(i + 1, n).reduce((sum, one, k) => sum + one * solution[i + 1 + k]!, 0)) / matrix[i]![i]!;
  return solution;
}

function raster(leaf: Mask, axis: Axis, { start, left, right }: Profile): Mask {
  const { width, height } = leaf;
  const whole = emptyMask(width, height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = Math.round(along(axis, x, y)) - start;
      if (at < 0 || at >= left.length) continue;
      const side = across(axis, x, y);
      if (side <= right[at]! && -side <= left[at]!) whole.on[y * width + x] = 1;
    }
  return whole;
}
