import { rateAt } from '@field-nurse/core/dose';
import type { Way } from '@field-nurse/core/dose';
import type { Intervention } from '@field-nurse/library';
import type { OnShelf } from '../gardens/shelf-now';
import type { UnitSystem } from '../shared/units';
import type { BenchRate } from './bench-sum';
import { freshRate } from './bench-sum';

/** A product at the bench: a pack of the shelf, or another by its ingredient, or neither. */
export interface BenchProduct {
  readonly packId: string | null;
  readonly intervention: string | null;
  /** which line of its label counts */
  readonly line: number | null;
  readonly rate: BenchRate;
}

export const freshProduct = (way: Way, system: UnitSystem): BenchProduct => ({
  packId: null,
  intervention: null,
  line: null,
  rate: freshRate(way, system),
});

/** What the label of a pack says in one of its lines; its highest rate is the most. */
export function rateOfLine(pack: OnShelf, line: number): BenchRate | undefined {
  const rate = pack.card?.lines[line]?.rate;
  if (!rate) return undefined;
  const terms = rate.per ? { per: rate.per.amount, perUnit: rate.per.unit } : { per: 1, perUnit: 'l' as const };
  return { amount: rate.low, unit: rate.unit, ...terms, most: rate.high };
}

/** The typical rate of an ingredient, for the strength of the pack in hand; nothing where that is not known. */
export function typicalRate({ rate }: Intervention, pack: OnShelf | undefined): BenchRate | undefined {
  if (!rate) return undefined;
  const strength = pack?.product.strength;
  if (pack && strength?.unit !== rate.strength.unit) return undefined;
  const { rate: amount, most } = rateAt(rate, strength?.amount ?? rate.strength.amount);
  return {
    amount,
    unit: rate.unit as BenchRate['unit'],
    per: rate.per.amount,
    perUnit: rate.per.unit as BenchRate['perUnit'],
    most: rate.unit === 'parts' ? null : most,
  };
}
