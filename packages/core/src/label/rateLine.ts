import { dimensionOf, inBase } from '../units/index.js';
import type { Quantity } from '../units/index.js';

/**
 * The line of the card that no rate may pass: is it kept?
 *
 * @param rate - amount of product, in the same "per" as the maximum
 * @param labelMax - most that the label allows; none: nothing is broken
 * @returns `other-kind` where the two are not of one kind (a volume against a mass)
 * @throws RangeError if an amount is not finite
 * @example
 * rateLine({ amount: 2, unit: 'tsp-us' }, { amount: 10, unit: 'ml' }) // => 'kept': 9.86 ml
 */
export function rateLine(rate: Quantity, labelMax: Quantity | undefined): 'kept' | 'broken' | 'other-kind' {
  if (!labelMax) return 'kept';
  if (dimensionOf(rate.unit) !== dimensionOf(labelMax.unit)) return 'other-kind';
  return inBase(rate).gt(inBase(labelMax)) ? 'broken' : 'kept';
}
