import { normalQuantile } from '../statistics/index.js';
import type { StopLines } from './stopLines.js';

/** Lines at `z` standard errors on both sides of the critical mean: total = n·m ± z·√(n·variance). */
function around(mean: number, variance: number, alpha: number): StopLines {
  if (!(alpha > 0 && alpha < 1)) throw new RangeError(`confidence lines: alpha must lie between 0 and 1, got ${alpha}`);
  const z = normalQuantile(1 - alpha / 2);
  const half = (n: number) => z * Math.sqrt(n * variance);
  return { act: (n) => n * mean + half(n), leave: (n) => n * mean - half(n) };
}

/** How the crowding of a species grows with its mean: m* = a + b·m. a at least −1, b above 0. */
export interface CrowdingLine {
  readonly a: number;
  readonly b: number;
}

/**
 * Iwao's sequential plan around one critical mean count, from the regression of mean crowding on the mean.
 *
 * Source: Iwao (1975), Researches on Population Ecology 16:281–288: n·m ± z·√(n·((a+1)·m + (b−1)·m²)).
 *
 * @param mean - critical mean count per plant, above 0
 * @param alpha - two-sided error, in (0, 1)
 * @throws RangeError if the variance that the regression gives at this mean is not above 0
 */
export function iwaoLines(mean: number, crowding: CrowdingLine, alpha: number): StopLines {
  return around(mean, iwaoVariance(mean, crowding), alpha);
}

/** Variance of counts at a mean, by the regression of mean crowding. @throws RangeError if it is not above 0 */
export function iwaoVariance(mean: number, { a, b }: CrowdingLine): number {
  const variance = (a + 1) * mean + (b - 1) * mean ** 2;
  if (!(mean > 0 && variance > 0))
    throw new RangeError(`iwaoLines: mean and variance must be above 0, got mean ${mean} and variance ${variance} from a ${a}, b ${b}`);
  return variance;
}

/** How alike the leaves of one plant are, for damage in percent: the share of the greatest possible variance. Our own figure, on the clumped side. */
export const damageLikeness = 0.2;

/**
 * A sequential plan around a critical mean damage in percent of leaf. Percentages of plants scatter as a beta distribution with a fixed likeness.
 *
 * Source: form of Iwao (1975); variance ρ·m·(100−m) after Madden, Hughes & van den Bosch (2007), The Study of Plant Disease Epidemics, ch. 9.
 *
 * @param mean - critical mean damage, percent in (0, 100)
 * @throws RangeError for a mean outside its range
 */
export function damageLines(mean: number, alpha: number): StopLines {
  if (!(mean > 0 && mean < 100)) throw new RangeError(`damageLines: mean must lie between 0 and 100 percent, got ${mean}`);
  return around(mean, damageLikeness * mean * (100 - mean), alpha);
}
