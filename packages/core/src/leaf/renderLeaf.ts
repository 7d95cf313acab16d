import { seededRandom } from '../statistics/index.js';
import type { Picture } from './picture.js';

export type BladeShape = 'ovate' | 'lance' | 'heart' | 'round' | 'toothed';

export interface RenderOptions {
  readonly seed: number;
  readonly shape: BladeShape;
  /** round holes inside the blade */
  readonly holes: number;
  /** bites out of the margin */
  readonly bites: number;
  /** brown or yellow spots */
  readonly spots: number;
  readonly width?: number | undefined;
  readonly height?: number | undefined;
  /** standard deviation of grain, in steps of 0 to 255 */
  readonly noise?: number | undefined;
  /** reach of blur, pixels */
  readonly blur?: number | undefined;
  /** how much light a soft shadow takes, 0 to 1 */
  readonly shadow?: number | undefined;
  /** degrees by which the camera is tilted */
  readonly tilt?: number | undefined;
}

/** A drawn leaf on paper, with what is known of it because it was drawn so. Percent of the whole blade. */
export interface RenderedLeaf {
  readonly picture: Picture;
  readonly eatenPercent: number;
  readonly discolouredPercent: number;
}

type Colour = readonly [red: number, green: number, blue: number];

interface Disc {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  readonly squash: number;
}

// Half widths along the blade, both from 0 at the stalk to 0 at the tip, in blade lengths.
const halfWidths: Readonly<Record<BladeShape, (t: number) => number>> = {
  ovate: (t) => 0.3 * Math.sin(Math.PI * t ** 0.75) ** 0.85,
  lance: (t) => 0.16 * Math.sin(Math.PI * t ** 0.9),
  heart: (t) => 0.42 * Math.sqrt(Math.max(0, 1 - t)) * Math.min(1, Math.sqrt(t * 6)) * (1 - 0.25 * t),
  round: (t) => 0.5 * Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 2)),
  toothed: (t) => 0.3 * Math.sin(Math.PI * t ** 0.8) ** 0.9 * (1 + 0.025 * Math.abs(((t * 30) % 2) - 1)),
};
const grid = 2;

/**
 * Draw a leaf with known damage: for testing a gauge, and for training the eye.
 *
 * The truth is counted on the same fine grid that the picture is drawn from, before blur, grain and tilt.
 *
 * @param options - the same ones give the same leaf
 */
export function renderLeaf(options: RenderOptions): RenderedLeaf {
  const { width = 640, height = 480 } = options;
  const random = seededRandom(options.seed);
  const between = (low: number, high: number) => low + random() * (high - low);
  const half = halfWidths[options.shape];
  const bend = between(-0.05, 0.05);
  const uneven = between(0.94, 1.06);
  const inBlade = (u: number, v: number) => {
    if (u <= 0 || u >= 1) return false;
    const side = v - bend * Math.sin(Math.PI * u);
    return side >= 0 ? side < half(u) * uneven : -side < half(u) / uneven;
  };
  const holes = discs(options.holes, () => insideDisc(inBlade, between, 0.015, 0.06));
  const bites = discs(options.bites, () => {
    const u = between(0.15, 0.85);
    const up = random() < 0.5 ? 1 : -1;
    return { x: u, y: up * half(u) + bend * Math.sin(Math.PI * u), radius: between(0.03, 0.1), squash: between(0.7, 1.3) };
  });
  const spots = discs(options.spots, () => insideDisc(inBlade, between, 0.01, 0.05));
  const green: Colour = [between(60, 110), between(120, 160), between(40, 70)];
  const sick: Colour =
    random() < 0.5 ? [between(120, 150), between(80, 100), between(40, 60)] : [between(200, 225), between(185, 205), between(60, 90)];
  const paper: Colour = [between(228, 245), between(228, 243), between(222, 240)];

  let [whole, eaten, discoloured] = [0, 0, 0];
  const paint = (u: number, v: number): Colour => {
    if (!inBlade(u, v)) return u > -0.12 && u <= 0 && Math.abs(v) < 0.008 ? green : paper;
    whole++;
    if (within(holes, u, v) || within(bites, u, v)) {
      eaten++;
      return paper;
    }
    if (within(spots, u, v)) {
      discoloured++;
      return sick;
    }
    const vein = Math.abs(v - bend * Math.sin(Math.PI * u)) < 0.006 ? 18 : 0;
    return [green[0] + vein, green[1] + vein, green[2] + vein];
  };
  const view = camera(options, random, width, height);
  const light = lighting(options.shadow ?? 0, random, width, height);
  const plain = new Float32Array(width * height * 3);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const sum = [0, 0, 0];
      for (let sy = 0; sy < grid; sy++)
        for (let sx = 0; sx < grid; sx++) {
          const [u, v] = view(x + (sx + 0.5) / grid, y + (sy + 0.5) / grid);
          const colour = paint(u, v);
          for (let c = 0; c < 3; c++) sum[c]! += colour[c]!;
        }
      const shade = light(x, y) / grid ** 2;
      for (let c = 0; c < 3; c++) plain[(y * width + x) * 3 + c] = sum[c]! * shade;
    }
  const data = finish(blurred(plain, width, height, options.blur ?? 0), options.noise ?? 0, random);
  return { picture: { width, height, data }, eatenPercent: (100 * eaten) / whole, discolouredPercent: (100 * discoloured) / whole };
}

