import type Fraction from 'fraction.js';
import { fromDecimal } from './fromDecimal.js';
import { unitTable } from './unitTable.js';
import type { UnitName } from './unitTable.js';

/** An amount with its unit. */
export interface Quantity {
  readonly amount: number;
  readonly unit: UnitName;
}

/**
 * A quantity in the base unit of its dimension, exactly.
 *
 * @throws RangeError if the amount is not finite
 * @example
 * inBase({ amount: 2, unit: 'l' }) // => 2000 (ml)
 */
export function inBase({ amount, unit }: Quantity): Fraction {
  return fromDecimal(amount).mul(unitTable[unit].inBase);
}

/**
 * A base-unit amount expressed in `unit`, rounded once, at the end.
 *
 * @example
 * fromBase(fromDecimal(3785.411784), 'gal-us') // => { amount: 1, unit: 'gal-us' }
 */
export function fromBase(base: Fraction, unit: UnitName): Quantity {
  return { amount: base.div(unitTable[unit].inBase).valueOf(), unit };
}

/**
 * Convert a quantity to another unit of the same dimension, by exact fractions.
 *
 * Mass and volume are never converted into each other: that needs a product's own density.
 *
 * @throws RangeError if the two units measure different things
 * @example
 * convert({ amount: 1, unit: 'gal-us' }, 'l') // => { amount: 3.785411784, unit: 'l' }
 * convert({ amount: 3, unit: 'tsp-us' }, 'tbsp-us') // => { amount: 1, unit: 'tbsp-us' }
 */
export function convert(quantity: Quantity, unit: UnitName): Quantity {
  const from = unitTable[quantity.unit].dimension;
  const to = unitTable[unit].dimension;
  if (from !== to) throw new RangeError(`convert requires two units of one dimension, got ${quantity.unit} (${from}) and ${unit} (${to})`);
  return fromBase(inBase(quantity), unit);
}
