/**
 * The logarithm of a sum of exponentials, log Σ exp(xᵢ), without overflow or underflow.
 *
 * The largest term is taken out first, so that a sum of likelihoods as small as e⁻²⁰⁰⁰ keeps its digits.
 *
 * Source: Blanchard, Higham & Higham (2021), IMA J. Numer. Anal. 41:2311–2330, eq. 1.2.
 *
 * @param values - natural logarithms; −Infinity stands for zero
 * @returns natural logarithm of the sum; −Infinity for an empty list
 * @example
 * logSumExp([Math.log(2), Math.log(3)]) // => Math.log(5)
 * logSumExp([-2000, -2000]) // => -2000 + Math.log(2)
 * logSumExp([]) // => -Infinity
 */
export function logSumExp(values: readonly number[]): number {
  let largest = -Infinity;
  for (const value of values) if (value > largest) largest = value;
  if (largest === -Infinity) return -Infinity;
  let sum = 0;
  for (const value of values) sum += Math.exp(value - largest);
  return largest + Math.log(sum);
}
