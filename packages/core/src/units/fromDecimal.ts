import Fraction from 'fraction.js';

/**
 * The decimal that a person typed, exactly: 0.1 is one tenth and not the nearest binary fraction. (A Fraction made of a number itself is only the
 * simplest one near it: 3785.411784 would lose its last digits.)
 *
 * @param value - a finite number; its shortest decimal form is taken
 * @throws RangeError if `value` is not finite
 * @example
 * fromDecimal(2.5) // => 5/2
 * fromDecimal(1e-7) // => 1/10000000
 */
export function fromDecimal(value: number): Fraction {
  if (!Number.isFinite(value)) throw new RangeError(`fromDecimal requires a finite number, got ${value}`);
  const [mantissa = '0', exponent = '0'] = String(value).split('e');
  return new Fraction(mantissa).mul(new Fraction(10n).pow(Number(exponent)));
}
