import type { Lab, Plane } from './cielab.js';
import { emptyMask, patches } from './mask.js';
import type { Mask } from './mask.js';

/** How far the colour of each pixel is from that of the paper, and how much darker it is. */
export interface PaperDistance {
  readonly width: number;
  readonly height: number;
  /** distance in the plane of a and b */
  readonly colour: Plane;
  /** lightness as a share of the paper's */
  readonly shade: Plane;
}

// The rim of the picture is taken for paper.
const rimShare = 0.03;
// Darker than this share of the paper's lightness is no shadow on it.
const darkest = 0.4;
// A piece smaller than this share of the largest is a crumb, not leaf.
const crumb = 0.01;

/** Measure every pixel against the paper, whose colour is the middle one of the picture's rim. */
export function paperDistance({ lightness, a, b }: Lab, width: number, height: number): PaperDistance {
  const rim = Math.max(1, Math.round(Math.min(width, height) * rimShare));
  const rimPixels: number[] = [];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) if (x < rim || y < rim || x >= width - rim || y >= height - rim) rimPixels.push(y * width + x);
  const [paperL, paperA, paperB] = [lightness, a, b].map((plane) => median(rimPixels.map((pixel) => plane[pixel]!))) as [
    number,
    number,
    number,
  ];
  const colour = new Float32Array(lightness.length);
  const shade = new Float32Array(lightness.length);
  for (let i = 0; i < colour.length; i++) {
    // Shade pulls a and b toward grey in step with lightness; the paper's own tint is taken along.
    const share = lightness[i]! / Math.max(1, paperL);
    colour[i] = Math.hypot(a[i]! - paperA * share, b[i]! - paperB * share);
    shade[i] = share;
  }
  return { width, height, colour, shade };
}

/**
 * The level that parts two heaps of a histogram best.
 *
 * Source: Otsu (1979), IEEE Trans. SMC 9:62–66.
 *
 * @returns level in the units of the values
 */
export function otsu(values: Plane): number {
  const bins = 128;
  const top = Math.max(1e-6, percentile(values, 0.995));
  const histogram = new Float64Array(bins);
  for (const value of values) histogram[Math.min(bins - 1, Math.floor((value / top) * bins))]!++;
  const mean = histogram.reduce((sum, count, i) => sum + count * i, 0);
  let [best, level, below, sumBelow] = [-1, 0, 0, 0];
  for (let i = 0; i < bins - 1; i++) {
    below += histogram[i]!;
    sumBelow += histogram[i]! * i;
    const above = values.length - below;
    if (below === 0 || above === 0) continue;
    const between = below * above * (sumBelow / below - (mean - sumBelow) / above) ** 2;
    if (between > best) [best, level] = [between, i + 1];
  }
  return (level / bins) * top;
}

/** The pieces of leaf on the paper: coloured otherwise, or far too dark for a shadow. */
export function leafMask(distance: PaperDistance, threshold: number): Mask {
  const { width, height, colour, shade } = distance;
  const raw = emptyMask(width, height);
  for (let i = 0; i < colour.length; i++) raw.on[i] = colour[i]! > threshold || shade[i]! < darkest ? 1 : 0;
  const pieces = patches(raw);
  const leaf = emptyMask(width, height);
  for (const piece of pieces) if (piece.area >= pieces[0]!.area * crumb) for (const pixel of piece.pixels) leaf.on[pixel] = 1;
  return leaf;
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((x, y) => x - y);
  return sorted[sorted.length >> 1]!;
}

function percentile(values: Plane, share: number): number {
  return Float32Array.from(values).sort()[Math.floor((values.length - 1) * share)]!;
}
