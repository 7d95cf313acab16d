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

// As many as a measuring jug or a spoon can tell apart.
const rateDigits = 3;

/** A rate of a product of a known strength, with the most that may be taken. */
interface StrengthRate {
  readonly amount: number;
  readonly unit: string;
  readonly strength: { readonly amount: number; readonly unit?: string };
  readonly labelMax: { readonly amount: number; readonly unit?: string };
}

/**
 * A rate and its maximum for a product of the strength that stands on the pack, in the rate's own unit.
 *
 * @param onPack - strength of the product in hand, in the rate's unit of strength; above 0
 * @throws RangeError if a strength is not above 0
 */
export function rateAt(rate: StrengthRate, onPack: number): { readonly rate: number; readonly most: number } {
  // Parts are poured as they are: a disinfectant of another strength has another label.
  if (rate.unit === 'parts') return { rate: rate.amount, most: rate.labelMax.amount };
  const most = atStrength(rate.labelMax.amount, rate.strength.amount, onPack);
  return { rate: Math.min(most, Number(atStrength(rate.amount, rate.strength.amount, onPack).toPrecision(rateDigits))), most };
}
