import { dimensionOf, inBase } from '../units/index.js';
import type { Quantity, UnitName } from '../units/index.js';

type Per = { readonly amount: number; readonly unit: UnitName | 'plant' };

/** A rate of a label: the most that it allows of `unit` on `per`; a percentage goes by the water. */
export interface LabelRate {
  readonly high: number;
  readonly unit: UnitName;
  readonly per: Per | null;
}

/**
 * The most that a label allows, in the terms of another rate, by exact fractions.
 *
 * @param terms - its unit, and what it goes by
 * @returns nothing where the two are not on the same terms: one by water and the other by ground, one poured and the other weighed
 * @example
 * // 200 ml in 10 litres at most, for somebody who reckons in ml to the litre:
 * labelMost({ high: 200, unit: 'ml', per: { amount: 10, unit: 'l' } }, { unit: 'ml', per: { amount: 1, unit: 'l' } }) // => 20
 */
export function labelMost({ high, unit, per }: LabelRate, terms: { readonly unit: UnitName; readonly per: Quantity }): number | undefined {
  const ofWater = { amount: 1, unit: 'ml' as const };
  const isShare = dimensionOf(unit) === 'share';
  const going = per ?? ofWater;
  if (going.unit === 'plant' || dimensionOf(going.unit) !== dimensionOf(terms.per.unit)) return undefined;
  if ((isShare ? 'volume' : dimensionOf(unit)) !== dimensionOf(terms.unit)) return undefined;
  return inBase({ amount: high, unit })
    .div(inBase({ amount: going.amount, unit: going.unit }))
    .mul(inBase(terms.per))
    .div(inBase({ amount: 1, unit: terms.unit }))
    .valueOf();
}
