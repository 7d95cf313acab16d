import type { ConditionFacts, SignFacts } from './knowledge.js';
import { seenGiven } from './noisyOr.js';

/** One sign and how often each of two conditions shows it. */
export interface TellingSign {
  readonly sign: string;
  /** chance that it is seen under the first, 0 to 1 */
  readonly first: number;
  /** chance that it is seen under the second, 0 to 1 */
  readonly second: number;
}

/**
 * The signs on which two conditions differ, those that tell most first.
 *
 * Each sign's worth is the difference of its two chances: the total variation distance between the two answers to "is it there?". A pair with
 * no difference of a half can't be told apart by any one look.
 *
 * @param signs - every sign that may be looked for, by its id
 * @returns signs that at least one of the two shows or excludes, by falling difference
 * @example
 * separation(rust, mildew, signs)[0] // => { sign: 'rust-pustules', first: 0.93, second: 0.004 }
 */
export function separation(first: ConditionFacts, second: ConditionFacts, signs: ReadonlyMap<string, SignFacts>): TellingSign[] {
  const named = new Set([...Object.keys(first.signs), ...Object.keys(second.signs)]);
  return [...named]
    .flatMap((id) => signs.get(id) ?? [])
    .map((sign) => ({ sign: sign.id, first: seenGiven(sign, [first]), second: seenGiven(sign, [second]) }))
    .sort((a, b) => differenceOf(b) - differenceOf(a));
}

/** How far apart two conditions are on one sign, 0 to 1. */
export const differenceOf = ({ first, second }: TellingSign): number => Math.abs(first - second);
