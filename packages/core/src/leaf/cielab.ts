/** One plane of numbers for each pixel of a picture. */
export type Plane = Float32Array;

/** Lightness 0 to 100, and the two opponent colours: a from green to red, b from blue to yellow. */
export interface Lab {
  readonly lightness: Plane;
  readonly a: Plane;
  readonly b: Plane;
}

// Light of sRGB under D65: IEC 61966-2-1 (1999).
const linear = Float32Array.from({ length: 256 }, (_, value) => {
  const share = value / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
});

const edge = (6 / 29) ** 3;
const root = (t: number) => (t > edge ? Math.cbrt(t) : t / (3 * (6 / 29) ** 2) + 4 / 29);

/**
 * sRGB to CIELAB under D65.
 *
 * Source: CIE 15:2004, Colorimetry; IEC 61966-2-1 (1999).
 *
 * @param rgba - rows of red, green, blue, opacity from 0 to 255
 * @example
 * // white is [100, 0, 0]; pure green [87.7, -86.2, 83.2]
 */
export function toLab(rgba: Uint8ClampedArray): Lab {
  const count = rgba.length / 4;
  const [lightness, a, b] = [new Float32Array(count), new Float32Array(count), new Float32Array(count)];
  for (let i = 0; i < count; i++) {
    const red = linear[rgba[i * 4]!]!;
    const green = linear[rgba[i * 4 + 1]!]!;
    const blue = linear[rgba[i * 4 + 2]!]!;
    const x = root((0.4124564 * red + 0.3575761 * green + 0.1804375 * blue) / 0.95047);
    const y = root(0.2126729 * red + 0.7151522 * green + 0.072175 * blue);
    const z = root((0.0193339 * red + 0.119192 * green + 0.9503041 * blue) / 1.08883);
    lightness[i] = 116 * y - 16;
    a[i] = 500 * (x - y);
    b[i] = 200 * (y - z);
  }
  return { lightness, a, b };
}

/** Mean over each pixel and its eight neighbours: takes away the grain of a camera. Edges repeat. */
export function smooth(plane: Plane, width: number, height: number): Plane {
  const out = new Float32Array(plane.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let sum = 0;
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) {
          const [yy, xx] = [Math.min(height - 1, Math.max(0, y + dy)), Math.min(width - 1, Math.max(0, x + dx))];
          sum += plane[yy * width + xx]!;
        }
      out[y * width + x] = sum / 9;
    }
  return out;
}
