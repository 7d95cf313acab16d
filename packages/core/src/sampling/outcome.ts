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

/**
 * Operating characteristic and average sample number at one true level, exact by recursion over the running total. A sample that reaches
 * `most` plants without crossing is decided by the nearer line.
 *
 * Source: Aroian (1968), Technometrics 10:125–132 (the direct method).
 *
 * @param at - the true level, carried through
 * @param most - plants at which the sample is ended, 1 or more
 */
export function outcomeAt(lines: StopLines, at: number, chances: CountChances, most: number): Outcome {
  let going = new Map([[0, 1]]);
  let leave = 0;
  let expected = 0;
  for (let n = 1; n <= most && going.size > 0; n++) {
    const [act, low] = [lines.act(n), lines.leave(n)];
    const next = new Map<number, number>();
    for (const [total, mass] of going) {
      expected += mass;
      for (let seen = 0; seen < chances.length && total + seen < act; seen++) {
        const part = mass * chances[seen]!;
        if (total + seen <= low) leave += part;
        else next.set(total + seen, (next.get(total + seen) ?? 0) + part);
      }
    }
    going = next;
  }
  const middle = (lines.act(most) + lines.leave(most)) / 2;
  for (const [total, mass] of going) if (total < middle) leave += mass;
  return { at, leave, expected };
}

/** One plant has it or not. @param share - in [0, 1] */
export const binomialChances = (share: number): CountChances => [1 - share, share];

/**
 * Chances of each count for a negative binomial.
 *
 * Source: Bliss & Fisher (1953), Biometrics 9:176–200.
 *
 * @param mean - 0 or more
 * @param k - clumping, above 0
 */
export function negativeBinomialChances(mean: number, k: number): CountChances {
  const enough = 0.9999;
  const most = 2000;
  const chances = [(1 + mean / k) ** -k];
  let sum = chances[0]!;
  for (let x = 1; sum < enough && x < most; x++) {
    chances.push((chances[x - 1]! * (k + x - 1) * mean) / (x * (k + mean)));
    sum += chances[x]!;
  }
  return chances;
}
