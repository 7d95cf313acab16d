import { smooth, toLab } from './cielab.js';
import { discolouredMask } from './discoloured.js';
import { leafMask, otsu, paperDistance } from './leafMask.js';
import type { PaperDistance } from './leafMask.js';
import { areaOf, emptyMask, filled, opened, patches } from './mask.js';
import type { Mask } from './mask.js';
import { wholeOutline } from './outline.js';
import { shrink } from './picture.js';
import type { Picture } from './picture.js';

export interface GaugeOptions {
  /** a simple blade has its lost margin drawn in; in a lobed or divided one only holes are measured */
  readonly blade: 'simple' | 'lobed';
  /** millimetres that one pixel of the given picture spans; lengths and areas are told when it is known */
  readonly mmPerPixel?: number | undefined;
  /** called with the share done, 0 to 1 */
  readonly onProgress?: ((share: number) => void) | undefined;
}

/** What the picture says. Percentages are of the whole blade as it was before it was eaten. */
export interface LeafReading {
  readonly eatenPercent: number;
  readonly holesPercent: number;
  readonly marginPercent: number;
  readonly discolouredPercent: number;
  readonly damagedPercent: number;
  /** points by which `damagedPercent` may be off, either way */
  readonly uncertainty: number;
  readonly holes: number;
  readonly spots: number;
  /** whole blade, when the scale is known */
  readonly areaMm2: number | null;
  readonly lengthMm: number | null;
  /** for checking by eye: 0 paper, 1 healthy, 2 discoloured, 3 eaten, at the size below */
  readonly overlay: Uint8Array;
  readonly width: number;
  readonly height: number;
}

/** Why a picture can't be measured. */
export class NoLeaf extends Error {
  constructor(
    readonly code: 'too-small' | 'no-leaf' | 'cut-off',
    message: string,
  ) {
    super(message);
    this.name = 'NoLeaf';
  }
}

const longestSide = 640;
const leastSide = 40;
// Contrast of leaf to paper, in CIELAB: less is noise, more would cut into pale leaves.
const [leastContrast, mostContrast] = [7, 24];
const leastLeaf = 0.01;
const mostLeaf = 0.9;
// A hole or spot smaller than this share of the blade is not told from grain.
const leastMark = 0.0002;
// A drawn-in margin is a guess: off by about this share of itself.
const marginDoubt = 0.15;
const leastDoubt = 0.5;

/**
 * Measure a leaf that lies on plain paper: how much of it is eaten, discoloured and spotted.
 *
 * The paper's colour is that of the rim; what differs in colour is leaf (Otsu 1979); eaten is what is missing from the outline it once had; discoloured
 * is what has not the colour of its healthy part, apart from shade. Shares of area do not change when the leaf lies askew.
 *
 * @param picture - at least 40 pixels on each side; it is shrunk to 640 first
 * @throws NoLeaf with a code and a sentence for the grower
 */
export function gaugeLeaf(picture: Picture, options: GaugeOptions): LeafReading {
  const tell = options.onProgress ?? (() => undefined);
  if (Math.min(picture.width, picture.height) < leastSide)
    throw new NoLeaf('too-small', `The picture is ${picture.width} by ${picture.height}; it needs at least ${leastSide} pixels each way.`);
  const small = shrink(picture, longestSide);
  const { width, height } = small;
  tell(0.15);
  const raw = toLab(small.data);
  const lab = { lightness: smooth(raw.lightness, width, height), a: smooth(raw.a, width, height), b: smooth(raw.b, width, height) };
  tell(0.4);
  const distance = paperDistance(lab, width, height);
  const contrast = Math.min(mostContrast, Math.max(leastContrast, otsu(distance.colour) * 0.8));
  const eaten = measureEaten(distance, contrast, options.blade);
  tell(0.7);
  const whole = areaOf(eaten.whole);
  const discoloured = discolouredMask(lab, insideOf(eaten.leaf));
  const shown = opened(discoloured);
  const discolouredArea = areaOf(shown);
  tell(0.85);
  // The threshold is the judgement that could be off most: what if it were a quarter lower or higher?
  const [low, high] = [0.75, 1.3].map((factor) => measureEaten(distance, contrast * factor, options.blade));
  const eatenPercent = percentOf(eaten.holes + eaten.margin, whole);
  const marginPercent = percentOf(eaten.margin, whole);
  const discolouredPercent = percentOf(discolouredArea, whole);
  const byThreshold =
    Math.abs(percentOf(low!.holes + low!.margin, areaOf(low!.whole)) - percentOf(high!.holes + high!.margin, areaOf(high!.whole))) / 2;
  const byEdge = percentOf(areaOf(discoloured) - discolouredArea, whole) / 2 + discolouredPercent * 0.05;
  tell(1);
  const scale = options.mmPerPixel === undefined ? null : (options.mmPerPixel * picture.width) / width;
  return {
    eatenPercent,
    holesPercent: percentOf(eaten.holes, whole),
    marginPercent,
    discolouredPercent,
    damagedPercent: Math.min(100, eatenPercent + discolouredPercent),
    uncertainty: Math.max(leastDoubt, Math.hypot(byThreshold, byEdge, marginPercent * marginDoubt)),
    holes: patches(eaten.holesMask).length,
    spots: patches(shown).filter(({ area }) => area >= whole * leastMark).length,
    areaMm2: scale === null ? null : whole * scale ** 2,
    lengthMm: scale === null ? null : lengthOf(eaten.whole) * scale,
    overlay: overlayOf(eaten, shown),
    width,
    height,
  };
}

