import type { Grade } from './schedule.js';

/** A guess of a percentage: within two points, or a tenth of it, is at once; within five or a quarter well; within ten or half of it just so. */
export function gradeOfPercent(truth: number, guess: number): Grade {
  const miss = Math.abs(guess - truth);
  if (miss <= Math.max(2, truth * 0.1)) return 'easy';
  if (miss <= Math.max(5, truth * 0.25)) return 'good';
  if (miss <= Math.max(10, truth * 0.5)) return 'hard';
  return 'again';
}

/** A count: within a tenth or one animal is at once, within a quarter well, within a half just so. */
export function gradeOfCount(truth: number, guess: number): Grade {
  const miss = Math.abs(guess - truth);
  if (miss <= Math.max(1, truth * 0.1)) return 'easy';
  if (miss <= Math.max(1, truth * 0.25)) return 'good';
  if (miss <= Math.max(2, truth * 0.5)) return 'hard';
  return 'again';
}

const atOnceS = 4;

/** One of a few answers: right within four seconds is at once. */
export const gradeOfChoice = (isRight: boolean, seconds: number): Grade => (!isRight ? 'again' : seconds <= atOnceS ? 'easy' : 'good');

/** Looks that led to a name: the right name with nine tenths of the bits that the best looks would have told is at once, seven tenths well. */
export function gradeOfLooks(isRight: boolean, bits: number, bestBits: number): Grade {
  if (!isRight) return 'again';
  const share = bestBits > 0 ? bits / bestBits : 1;
  return share >= 0.9 ? 'easy' : share >= 0.7 ? 'good' : 'hard';
}
