import type { Guess } from './agreement.js';

/** What an eye that has been tried is likely to have seen. */
export interface CorrectedEye {
  /** what was there, percent, most likely */
  readonly percent: number;
  /** eight of ten times it is between these, percent */
  readonly low: number;
  readonly high: number;
  /** is the difference more than chance would make of so few guesses? */
  readonly isTold: boolean;
}

/** An eye whose guesses are known. */
export interface TriedEye {
  /** points that it says too much (above 0) or too little where so much is there, percent */
  biasAt(truth: number): number;
  /** what was there when it says this, percent */
  corrected(guess: number): CorrectedEye;
}

/** Guesses below this are too few to correct by. */
export const fewestGuesses = 12;
// Over this much of the scale from none to all, guesses speak for each other: half of them within a tenth of the leaf at low damage.
const reach = 0.16;
const eightOfTen = 1.2816;
const step = 1;

/** Scale on which a percentage scatters about alike at both ends: the angle whose sine is its root (Fisher). */
const angleOf = (percent: number) => Math.asin(Math.sqrt(Math.min(100, Math.max(0, percent)) / 100));

interface Local {
  readonly bias: number;
  readonly scatter: number;
  readonly doubt: number;
}

/**
 * Learn from guesses at known damage what an eye sees when it says a number.
 *
 * The bias is a smooth curve over what was there: at each place a straight line through the misses, near ones counting more (local linear
 * regression in points, with Gaussian weights of the distance on the angular scale). It is then read backwards, from what is said to what was there, as an instrument is
 * calibrated; so what was drilled most does not pull the answer towards itself. Outside the range that was drilled the curve stays level.
 *
 * Source: local lines, Cleveland (1979), J. Am. Stat. Assoc. 74:829–836; calibration, Osborne (1991), Int. Stat. Rev. 59:309–336.
 *
 * @param guesses - percent, those that still tell how the eye is today
 * @returns nothing below {@link fewestGuesses}
 */
export function triedEye(guesses: readonly Guess[]): TriedEye | undefined {
  if (guesses.length < fewestGuesses) return undefined;
  const misses = guesses.map(({ truth, guess }) => ({ truth, miss: guess - truth }));
  const [first, last] = [Math.min(...misses.map(({ truth }) => truth)), Math.max(...misses.map(({ truth }) => truth))];
  const localAt = (truth: number) => local(misses, Math.min(last, Math.max(first, truth)));
  let curve: ((said: number) => number) | undefined;
  // Read only where something is corrected.
  const said = (guess: number) => (curve ??= risingCurve((truth) => truth + localAt(truth).bias))(guess);
  return {
    biasAt: (truth) => localAt(truth).bias,
    corrected: (guess) => {
      const percent = said(guess);
      const { bias, scatter, doubt } = localAt(percent);
      const wide = eightOfTen * Math.hypot(scatter, doubt);
      return { percent, low: said(guess - wide), high: said(guess + wide), isTold: Math.abs(bias) > eightOfTen * doubt };
    },
  };
}

function local(misses: readonly { readonly truth: number; readonly miss: number }[], at: number): Local {
  const weighed = misses.map(({ truth, miss }) => ({
    away: truth - at,
    miss,
    weight: Math.exp(-0.5 * ((angleOf(truth) - angleOf(at)) / reach) ** 2),
  }));
  const sum = (of: (one: (typeof weighed)[number]) => number) => weighed.reduce((total, one) => total + one.weight * of(one), 0);
  const [all, s1, s2] = [sum(() => 1), sum(({ away }) => away), sum(({ away }) => away ** 2)];
  const [m0, m1] = [sum(({ miss }) => miss), sum(({ away, miss }) => away * miss)];
  const spread = all * s2 - s1 ** 2;
  // Where all guesses are of one damage there is no line, only a mean.
  const isLine = spread > 1e-9 * all ** 2;
  const bias = isLine ? (s2 * m0 - s1 * m1) / spread : m0 / all;
  const slope = isLine ? (all * m1 - s1 * m0) / spread : 0;
  const scatter = Math.sqrt(sum(({ away, miss }) => (miss - bias - slope * away) ** 2) / all);
  // What weight each guess has in the line's height here; the doubt follows from the sum of their squares.
  const pull = weighed.reduce((total, { away, weight }) => {
    const share = isLine ? (weight * (s2 - s1 * away)) / spread : weight / all;
    return total + share ** 2;
  }, 0);
  return { bias, scatter, doubt: scatter * Math.sqrt(pull) };
}

/** Read a curve over 0 to 100 backwards; where it falls, it is held level first. */
function risingCurve(curve: (truth: number) => number): (said: number) => number {
  let highest = -Infinity;
  const points = Array.from({ length: 100 / step + 1 }, (_, i) => {
    highest = Math.max(highest, curve(i * step));
    return { truth: i * step, said: highest };
  });
  return (said) => {
    const above = points.findIndex((point) => point.said >= said);
    if (above === 0) return 0;
    if (above < 0) return 100;
    const [under, over] = [points[above - 1]!, points[above]!];
    return under.truth + (step * (said - under.said)) / (over.said - under.said);
  };
}
