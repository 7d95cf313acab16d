import type { LeafMeasurement } from '@field-nurse/contract';

/** How the eye does against the gauge. */
export interface EyeBias {
  readonly leaves: number;
  /** points that the eye says too much (above 0) or too little, on the average */
  readonly points: number;
  /** mean distance in points, either way */
  readonly off: number;
}

/** The eye's bias over the leaves of which both values are known; none before the first. */
export function eyeBias(
  leafMeasurements: readonly Pick<LeafMeasurement, 'eyedPercent' | 'eatenPercent' | 'discolouredPercent'>[],
): EyeBias | null {
  const gaps = leafMeasurements.flatMap((one) => (one.eyedPercent === null ? [] : [one.eyedPercent - damageOf(one)]));
  if (gaps.length === 0) return null;
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  return { leaves: gaps.length, points: mean(gaps), off: mean(gaps.map(Math.abs)) };
}

export const damageOf = ({ eatenPercent, discolouredPercent }: Pick<LeafMeasurement, 'eatenPercent' | 'discolouredPercent'>): number =>
  Math.min(100, eatenPercent + discolouredPercent);
