/**
 * Shannon entropy of a set of masses, in bits.
 *
 * Source: Shannon (1948), Bell System Technical Journal 27:379–423.
 *
 * @param masses - 0 or more each; they need not sum to one and are normalised
 * @returns bits, from 0 to log2 of the number of masses
 * @example
 * entropyBits([1, 1]) // => 1
 * entropyBits([5]) // => 0
 * entropyBits([]) // => 0
 */
export function entropyBits(masses: Iterable<number>): number {
  let total = 0;
  let weighted = 0;
  for (const mass of masses) {
    if (mass <= 0) continue;
    total += mass;
    weighted += mass * Math.log2(mass);
  }
  return total === 0 ? 0 : Math.max(0, Math.log2(total) - weighted / total);
}
