import type { StopLines } from './stopLines.js';

/** Error rates: alpha, to act although the level is the lower one; beta, to leave although it is the upper one. Both in (0, 0.5). */
export interface ErrorRates {
  readonly alpha: number;
  readonly beta: number;
}

/** Two parallel lines over n: total = slope · n + intercept. */
export interface ParallelLines extends StopLines {
  readonly slope: number;
  readonly actIntercept: number;
  readonly leaveIntercept: number;
}

function parallel(slope: number, perUnit: number, { alpha, beta }: ErrorRates): ParallelLines {
  const actIntercept = Math.log((1 - beta) / alpha) / perUnit;
  const leaveIntercept = Math.log(beta / (1 - alpha)) / perUnit;
  return { slope, actIntercept, leaveIntercept, act: (n) => slope * n + actIntercept, leave: (n) => slope * n + leaveIntercept };
}

function checkRates({ alpha, beta }: ErrorRates): void {
  for (const [name, rate] of Object.entries({ alpha, beta }))
    if (!(rate > 0 && rate < 0.5)) throw new RangeError(`Wald's test: ${name} must lie between 0 and 0.5, got ${rate}`);
}

/**
 * Wald's sequential test for the share of plants that show a trouble.
 *
 * Source: Wald (1947), Sequential Analysis, ch. 5, eq. 5:5–5:8.
 *
 * @param p0 - share that is little enough, in (0, 1)
 * @param p1 - share that is too much, above p0 and below 1
 * @throws RangeError for shares or rates outside their range
 * @example
 * binomialLines(0.1, 0.3, { alpha: 0.1, beta: 0.1 }).slope // => 0.186…
 */
export function binomialLines(p0: number, p1: number, rates: ErrorRates): ParallelLines {
  checkRates(rates);
  if (!(p0 > 0 && p0 < p1 && p1 < 1)) throw new RangeError(`binomialLines: shares must keep 0 < p0 < p1 < 1, got ${p0} and ${p1}`);
  const perUnit = Math.log((p1 * (1 - p0)) / (p0 * (1 - p1)));
  return parallel(Math.log((1 - p0) / (1 - p1)) / perUnit, perUnit, rates);
}

/**
 * Wald's sequential test for a mean count per plant (or leaf) of something that sits in clumps.
 *
 * Source: Oakland (1950), Biometrics 6:59–67; Waters (1955), Forest Science 1:68–79.
 *
 * @param m0 - mean count that is little enough, above 0
 * @param m1 - mean count that is too much, above m0
 * @param k - clumping of the negative binomial, above 0: small means in clumps, 8 or more nearly random
 * @throws RangeError for values outside their range
 */
export function negativeBinomialLines(m0: number, m1: number, k: number, rates: ErrorRates): ParallelLines {
  checkRates(rates);
  if (!(m0 > 0 && m0 < m1)) throw new RangeError(`negativeBinomialLines: means must keep 0 < m0 < m1, got ${m0} and ${m1}`);
  if (!(k > 0)) throw new RangeError(`negativeBinomialLines: k must be above 0, got ${k}`);
  const perUnit = Math.log((m1 * (m0 + k)) / (m0 * (m1 + k)));
  return parallel((k * Math.log((m1 + k) / (m0 + k))) / perUnit, perUnit, rates);
}
