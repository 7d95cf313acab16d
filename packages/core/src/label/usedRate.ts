import type Fraction from 'fraction.js';
import { dimensionOf, fromDecimal, inBase } from '../units/index.js';
import type { CardRate, UsedAmount } from './labelCard.js';

/**
 * Whether an amount stays within the highest rate of a card, by exact fractions.
 *
 * @returns `open` where what the rate goes by (water, ground, plants) is not known, or where card and amount are not of one kind
 * @throws RangeError if an amount is not finite
 * @example
 * // 30 ml in 10 litres, where the card says 20 ml in 10 litres at most:
 * usedRate({ low: 10, high: 20, unit: 'ml', per: { amount: 10, unit: 'l' } }, { product: { amount: 30, unit: 'ml' }, waterL: 10 }) // => 'broken'
 */
export function usedRate(rate: CardRate, used: UsedAmount): 'kept' | 'broken' | 'open' {
  const isShare = dimensionOf(rate.unit) === 'share';
  const kind = isShare ? 'volume' : dimensionOf(rate.unit);
  if (dimensionOf(used.product.unit) !== kind) return 'open';
  // So many parts of one: of a share the water itself is what it goes by.
  const per = rate.per ?? { amount: 1, unit: 'ml' as const };
  const done = measureOf(per.unit, used);
  if (!done) return 'open';
  const whole = per.unit === 'plant' ? fromDecimal(per.amount) : inBase({ amount: per.amount, unit: per.unit });
  const most = inBase({ amount: rate.high, unit: rate.unit }).mul(done).div(whole);
  return inBase(used.product).gt(most) ? 'broken' : 'kept';
}

/** How much of what a rate goes by was treated, in its base unit. */
function measureOf(unit: NonNullable<CardRate['per']>['unit'], { waterL, areaM2, plants }: UsedAmount): Fraction | undefined {
  const known = (amount: number | undefined, scale = 1) => (amount === undefined ? undefined : fromDecimal(amount).mul(scale));
  if (unit === 'plant') return known(plants);
  const dimension = dimensionOf(unit);
  const litreMl = 1000;
  return dimension === 'volume' ? known(waterL, litreMl) : dimension === 'area' ? known(areaM2) : undefined;
}
