/** An exact fraction in lowest terms; the denominator is positive. */
export interface Rational {
  readonly n: bigint;
  readonly d: bigint;
}

/**
 * The fraction n/d in lowest terms.
 *
 * @param d - not zero
 * @throws RangeError if `d` is zero
 * @example
 * rational(6n, -4n) // => { n: -3n, d: 2n }
 */
export function rational(n: bigint, d: bigint = 1n): Rational {
  if (d === 0n) throw new RangeError('rational requires a denominator other than 0');
  const sign = d < 0n ? -1n : 1n;
  const divisor = greatestCommonDivisor(n < 0n ? -n : n, d * sign);
  return { n: (n * sign) / divisor, d: (d * sign) / divisor };
}

/**
 * The decimal that a person typed, exactly: 0.1 is one tenth and not the nearest binary fraction.
 *
 * @param value - a finite number; its shortest decimal form is taken
 * @throws RangeError if `value` is not finite
 * @example
 * fromDecimal(2.5) // => { n: 5n, d: 2n }
 * fromDecimal(1e-7) // => { n: 1n, d: 10000000n }
 */
export function fromDecimal(value: number): Rational {
  if (!Number.isFinite(value)) throw new RangeError(`fromDecimal requires a finite number, got ${value}`);
  const [mantissa = '0', exponent = '0'] = String(value).split('e');
  const [whole = '0', fraction = ''] = mantissa.split('.');
  const power = Number(exponent) - fraction.length;
  const digits = BigInt(whole + fraction);
  return power >= 0 ? rational(digits * 10n ** BigInt(power)) : rational(digits, 10n ** BigInt(-power));
}

export const add = (a: Rational, b: Rational): Rational => rational(a.n * b.d + b.n * a.d, a.d * b.d);
export const subtract = (a: Rational, b: Rational): Rational => rational(a.n * b.d - b.n * a.d, a.d * b.d);
export const multiply = (a: Rational, b: Rational): Rational => rational(a.n * b.n, a.d * b.d);

/** @throws RangeError if `b` is zero */
export const divide = (a: Rational, b: Rational): Rational => rational(a.n * b.d, a.d * b.n);

/** Below zero when a < b, zero when equal, above zero when a > b. */
export const compare = (a: Rational, b: Rational): number => Number(sign(a.n * b.d - b.n * a.d));

/** The largest whole number that is not above `a`. */
export const floor = ({ n, d }: Rational): bigint => (n < 0n && n % d !== 0n ? n / d - 1n : n / d);

/** The nearest double. */
export function toNumber({ n, d }: Rational): number {
  // Both parts may pass 2^53: divide the whole part first, so that only the remainder is rounded.
  return Number(n / d) + Number(n % d) / Number(d);
}

const sign = (value: bigint): -1 | 0 | 1 => (value < 0n ? -1 : value > 0n ? 1 : 0);

function greatestCommonDivisor(a: bigint, b: bigint): bigint {
  return b === 0n ? (a === 0n ? 1n : a) : greatestCommonDivisor(b, a % b);
}
