import { bootstrapInterval, normalQuantile } from '../statistics/index.js';
import type { Bootstrap, Interval } from '../statistics/index.js';

/** What the cases of a group come to on average. */
export interface GroupMean {
  readonly mean: number;
  /** limits between which the mean lies nineteen times in twenty; `null` for fewer than four cases */
  readonly interval: Interval | null;
}

/** One group of cases beside another. */
export interface GroupDifference {
  /** mean of the one less that of the other, in their unit */
  readonly difference: number;
  readonly interval: Interval | null;
  readonly verdict: 'less' | 'more' | 'cannot-tell';
  /** where it can't be told: cases needed in each group before such a difference is seen; `null` where none would show it */
  readonly casesNeeded: number | null;
}

/** With fewer cases on a side than this, chance alone parts two groups wholly more often than once in twenty: 2 of the 20 ways to deal out 3 and 3. */
export const fewestCases = 4;

// A difference is wrongly seen once in twenty, and overlooked once in five.
const [falseAlarm, overlooked] = [0.05, 0.2];

const meanOf = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;

/**
 * The mean of a group with limits from drawn samples of its cases, one less than there are, so that few cases give wide limits.
 *
 * Source: Rao & Wu (1988), J. Am. Stat. Assoc. 83:231–241.
 *
 * @param values - one for each case, at least one
 * @throws RangeError without a value
 */
export function groupMean(values: readonly number[], bootstrap: Bootstrap = {}): GroupMean {
  if (values.length === 0) throw new RangeError('groupMean requires at least one value');
  const interval = values.length >= fewestCases ? bootstrapInterval((random) => drawnMean(values, random), bootstrap) : undefined;
  return { mean: meanOf(values), interval: interval ?? null };
}

/**
 * Two groups of cases side by side: this year and last, one way to treat and another, place and place. They were not dealt out by lot, so that a
 * difference has whatever cause went with the groups.
 *
 * @param one - a number for each case, such as mean severity in percent
 * @throws RangeError where a group has none
 */
export function compareGroups(one: readonly number[], other: readonly number[], bootstrap: Bootstrap = {}): GroupDifference {
  if (one.length === 0 || other.length === 0) throw new RangeError('compareGroups requires a value on either side');
  const difference = meanOf(one) - meanOf(other);
  const isTellable = one.length >= fewestCases && other.length >= fewestCases;
  const interval = (isTellable && bootstrapInterval((random) => drawnMean(one, random) - drawnMean(other, random), bootstrap)) || null;
  const verdict = !interval ? 'cannot-tell' : interval[1] < 0 ? 'less' : interval[0] > 0 ? 'more' : 'cannot-tell';
  return { difference, interval, verdict, casesNeeded: verdict === 'cannot-tell' ? casesNeeded(one, other, difference) : null };
}

function drawnMean(values: readonly number[], random: () => number): number {
  const drawn = values.length - 1;
  let sum = 0;
  for (let i = 0; i < drawn; i++) sum += values[Math.floor(random() * values.length)]!;
  return sum / drawn;
}

/** n = 2 (z₁ + z₂)² s² / d² on each side: two means with one scatter. Source: Snedecor & Cochran (1967), Statistical Methods, 6th ed., § 4.13. */
function casesNeeded(one: readonly number[], other: readonly number[], difference: number): number | null {
  const free = one.length + other.length - 2;
  if (difference === 0 || free === 0) return null;
  const squares = (values: readonly number[]) => values.reduce((sum, value) => sum + (value - meanOf(values)) ** 2, 0);
  const variance = (squares(one) + squares(other)) / free;
  const z = normalQuantile(1 - falseAlarm / 2) + normalQuantile(1 - overlooked);
  return Math.max(fewestCases, Math.ceil((2 * z ** 2 * variance) / difference ** 2));
}
