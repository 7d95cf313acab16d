import { fromDecimal } from '../units/index.js';

/**
 * The amount of a product of another strength that holds as much active ingredient, exactly.
 *
 * @param amount - of the product that the rate is meant for, in any unit
 * @param meantFor - its strength
 * @param onPack - strength of the product in hand, in the same unit; above 0
 * @throws RangeError if a strength is not above 0
 * @example
 * atStrength(0.2, 480, 120) // => 0.8: of a quarter of the strength four times as much
 */
export function atStrength(amount: number, meantFor: number, onPack: number): number {
  if (!(meantFor > 0) || !(onPack > 0)) throw new RangeError(`atStrength requires strengths above 0, got ${meantFor} and ${onPack}`);
  return fromDecimal(amount).mul(fromDecimal(meantFor)).div(fromDecimal(onPack)).valueOf();
}
