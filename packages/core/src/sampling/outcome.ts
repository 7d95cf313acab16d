import type { StopLines } from './stopLines.js';

/** Where samples from one true level end. */
export interface Outcome {
  /** the true level */
  readonly at: number;
  /** chance of "little enough": a point of the operating characteristic */
  readonly leave: number;
  /** plants that are looked at on average: a point of the average sample number */
  readonly expected: number;
}

/** Chances of seeing 0, 1, 2, … on one plant; what is left to 1 lies beyond the end. */
export type CountChances = readonly number[];

// Steps of the recursion for one true level: some milliseconds.
const mostWork = 1_000_000;

/**
 * Operating characteristic and average sample number at one true level, by recursion over the running total. A sample that reaches
 * `most` plants without crossing is decided by the nearer line.
 *
 * Exact where the lines lie close enough that a million steps do. Where they don't, counts are taken in equal steps: a count between two of them
 * is shared so that its mean stays, and the result is near the exact one (within 0.02 where both were worked out).
 *
 * Source: Aroian (1968), Technometrics 10:125–132 (the direct method).
 *
 * @param at - the true level, carried through
 * @param most - plants at which the sample is ended, 1 or more
 */
export function outcomeAt(lines: StopLines, at: number, chances: CountChances, most: number): Outcome {
  const step = stepFor(lines, chances, most);
  const counts = step === 1 ? chances : inSteps(chances, step);
  let [going, low] = [Float64Array.of(1), 0];
  let leave = 0;
  let expected = 0;
  for (let n = 1; n <= most && going.length > 0; n++) {
    const [act, enough] = [lines.act(n) / step, lines.leave(n) / step];
    const nextLow = Math.max(low, Math.floor(enough) + 1);
    const nextHigh = Math.min(Math.ceil(act) - 1, low + going.length + counts.length - 2);
    const next = new Float64Array(Math.max(0, nextHigh - nextLow + 1));
    for (let i = 0; i < going.length; i++) {
      const mass = going[i]!;
      if (mass === 0) continue;
      expected += mass;
      for (let seen = 0; seen < counts.length; seen++) {
        const total = low + i + seen;
        if (total >= act) break;
        if (total <= enough) leave += mass * counts[seen]!;
        else next[total - nextLow]! += mass * counts[seen]!;
      }
    }
    [going, low] = [next, nextLow];
  }
  const middle = (lines.act(most) + lines.leave(most)) / 2 / step;
  going.forEach((mass, i) => {
    if (low + i < middle) leave += mass;
  });
  return { at, leave, expected };
}

/** The smallest step of counts that keeps the recursion within its bound. */
function stepFor(lines: StopLines, chances: CountChances, most: number): number {
  const reach = most * (chances.length - 1) + 1;
  let widest = 0;
  for (let n = 1; n <= most; n++) widest = Math.max(widest, lines.act(n) - Math.max(0, lines.leave(n)));
  const totals = Math.min(widest, reach);
  const counts = Math.min(chances.length, widest);
  return Math.max(1, Math.ceil(Math.sqrt((totals * counts * most) / mostWork)));
}

function inSteps(chances: CountChances, step: number): CountChances {
  const shared = new Array<number>(Math.ceil(chances.length / step) + 1).fill(0);
  chances.forEach((chance, count) => {
    const below = Math.floor(count / step);
    const over = count / step - below;
    shared[below]! += chance * (1 - over);
    shared[below + 1]! += chance * over;
  });
  return shared;
}

/** One plant has it or not. @param share - in [0, 1] */
export const binomialChances = (share: number): CountChances => [1 - share, share];

/**
 * Chances of each count for a negative binomial, up to the count that one plant in ten thousand passes.
 *
 * Source: Bliss & Fisher (1953), Biometrics 9:176–200. In logarithms, since the chance of none can be smaller than any number.
 *
 * @param mean - 0 or more
 * @param k - clumping, above 0
 */
export function negativeBinomialChances(mean: number, k: number): CountChances {
  const enough = 0.9999;
  const most = 500_000;
  let log = -k * Math.log1p(mean / k);
  const chances = [Math.exp(log)];
  let sum = chances[0]!;
  for (let x = 1; sum < enough && x < most; x++) {
    log += Math.log(((k + x - 1) * mean) / (x * (k + mean)));
    chances.push(Math.exp(log));
    sum += chances[x]!;
  }
  return chances;
}
