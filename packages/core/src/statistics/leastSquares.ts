import { linearRegression, rSquared } from 'simple-statistics';

/** A straight line with the share of variance that it explains. */
export interface Line {
  readonly intercept: number;
  readonly slope: number;
  readonly rSquared: number;
}

/**
 * Ordinary least squares through (x, y).
 *
 * @param points - at least two, with at least two different x
 * @returns the line, or `undefined` when the points do not fix one; level points are explained wholly
 * @example
 * leastSquares([[0, 1], [1, 3]]) // => { intercept: 1, slope: 2, rSquared: 1 }
 * leastSquares([[0, 1]]) // => undefined
 */
export function leastSquares(points: readonly (readonly [number, number])[]): Line | undefined {
  if (new Set(points.map(([x]) => x)).size < 2) return undefined;
  const data = points.map(([x, y]) => [x, y]);
  const { m: slope, b: intercept } = linearRegression(data);
  const isLevel = points.every(([, y]) => y === points[0]![1]);
  return { intercept, slope, rSquared: isLevel ? 1 : rSquared(data, (x) => intercept + slope * x) };
}
