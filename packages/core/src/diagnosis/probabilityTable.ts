import type { ConditionFacts, Frequency, SignFacts } from './knowledge.js';

/**
 * Chance that a condition shows a sign to somebody who looks for it.
 *
 * Our own calibration of five words, kept in this one table: each step is about half the odds or less of the one before. "Always" stops
 * short of one, since a sign may be missed or may not have come yet. How people read such words varies widely; for surveys see
 * Mosteller & Youtz (1990), Statistical Science 5:2–12.
 */
export const frequencyTable: Readonly<Record<Frequency, number>> = { always: 0.93, often: 0.69, sometimes: 0.35, seldom: 0.1, never: 0 };

/** Chance that a sign is reported although no cause in the library made it (the leak of the noisy-OR gate). */
export const leakTable: Readonly<Record<SignFacts['common'], number>> = { everywhere: 0.08, 'now-and-then': 0.02, telling: 0.004 };

/** Chance that a condition is at work on a plant that somebody worries about, before host, season and setting are counted. */
export const commonnessTable: Readonly<Record<ConditionFacts['common'], number>> = { common: 0.04, occasional: 0.015, rare: 0.004 };

/** How much of the leak is left where a condition that never shows the sign is at work. */
export const leakUnderNever = 0.2;

// How often a sign, any sign, is there on a plant that somebody describes.
const anySign = 0.06;

/**
 * Chance that words which were taken for a sign are there without it, over the chance that they are there with it: an additional leak.
 *
 * By Bayes' rule (1 − sure) / sure × π / (1 − π), where π is how often a sign is there. Source: Pearl (1988), §2.3.3 (virtual evidence).
 *
 * @param sure - chance that the sign was meant, above 0 to 1
 * @example
 * misreadLeak(1)   // => 0
 * misreadLeak(0.5) // => 0.064
 */
export const misreadLeak = (sure: number): number => Math.min(1, ((1 - sure) / sure) * (anySign / (1 - anySign)));
