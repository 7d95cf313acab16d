import { iwaoLines, iwaoVariance } from './confidenceLines.js';
import { detectionChance, looksToDetect } from './detection.js';
import { binomialChances, negativeBinomialChances, outcomeAt } from './outcome.js';
import type { CountChances, Outcome } from './outcome.js';
import { follow } from './stopLines.js';
import type { SampleDecision, StopLines } from './stopLines.js';
import { binomialLines, negativeBinomialLines } from './waldLines.js';

/** A question about a sample. Which fields each test needs stands at `sample`. */
export interface SampleQuestion {
  readonly test: 'binomial' | 'negative-binomial' | 'iwao' | 'freedom';
  readonly p0?: number | undefined;
  readonly p1?: number | undefined;
  readonly alpha?: number | undefined;
  readonly beta?: number | undefined;
  readonly k?: number | undefined;
  readonly a?: number | undefined;
  readonly b?: number | undefined;
  readonly sensitivity?: number | undefined;
  readonly plants?: number | undefined;
  readonly seen: readonly number[];
}

/** A point of a stop line: the running total after n plants. */
export interface LinePoint {
  readonly n: number;
  readonly total: number;
}

export interface SampleAnswer {
  readonly decision: SampleDecision;
  readonly n: number;
  readonly total: number;
  readonly lines: { readonly act: LinePoint[]; readonly leave: LinePoint[] };
  /** operating characteristic and expected number, over true levels; for `freedom` the chance to have found it, over shares */
  readonly curves: { readonly points: Outcome[] };
}

const usual = { alpha: 0.1, beta: 0.1, k: 1, a: 0, b: 1.5, sensitivity: 0.9, share: 0.05 };
const usualMost = 100;
const curvePoints = 21;

/**
 * Judge a sample by one of four tests, and show what the test is worth.
 *
 * - `binomial`: seen 1 or 0; p0, p1 shares (0.1 and 0.3 if left out)
 * - `negative-binomial`: seen counts; p0, p1 mean counts (needed), k clumping (1)
 * - `iwao`: seen counts; p1 the critical mean (needed), a and b of the mean-crowding line (0, 1.5), alpha two-sided
 * - `freedom`: seen 1 or 0; p1 the share it would have if there (0.05), sensitivity (0.9), confidence 1 − alpha
 *
 * `plants` is how many there are, at which the sample ends (100 if left out).
 *
 * @throws RangeError that names the field and what is allowed
 */
export function sample(question: SampleQuestion): SampleAnswer {
  const most = Math.max(1, Math.min(question.plants ?? usualMost, 1000), question.seen.length);
  const { lines, levels, chances } = testOf(question);
  if (question.test === 'binomial' || question.test === 'freedom')
    for (const value of question.seen)
      if (value !== 0 && value !== 1) throw new RangeError(`sample: seen holds 1 or 0 in a ${question.test} test, got ${value}`);
  const { decision, n, total } = follow(lines, question.seen);
  const all = decision === 'continue' && question.plants !== undefined && question.seen.length >= question.plants;
  const middle = (lines.act(Math.max(1, n)) + lines.leave(Math.max(1, n))) / 2;
  const steps = Array.from({ length: most }, (_, i) => i + 1);
  return {
    decision: all ? (total >= middle ? 'act' : 'leave') : decision,
    n,
    total,
    lines: { act: steps.map((n) => ({ n, total: lines.act(n) })), leave: steps.map((n) => ({ n, total: lines.leave(n) })) },
    curves: { points: levels.map((at) => outcomeAt(lines, at, chances(at), most)) },
  };
}

interface Test {
  readonly lines: StopLines;
  /** true levels over which the curves are drawn */
  readonly levels: readonly number[];
  readonly chances: (level: number) => CountChances;
}

function testOf({
  test,
  p0,
  p1,
  alpha = usual.alpha,
  beta = usual.beta,
  k = usual.k,
  a = usual.a,
  b = usual.b,
  ...rest
}: SampleQuestion): Test {
  const upTo = (top: number) => Array.from({ length: curvePoints }, (_, i) => (top * i) / (curvePoints - 1));
  if (test === 'binomial') {
    const [low, high] = [p0 ?? 0.1, p1 ?? 0.3];
    return { lines: binomialLines(low, high, { alpha, beta }), levels: upTo(Math.min(1, high * 2)), chances: binomialChances };
  }
  if (test === 'freedom') {
    const [share, sensitivity] = [p1 ?? usual.share, rest.sensitivity ?? usual.sensitivity];
    const enough = looksToDetect({ share, sensitivity, confidence: 1 - alpha, plants: rest.plants });
    return {
      lines: { act: () => 1, leave: (n) => (n >= enough ? 0 : -1) },
      levels: upTo(Math.min(1, share * 2)),
      chances: (level) => binomialChances(detectionChance(1, level, sensitivity)),
    };
  }
  if (p1 === undefined) throw new RangeError(`sample: p1 is needed in a ${test} test`);
  if (test === 'iwao') {
    const crowding = { a, b };
    return {
      lines: iwaoLines(p1, crowding, alpha),
      levels: upTo(p1 * 2),
      chances: (level) => clumped(level, level === 0 ? 0 : iwaoVariance(level, crowding)),
    };
  }
  if (p0 === undefined) throw new RangeError('sample: p0 is needed in a negative-binomial test');
  return {
    lines: negativeBinomialLines(p0, p1, k, { alpha, beta }),
    levels: upTo(p1 * 2),
    chances: (level) => negativeBinomialChances(level, k),
  };
}

/** Counts of a mean and variance: a negative binomial by moments, nearly Poisson where the variance is no larger than the mean. */
function clumped(mean: number, variance: number): CountChances {
  const nearlyPoisson = 1e4;
  return negativeBinomialChances(mean, variance > mean ? mean ** 2 / (variance - mean) : nearlyPoisson);
}