const percentOf = (part: number, whole: number) => (100 * part) / whole;

interface Eaten {
  readonly leaf: Mask;
  readonly whole: Mask;
  readonly holesMask: Mask;
  readonly eatenMask: Mask;
  readonly holes: number;
  readonly margin: number;
}

function measureEaten(distance: PaperDistance, contrast: number, blade: GaugeOptions['blade']): Eaten {
  const leaf = leafMask(distance, contrast);
  const area = areaOf(leaf);
  const total = leaf.on.length;
  if (area < total * leastLeaf)
    throw new NoLeaf(
      'no-leaf',
      'No leaf stands out from the paper. Lay one leaf flat on plain, pale paper and fill most of the picture with it.',
    );
  if (area > total * mostLeaf || touchesRim(leaf) > 0.25)
    throw new NoLeaf(
      'cut-off',
      'The leaf runs out of the picture, or there is no plain paper round it. Step back until paper shows on all sides.',
    );
  const inner = filled(leaf);
  const whole = blade === 'simple' ? wholeOutline(leaf) : inner;
  const [holesMask, eatenMask] = [emptyMask(leaf.width, leaf.height), emptyMask(leaf.width, leaf.height)];
  for (let i = 0; i < total; i++) {
    if (leaf.on[i]) continue;
    if (inner.on[i]) holesMask.on[i] = 1;
    if (whole.on[i]) eatenMask.on[i] = 1;
  }
  const least = area * leastMark;
  const holes = keepLarge(holesMask, least);
  const missing = keepLarge(opened(eatenMask), least);
  let margin = 0;
  for (let i = 0; i < total; i++) {
    missing.on[i] = missing.on[i] || holes.on[i] ? 1 : 0;
    if (missing.on[i] && !holes.on[i]) margin++;
  }
  return { leaf, whole: united(whole, holes), holesMask: holes, eatenMask: missing, holes: areaOf(holes), margin };
}

function keepLarge(mask: Mask, least: number): Mask {
  const out = emptyMask(mask.width, mask.height);
  for (const patch of patches(mask)) if (patch.area >= least) for (const pixel of patch.pixels) out.on[pixel] = 1;
  return out;
}

const united = (a: Mask, b: Mask): Mask => ({ ...a, on: a.on.map((one, i) => one | b.on[i]!) });

/** The leaf without the blurred pixels of its own edge, whose colour is half paper. */
function insideOf(leaf: Mask): Mask {
  const { width, height, on } = leaf;
  const inside = emptyMask(width, height);
  const reach = 2;
  for (let y = reach; y < height - reach; y++)
    for (let x = reach; x < width - reach; x++) {
      const at = y * width + x;
      if (on[at] && on[at - reach] && on[at + reach] && on[at - reach * width] && on[at + reach * width]) inside.on[at] = 1;
    }
  return inside;
}

/** Share of the picture's rim that is leaf. */
function touchesRim({ width, height, on }: Mask): number {
  let count = 0;
  for (let x = 0; x < width; x++) count += on[x]! + on[(height - 1) * width + x]!;
  for (let y = 0; y < height; y++) count += on[y * width]! + on[y * width + width - 1]!;
  return count / (2 * (width + height));
}

/** The longest way across the blade by its bounding rectangle in eight directions, pixels. */
function lengthOf({ width, on }: Mask): number {
  let longest = 0;
  for (let turn = 0; turn < 8; turn++) {
    const [cos, sin] = [Math.cos((turn * Math.PI) / 8), Math.sin((turn * Math.PI) / 8)];
    let [low, high] = [Infinity, -Infinity];
    for (let i = 0; i < on.length; i++) {
      if (!on[i]) continue;
      const at = (i % width) * cos + Math.floor(i / width) * sin;
      if (at < low) low = at;
      if (at > high) high = at;
    }
    longest = Math.max(longest, high - low + 1);
  }
  return longest;
}

function overlayOf({ leaf, eatenMask }: Eaten, discoloured: Mask): Uint8Array {
  return leaf.on.map((one, i) => (eatenMask.on[i] ? 3 : discoloured.on[i] ? 2 : one));
}
