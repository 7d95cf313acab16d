/** A straight line with the share of variance that it explains. */
export interface Line {
  readonly intercept: number;
  readonly slope: number;
  readonly rSquared: number;
}

/**
 * Ordinary least squares through (x, y).
 *
 * Source: Draper & Smith (1998), Applied Regression Analysis, 3rd ed., eq. 1.2.9–1.2.10.
 *
 * @param points - at least two, with at least two different x
 * @returns the line, or `undefined` when the points do not fix one
 * @example
 * leastSquares([[0, 1], [1, 3]]) // => { intercept: 1, slope: 2, rSquared: 1 }
 * leastSquares([[0, 1]]) // => undefined
 */
export function leastSquares(points: readonly (readonly [number, number])[]): Line | undefined {
  const n = points.length;
  const meanX = points.reduce((sum, [x]) => sum + x, 0) / n;
  const meanY = points.reduce((sum, [, y]) => sum + y, 0) / n;
  let xx = 0;
  let xy = 0;
  let yy = 0;
  for (const [x, y] of points) {
    xx += (x - meanX) ** 2;
    xy += (x - meanX) * (y - meanY);
    yy += (y - meanY) ** 2;
  }
  if (n < 2 || xx === 0) return undefined;
  const slope = xy / xx;
  return { intercept: meanY - slope * meanX, slope, rSquared: yy === 0 ? 1 : (slope * xy) / yy };
}
