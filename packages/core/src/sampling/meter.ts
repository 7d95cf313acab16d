import { damageLines } from './confidenceLines.js';
import { looksToDetect } from './detection.js';
import { follow, moreToEnd } from './stopLines.js';
import type { SampleDecision, StopLines } from './stopLines.js';
import { binomialLines, negativeBinomialLines } from './waldLines.js';

/** What a threshold is counted in. `any`: one plant is too many. */
export type ThresholdMeasure =
  'any' | 'plants-percent' | 'count-per-plant' | 'count-per-leaf' | 'count-per-m2' | 'count-per-minute' | 'leaf-percent';

/** A level at which it pays to act. */
export interface Level {
  readonly measure: ThresholdMeasure;
  /** percent or count by the measure; `any` does not look at it */
  readonly act: number;
}

/** What the meter says after some plants. */
export interface MeterReading {
  readonly decision: SampleDecision;
  /** plants looked at when it was decided, or so far */
  readonly n: number;
  /** what the plants so far show on average: percent of plants, count or percent of leaf */
  readonly mean: number;
  /** further plants that end it if each is clean; none when it is decided */
  readonly moreIfClean: number | null;
  /** whether it was decided by having looked at every plant */
  readonly all: boolean;
}

// One in ten either way: scouting decides again in a week, so a wrong one is soon mended (Binns, Nyrop & van der Werf 2000).
const rates = { alpha: 0.1, beta: 0.1 };
// Half the threshold is called little enough.
const leaveShare = 0.5;
// Clumping of small pests on plants, where nothing better is known (Taylor 1984: most lie between 0.5 and 2).
const usualK = 1;
// "It is not here": found with 95 % if one plant in ten had it and eyes found it on eight in ten of those.
const absence = { share: 0.1, sensitivity: 0.8, confidence: 0.95 };
// No gardener looks at more in one stop.
const patience = 100;

/** The stop lines of a level; for `any` the first find decides, and enough clean plants do. */
export function meterLines({ measure, act }: Level, plants: number): StopLines {
  if (measure === 'any') {
    const enough = looksToDetect({ ...absence, plants });
    return { act: () => 1, leave: (n) => (n >= enough ? 0 : -1) };
  }
  if (measure === 'plants-percent') {
    const share = Math.min(act, 98) / 100;
    return binomialLines(share * leaveShare, share, rates);
  }
  if (measure === 'leaf-percent') return damageLines(act, rates.alpha * 2);
  return negativeBinomialLines(act * leaveShare, act, usualK, rates);
}

/**
 * "Enough: act", "enough: leave" or "look at more", after looking at some plants of a planting.
 *
 * Few plants are counted out: when all have been looked at, the mean itself decides. Error rates are one in ten either way.
 *
 * @param seen - one value per plant in the order of looking: 1 or 0 (`any`, `plants-percent`), a count, or percent of leaf
 * @param plants - how many there are, 1 or more
 */
export function readMeter(level: Level, seen: readonly number[], plants: number): MeterReading {
  const share = level.measure === 'any' || level.measure === 'plants-percent';
  const mean = (seen.reduce((sum, value) => sum + value, 0) / Math.max(1, seen.length)) * (share ? 100 : 1);
  const lines = meterLines(level, plants);
  const state = follow(lines, seen);
  if (state.decision !== 'continue') return { decision: state.decision, n: state.n, mean, moreIfClean: null, all: false };
  const most = Math.min(plants, patience);
  if (seen.length >= most) {
    const tooMuch = level.measure === 'any' ? mean > 0 : mean >= level.act;
    return { decision: tooMuch ? 'act' : 'leave', n: seen.length, mean, moreIfClean: null, all: seen.length >= plants };
  }
  const left = most - seen.length;
  return { decision: 'continue', n: seen.length, mean, moreIfClean: moreToEnd(lines, state, 0, left) ?? left, all: false };
}
