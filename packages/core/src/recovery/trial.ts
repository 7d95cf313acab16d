import { normalQuantile, seededRandom } from '../statistics/index.js';

/** What is counted on either side of a trial. */
export interface TrialMeans {
  /** mean count of a plant left alone, above 0 */
  readonly control: number;
  /** mean count of a treated plant, 0 or more */
  readonly treated: number;
  /** clumping of the counts: the smaller, the more clumped; without it they come by chance */
  readonly k?: number | undefined;
}

// A difference is wrongly seen once in twenty, and overlooked once in five.
const [falseAlarm, overlooked] = [0.05, 0.2];
// Of nothing there is no logarithm: a side without any is taken to have one on two plants.
const leastMean = 0.5;

/**
 * Plants, or plots, to count on each side before a difference of two means is seen four times in five.
 *
 * n = (z₁ + z₂)² · (1/μ₁ + 1/μ₂ + 2/k) / ln²(μ₁/μ₂)
 *
 * Source: Zhu & Lakkis (2014), Stat. Med. 33:376–387 (two negative binomial rates, equal sides).
 *
 * @returns whole plants, 2 or more; `null` where the means are alike
 * @example
 * plotsNeeded({ control: 10, treated: 5, k: 1 }) // => 37
 */
export function plotsNeeded({ control, treated, k = Infinity }: TrialMeans): number | null {
  const [one, other] = [Math.max(control, leastMean), Math.max(treated, leastMean)];
  const ratio = Math.log(one / other);
  if (ratio === 0) return null;
  const z = normalQuantile(1 - falseAlarm / 2) + normalQuantile(1 - overlooked);
  return Math.max(2, Math.ceil((z ** 2 * (1 / one + 1 / other + 2 / k)) / ratio ** 2));
}

/** A strip of a trial, in the order in which strips lie. */
export interface Strip {
  /** of neighbours, which are most alike; from 1 */
  readonly block: number;
  readonly treated: boolean;
}

/**
 * Strips of a trial side by side: in each pair of neighbours one is treated, and chance says which.
 *
 * Source: Fisher (1935), The Design of Experiments, ch. IV (randomised blocks).
 *
 * @param pairs - whole, 1 or more
 */
export function randomisedStrips(pairs: number, seed: number): Strip[] {
  const random = seededRandom(seed);
  return Array.from({ length: pairs }, (_, i) => i + 1).flatMap((block) => {
    const first = random() < 0.5;
    return [
      { block, treated: first },
      { block, treated: !first },
    ];
  });
}
