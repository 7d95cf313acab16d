/** A picture as cameras and canvases give it: rows of red, green, blue, opacity from 0 to 255. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

/**
 * A smaller copy by the mean over each square: what a leaf gauge needs is area, not detail.
 *
 * @param longest - pixels that the longer side may have; a picture that is small enough is given back as it is
 */
export function shrink(picture: Picture, longest: number): Picture {
  const { width, height, data } = picture;
  const factor = Math.max(width, height) / longest;
  if (factor <= 1) return picture;
  const [w, h] = [Math.max(1, Math.round(width / factor)), Math.max(1, Math.round(height / factor))];
  const out = new Uint8ClampedArray(w * h * 4);
  for (let y = 0; y < h; y++) {
    const [y0, y1] = [Math.floor((y * height) / h), Math.max(Math.floor(((y + 1) * height) / h), Math.floor((y * height) / h) + 1)];
    for (let x = 0; x < w; x++) {
      const [x0, x1] = [Math.floor((x * width) / w), Math.max(Math.floor(((x + 1) * width) / w), Math.floor((x * width) / w) + 1)];
      let [r, g, b] = [0, 0, 0];
      for (let yy = y0; yy < y1; yy++)
        for (let xx = x0; xx < x1; xx++) {
          const at = (yy * width + xx) * 4;
          r += data[at]!;
          g += data[at + 1]!;
          b += data[at + 2]!;
        }
      const count = (y1 - y0) * (x1 - x0);
      const to = (y * w + x) * 4;
      out[to] = r / count;
      out[to + 1] = g / count;
      out[to + 2] = b / count;
      out[to + 3] = 255;
    }
  }
  return { width: w, height: h, data: out };
}
