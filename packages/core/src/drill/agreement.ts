/** What was there, and what was said of it. */
export interface Guess {
  readonly truth: number;
  readonly guess: number;
}

/** How well guesses agree with what was there. */
export interface Agreement {
  readonly guesses: number;
  /** how much too high (above 0) or too low the guesses are on the average, in their own unit */
  readonly bias: number;
  /** standard deviation of the misses about that bias */
  readonly scatter: number;
  /** Lin's concordance, −1 to 1, where 1 is every guess right; none while all guesses or all truths are the same */
  readonly concordance: number | null;
  /** nineteen of twenty such series have a concordance between these; none below four guesses */
  readonly interval: readonly [low: number, high: number] | null;
  /** its two parts: how close to a line (Pearson's r), and how close that line is to the right one (0 to 1) */
  readonly precision: number | null;
  readonly accuracy: number | null;
}

const fewest = 4;
const nineteenOfTwenty = 1.959964;

/**
 * Bias, scatter and Lin's concordance of guesses.
 *
 * Concordance is 2 s_xy / (s_x² + s_y² + (x̄ − ȳ)²), moments with 1/n; its interval goes through Fisher's z.
 *
 * Source: Lin (1989), Biometrics 45:255–268, with the correction of Lin (2000), Biometrics 56:324–325.
 *
 * @returns nothing before the first guess
 */
export function agreement(guesses: readonly Guess[]): Agreement | null {
  const n = guesses.length;
  if (n === 0) return null;
  const mean = (of: (one: Guess) => number) => guesses.reduce((sum, one) => sum + of(one), 0) / n;
  const [truth, said] = [mean((one) => one.truth), mean((one) => one.guess)];
  const bias = said - truth;
  const scatter = n < 2 ? 0 : Math.sqrt((mean((one) => (one.guess - one.truth - bias) ** 2) * n) / (n - 1));
  const plain = { guesses: n, bias, scatter, concordance: null, interval: null, precision: null, accuracy: null };
  const [spreadTruth, spreadSaid] = [mean((one) => (one.truth - truth) ** 2), mean((one) => (one.guess - said) ** 2)];
  if (!(spreadTruth > 0 && spreadSaid > 0)) return plain;
  const together = mean((one) => (one.truth - truth) * (one.guess - said));
  const concordance = (2 * together) / (spreadTruth + spreadSaid + bias ** 2);
  const precision = together / Math.sqrt(spreadTruth * spreadSaid);
  const accuracy = precision === 0 ? null : concordance / precision;
  const shift = bias ** 2 / Math.sqrt(spreadTruth * spreadSaid);
  return { ...plain, concordance, precision, accuracy, interval: n < fewest ? null : intervalOf(concordance, precision, shift, n) };
}

/** @param shift - square of the bias over the product of both standard deviations */
function intervalOf(c: number, r: number, shift: number, n: number): readonly [number, number] | null {
  if (Math.abs(c) >= 1 || r === 0) return null;
  const free = 1 - c ** 2;
  const variance =
    (((1 - r ** 2) * c ** 2) / (free * r ** 2) +
      (2 * c ** 3 * (1 - c) * shift) / (r * free ** 2) -
      (c ** 4 * shift ** 2) / (2 * r ** 2 * free ** 2)) /
    (n - 2);
  const reach = nineteenOfTwenty * Math.sqrt(Math.max(0, variance));
  return [Math.tanh(Math.atanh(c) - reach), Math.tanh(Math.atanh(c) + reach)];
}
