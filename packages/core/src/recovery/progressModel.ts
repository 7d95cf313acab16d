import { leastSquares } from '../statistics/leastSquares.js';
import type { Reading } from './areaUnderCurve.js';

export type ProgressModelName = 'logistic' | 'gompertz';

/** A fitted curve of disease progress. */
export interface ProgressFit {
  readonly model: ProgressModelName;
  /** per day; below zero while the plant recovers */
  readonly rate: number;
  /** severity at day 0, share from 0 to 1 */
  readonly initial: number;
  /** share of variance explained on the transformed scale */
  readonly rSquared: number;
}

// Transformations have no value at 0 and 1: readings are held this far inside.
const edge = 0.005;
const transforms: Readonly<Record<ProgressModelName, { to: (y: number) => number; from: (z: number) => number }>> = {
  logistic: { to: (y) => Math.log(y / (1 - y)), from: (z) => 1 / (1 + Math.exp(-z)) },
  gompertz: { to: (y) => -Math.log(-Math.log(y)), from: (z) => Math.exp(-Math.exp(-z)) },
};

/**
 * Fit a logistic or Gompertz curve by least squares on the transformed scale.
 *
 * Source: Madden, Hughes & van den Bosch (2007), The Study of Plant Disease Epidemics, §4.3 (logit and gompit).
 *
 * @param readings - severities in percent
 * @param model - the curve; without it the one that explains more is taken
 * @returns the fit; `undefined` for fewer than three readings or all on one day
 */
export function fitProgress(readings: readonly Reading[], model?: ProgressModelName): ProgressFit | undefined {
  if (readings.length < 3) return undefined;
  const names: readonly ProgressModelName[] = model ? [model] : ['logistic', 'gompertz'];
  const fits = names.flatMap((name) => fitOne(readings, name) ?? []);
  return fits.sort((a, b) => b.rSquared - a.rSquared)[0];
}

function fitOne(readings: readonly Reading[], model: ProgressModelName): ProgressFit | undefined {
  const { to, from } = transforms[model];
  const line = leastSquares(readings.map(({ day, severity }) => [day, to(Math.min(1 - edge, Math.max(edge, severity / 100)))]));
  return line && { model, rate: line.slope, initial: from(line.intercept), rSquared: line.rSquared };
}

/** Severity in percent that a fit expects on a day. */
export function expectedSeverity({ model, rate, initial }: ProgressFit, day: number): number {
  const { to, from } = transforms[model];
  return 100 * from(to(initial) + rate * day);
}
