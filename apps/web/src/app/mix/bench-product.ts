import { labelMost, rateAt } from '@field-nurse/core/dose';
import type { LabelRate, Way } from '@field-nurse/core/dose';
import type { Intervention } from '@field-nurse/library';
import type { OnShelf } from '../gardens/shelf-now';
import type { UnitSystem } from '../shared/units';
import type { BenchRate } from './bench-sum';
import { freshRate, goesByNothing } from './bench-sum';

/** A product at the bench: a pack of the shelf, or another by its ingredient, or neither. */
export interface BenchProduct {
  readonly packId: string | null;
  readonly intervention: string | null;
  /** which line of its label counts */
  readonly line: number | null;
  /** as it is typed; its most follows from the limit */
  readonly rate: Omit<BenchRate, 'most'>;
  /** what its label allows, or what is typical, on its own terms; nothing where that is not known */
  readonly limit: LabelRate | null;
}

/** What a label or the library says of a rate. */
type Known = Pick<BenchProduct, 'rate' | 'limit'>;

export const freshProduct = (way: Way, system: UnitSystem): BenchProduct => ({
  packId: null,
  intervention: null,
  line: null,
  rate: freshRate(way, system),
  limit: null,
});

/** What the label of a pack says in one of its lines; its highest rate is the most. */
export function rateOfLine(pack: OnShelf, line: number): Known | undefined {
  const limit = pack.card?.lines[line]?.rate;
  if (!limit) return undefined;
  const terms = limit.per ? { per: limit.per.amount, perUnit: limit.per.unit } : { per: 1, perUnit: 'l' as const };
  return { rate: { amount: limit.low, unit: limit.unit, ...terms }, limit };
}

/** The typical rate of an ingredient, for the strength of the pack in hand; nothing where that is not known. */
export function typicalRate({ rate }: Intervention, pack: OnShelf | undefined): Known | undefined {
  if (!rate) return undefined;
  const strength = pack?.product.strength;
  if (pack && strength?.unit !== rate.strength.unit) return undefined;
  const { rate: amount, most } = rateAt(rate, strength?.amount ?? rate.strength.amount);
  const [unit, perUnit] = [rate.unit as LabelRate['unit'], rate.per.unit as BenchRate['unit']];
  return {
    rate: { amount, unit, per: rate.per.amount, perUnit },
    // Of parts the rest is water: they have no most of their own.
    limit: unit === 'parts' ? null : { high: most, unit, per: { amount: rate.per.amount, unit: perUnit } },
  };
}

/** The most of a limit on the terms of a rate; nothing where there is none; `other-terms` where the two can't be compared. */
export function mostOf({ rate, limit }: Known): number | null | 'other-terms' {
  if (!limit) return null;
  const isShare = goesByNothing(rate);
  const isSame =
    rate.unit === limit.unit && (isShare ? limit.per === null : limit.per?.amount === rate.per && limit.per.unit === rate.perUnit);
  if (isSame) return limit.high;
  if (isShare || rate.perUnit === 'plant' || rate.perUnit.startsWith('compost-') || rate.perUnit === 'parts') return 'other-terms';
  return labelMost(limit, { unit: rate.unit, per: { amount: rate.per, unit: rate.perUnit as BenchRate['unit'] } }) ?? 'other-terms';
}
