import type { LeafMeasurement } from '@field-nurse/contract';

/** Share of a measured leaf that is eaten or discoloured, percent. */
export const damageOf = ({ eatenPercent, discolouredPercent }: Pick<LeafMeasurement, 'eatenPercent' | 'discolouredPercent'>): number =>
  Math.min(100, eatenPercent + discolouredPercent);
