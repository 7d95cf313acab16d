import { dimensionOf, fromBase, fromDecimal, inBase } from '../units/index.js';
import type { Quantity } from '../units/index.js';
import { countedBy, perBase } from './toTreat.js';
import type { Per } from './toTreat.js';

/** What is to be treated, as far as it is known. */
export interface Treated {
  readonly plants: number;
  /** spray that one plant takes */
  readonly litresPerPlant: number;
  /** ground, m²; not known: left out */
  readonly areaM2?: number | undefined;
}

/**
 * How much of a product one treatment takes, by exact fractions.
 *
 * @param rate - so much `amount` of `unit` on `per`; a percentage goes by the water and has no "per"
 * @returns in ml or g; nothing where what the rate goes by is not known
 * @throws RangeError if an amount is not finite
 * @example
 * // 30 g in 10 litres, for 220 plants of 50 ml each:
 * productNeeded({ amount: 30, unit: 'g', per: { amount: 10, unit: 'l' } }, { plants: 220, litresPerPlant: 0.05 }) // => { amount: 33, unit: 'g' }
 */
export function productNeeded(
  rate: Quantity & { readonly per: Per | null },
  { plants, litresPerPlant, areaM2 }: Treated,
): Quantity | undefined {
  const isShare = dimensionOf(rate.unit) === 'share';
  const unit = isShare || dimensionOf(rate.unit) === 'volume' ? 'ml' : dimensionOf(rate.unit) === 'mass' ? 'g' : undefined;
  if (!unit) return undefined;
  const waterMl = fromDecimal(plants).mul(fromDecimal(litresPerPlant)).mul(1000);
  if (!rate.per) return isShare ? fromBase(waterMl.mul(inBase(rate)), unit) : undefined;
  const known = { plants: fromDecimal(plants), water: waterMl, area: areaM2 === undefined ? undefined : fromDecimal(areaM2) };
  const counted = countedBy(rate.per);
  const done = counted && counted in known ? known[counted as keyof typeof known] : undefined;
  return done && fromBase(inBase({ amount: rate.amount, unit: rate.unit }).mul(done).div(perBase(rate.per)), unit);
}