const discs = (count: number, one: () => Disc): Disc[] => Array.from({ length: count }, one);

const within = (list: readonly Disc[], u: number, v: number) =>
  list.some(({ x, y, radius, squash }) => (u - x) ** 2 + ((v - y) / squash) ** 2 < radius ** 2);

function insideDisc(
  inBlade: (u: number, v: number) => boolean,
  between: (low: number, high: number) => number,
  low: number,
  high: number,
): Disc {
  for (let tries = 0; tries < 200; tries++) {
    const disc = { x: between(0.1, 0.9), y: between(-0.4, 0.4), radius: between(low, high), squash: between(0.7, 1.3) };
    const reach = disc.radius * 1.5;
    const clear = [
      [reach, 0],
      [-reach, 0],
      [0, reach],
      [0, -reach],
    ].every(([du, dv]) => inBlade(disc.x + du!, disc.y + dv!));
    if (clear) return disc;
  }
  return { x: 0.5, y: 0, radius: low, squash: 1 };
}

/** From picture to paper: turned, placed, and seen askew by `tilt` degrees with the far side smaller. */
function camera(
  { tilt = 0 }: RenderOptions,
  random: () => number,
  width: number,
  height: number,
): (x: number, y: number) => readonly [number, number] {
  const turn = (random() - 0.5) * 0.8;
  const toward = random() * 2 * Math.PI;
  const size = Math.min(width * 0.72, height * 0.8);
  const [sin, cos] = [Math.sin((tilt * Math.PI) / 180), Math.cos((tilt * Math.PI) / 180)];
  const far = 2.5 * size;
  return (x, y) => {
    const [dx, dy] = [x - width / 2, y - height / 2];
    const [near, side] = [dx * Math.cos(toward) + dy * Math.sin(toward), dy * Math.cos(toward) - dx * Math.sin(toward)];
    // Ray from a camera at distance `far` onto a plane that leans by the tilt.
    const depth = (near * far) / (far * cos - near * sin);
    const across = (side * (far + depth * sin)) / far;
    const [px, py] = [depth * Math.cos(toward) - across * Math.sin(toward), depth * Math.sin(toward) + across * Math.cos(toward)];
    const [u, v] = [px * Math.cos(turn) + py * Math.sin(turn), py * Math.cos(turn) - px * Math.sin(turn)];
    return [u / size + 0.5, v / size];
  };
}

/** Even light falls off a little across the picture; a shadow with a soft edge lies over a part of it. */
function lighting(shadow: number, random: () => number, width: number, height: number): (x: number, y: number) => number {
  const toward = random() * 2 * Math.PI;
  const edge = (random() - 0.5) * 0.5;
  return (x, y) => {
    const at = ((x / width - 0.5) * Math.cos(toward) + (y / height - 0.5) * Math.sin(toward)) * 2;
    const covered = 1 / (1 + Math.exp(-(at - edge) * 12));
    return 1 - shadow * (0.8 * covered + 0.2 * (0.5 + at / 2));
  };
}

/** Mean over a square of `reach` pixels each way, twice, which is near a bell. */
function blurred(plain: Float32Array, width: number, height: number, reach: number): Float32Array {
  if (reach <= 0) return plain;
  let from = plain;
  for (const [stepX, stepY] of [
    [1, 0],
    [0, 1],
    [1, 0],
    [0, 1],
  ] as const) {
    const to = new Float32Array(from.length);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        for (let c = 0; c < 3; c++) {
          let sum = 0;
          for (let d = -reach; d <= reach; d++) {
            const [xx, yy] = [Math.min(width - 1, Math.max(0, x + d * stepX)), Math.min(height - 1, Math.max(0, y + d * stepY))];
            sum += from[(yy * width + xx) * 3 + c]!;
          }
          to[(y * width + x) * 3 + c] = sum / (2 * reach + 1);
        }
    from = to;
  }
  return from;
}

function finish(plain: Float32Array, noise: number, random: () => number): Uint8ClampedArray {
  const data = new Uint8ClampedArray((plain.length / 3) * 4).fill(255);
  // A sum of four uniform numbers is near enough to a bell for grain.
  const grain = () => (random() + random() + random() + random() - 2) * noise * Math.sqrt(3);
  for (let i = 0; i < plain.length; i++) data[Math.floor(i / 3) * 4 + (i % 3)] = plain[i]! + (noise > 0 ? grain() : 0);
  return data;
}
