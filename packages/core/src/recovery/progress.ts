import { daysBetween } from '../timing/days.js';
import { audpc, audps, relativeArea } from './areaUnderCurve.js';
import { fitProgress } from './progressModel.js';
import type { ProgressFit, ProgressModelName } from './progressModel.js';

export interface Progress {
  /** percent·days */
  readonly audpc: number;
  readonly audps: number | null;
  /** share of the greatest possible area, 0 to 1 */
  readonly relative: number | null;
  readonly fit: ProgressFit | null;
}

/**
 * Sum up a series of severities: areas under the curve and a fitted rate.
 *
 * @param points - calendar days in ascending order, severities in percent
 * @throws RangeError if days do not ascend or a severity is outside 0 to 100
 */
export function progress(points: readonly { readonly date: string; readonly severity: number }[], model?: ProgressModelName): Progress {
  const first = points[0];
  const readings = points.map(({ date, severity }) => ({ day: daysBetween(first!.date, date), severity }));
  return {
    audpc: audpc(readings),
    audps: audps(readings) ?? null,
    relative: relativeArea(readings) ?? null,
    fit: fitProgress(readings, model) ?? null,
  };
}
