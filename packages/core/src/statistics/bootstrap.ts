import { seededRandom } from './seededRandom.js';

/** A number with the limits between which it lies nineteen times in twenty. */
export type Interval = readonly [low: number, high: number];

/** What a bootstrap takes. */
export interface Bootstrap {
  readonly draws?: number | undefined;
  readonly seed?: number | undefined;
  /** share of draws between the limits */
  readonly level?: number | undefined;
}

const usual = { draws: 10_000, seed: 1, level: 0.95 };

/**
 * Percentile limits of a number that is reckoned from drawn samples.
 *
 * Source: Efron & Tibshirani (1993), An Introduction to the Bootstrap, ch. 13.
 *
 * @param draw - one sample and its number, with the source of chance; `undefined` where it has none, which is then left out
 * @returns `undefined` where fewer than half of the samples have a number
 */
export function bootstrapInterval(draw: (random: () => number) => number | undefined, given: Bootstrap = {}): Interval | undefined {
  const { draws = usual.draws, seed = usual.seed, level = usual.level } = given;
  const random = seededRandom(seed);
  const numbers = new Float64Array(draws);
  let count = 0;
  for (let i = 0; i < draws; i++) {
    const number = draw(random);
    if (number !== undefined && Number.isFinite(number)) numbers[count++] = number;
  }
  if (count < draws / 2 || count === 0) return undefined;
  const sorted = numbers.subarray(0, count).sort();
  const tail = (1 - level) / 2;
  return [quantile(sorted, tail), quantile(sorted, 1 - tail)];
}

/** A quantile between neighbours: Hyndman & Fan (1996), Am. Stat. 50:361–365, type 7. @param sorted - ascending, not empty */
export function quantile(sorted: ArrayLike<number>, share: number): number {
  const place = share * (sorted.length - 1);
  const below = Math.floor(place);
  const [low, high] = [sorted[below]!, sorted[Math.min(below + 1, sorted.length - 1)]!];
  return low + (high - low) * (place - below);
}

/** A draw from the Poisson distribution: by products where the mean is small, by Hörmann's transformed rejection (1993, PTRD) where it is not. */
export function poissonDraw(mean: number, random: () => number): number {
  if (mean < 10) {
    const limit = Math.exp(-mean);
    let count = 0;
    for (let product = random(); product > limit; product *= random()) count++;
    return count;
  }
  const b = 0.931 + 2.53 * Math.sqrt(mean);
  const a = -0.059 + 0.02483 * b;
  const quick = 0.9277 - 3.6224 / (b - 2);
  const inverse = 1.1239 + 1.1328 / (b - 3.4);
  for (;;) {
    const u = random() - 0.5;
    const v = random();
    const us = 0.5 - Math.abs(u);
    const k = Math.floor(((2 * a) / us + b) * u + mean + 0.43);
    if (us >= 0.07 && v <= quick) return k;
    if (k < 0 || (us < 0.013 && v > us)) continue;
    if (Math.log((v * inverse) / (a / (us * us) + b)) <= k * Math.log(mean) - mean - logFactorial(k)) return k;
  }
}

/** ln k!, Stirling's series from 10 on. */
function logFactorial(k: number): number {
  if (k < 10) {
    let product = 1;
    for (let i = 2; i <= k; i++) product *= i;
    return Math.log(product);
  }
  const n = k + 1;
  return (n - 0.5) * Math.log(n) - n + 0.5 * Math.log(2 * Math.PI) + 1 / (12 * n) - 1 / (360 * n ** 3);
}
