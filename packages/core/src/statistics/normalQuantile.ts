/**
 * Quantile of the standard normal distribution, to about seven figures.
 *
 * Written out: simple-statistics is right to three figures only (1.957 for 0.975, where it is 1.960).
 *
 * Source: Wichura (1988), algorithm AS 241 (PPND7), Applied Statistics 37:477–484.
 *
 * @param p - probability in (0, 1)
 * @throws RangeError outside it
 * @example
 * normalQuantile(0.975) // => 1.95996…
 * normalQuantile(0.5) // => 0
 */
export function normalQuantile(p: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError(`normalQuantile: p must lie between 0 and 1, got ${p}`);
  const q = p - 0.5;
  if (Math.abs(q) <= 0.425) {
    const r = 0.180625 - q * q;
    return (
      (q * polynomial(r, [3.3871327179, 50.434271938, 159.29113202, 59.10937472])) /
      polynomial(r, [1, 17.895169469, 78.757757664, 67.1875636])
    );
  }
  const tail = Math.sqrt(-Math.log(Math.min(p, 1 - p)));
  const size =
    tail <= 5
      ? polynomial(tail - 1.6, [1.4234372777, 2.75681539, 1.3067284816, 0.17023821103]) /
        polynomial(tail - 1.6, [1, 0.7370016425, 0.12021132975])
      : polynomial(tail - 5, [6.657905115, 3.081226386, 0.42868294337, 0.017337203997]) /
        polynomial(tail - 5, [1, 0.24197894225, 0.012258202635]);
  return Math.sign(q) * size;
}

const polynomial = (x: number, coefficients: readonly number[]) => coefficients.reduceRight((sum, one) => sum * x + one, 0);
