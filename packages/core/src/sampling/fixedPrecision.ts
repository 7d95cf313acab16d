/** Taylor's power law: variance = a · mean^b, a above 0, b usually 1 (random) to 2 (strongly clumped). */
export interface PowerLaw {
  readonly a: number;
  readonly b: number;
}

/**
 * Green's stop line: once the running total lies above it, the mean is known with the wanted precision, whatever it is.
 *
 * Source: Green (1970), Researches on Population Ecology 12:249–251: Tₙ ≥ (a·n^(1−b)/D²)^(1/(2−b)).
 *
 * @param n - plants looked at, 1 or more
 * @param precision - wanted standard error as a share of the mean, in (0, 1): 0.25 is usual for action, 0.1 for research
 * @returns running total of counts
 * @throws RangeError for b of exactly 2, where no line exists, and for values outside their range
 * @example
 * greenTotal(10, { a: 1, b: 1 }, 0.25) // => 16: sixteen animals, however many plants, if they sit at random
 */
export function greenTotal(n: number, { a, b }: PowerLaw, precision: number): number {
  if (!(n >= 1)) throw new RangeError(`greenTotal: n must be 1 or more, got ${n}`);
  if (!(a > 0) || b === 2) throw new RangeError(`greenTotal: a must be above 0 and b other than 2, got ${a} and ${b}`);
  if (!(precision > 0 && precision < 1)) throw new RangeError(`greenTotal: precision must lie between 0 and 1, got ${precision}`);
  return ((a * n ** (1 - b)) / precision ** 2) ** (1 / (2 - b));
}
