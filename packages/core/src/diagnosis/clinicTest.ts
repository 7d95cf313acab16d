/** One test of a plant clinic for one condition, with its quality. */
export interface ClinicTest {
  readonly condition: string;
  readonly result: 'positive' | 'negative';
  /** chance of a positive where the condition is at work, 0 to 1 */
  readonly sensitivity: number;
  /** chance of a negative where it is not, 0 to 1 */
  readonly specificity: number;
}

// No test is so good that its word is final.
const surest = 0.9999;

/**
 * How many times the odds of a condition are multiplied by a test's result: sensitivity / (1 − specificity) for a positive,
 * (1 − sensitivity) / specificity for a negative. Sensitivity and specificity of 1 are taken as 0.9999.
 *
 * Source: Altman & Bland (1994), BMJ 309:102 (predictive values by Bayes' theorem).
 *
 * @example
 * likelihoodRatio({ result: 'positive', sensitivity: 0.9, specificity: 0.95 }) // => 18
 * likelihoodRatio({ result: 'negative', sensitivity: 0.9, specificity: 0.95 }) // => 0.105
 */
export function likelihoodRatio({ result, sensitivity, specificity }: Omit<ClinicTest, 'condition'>): number {
  const [hit, clear] = [Math.min(sensitivity, surest), Math.min(specificity, surest)];
  return result === 'positive' ? hit / (1 - clear) : (1 - hit) / clear;
}

/**
 * The chance of a condition once a test of it is back, all else left as it is.
 *
 * @param chance - before the test, 0 to 1
 * @returns 0 to 1
 * @throws RangeError if the chance lies outside 0 to 1
 * @example
 * chanceAfter(0.5, { result: 'positive', sensitivity: 0.9, specificity: 0.95 }) // => 0.947
 * chanceAfter(0, { result: 'positive', sensitivity: 0.9, specificity: 0.95 })   // => 0
 */
export function chanceAfter(chance: number, test: Omit<ClinicTest, 'condition'>): number {
  if (!(chance >= 0 && chance <= 1)) throw new RangeError(`chanceAfter requires a chance from 0 to 1, got ${chance}`);
  const weight = chance * likelihoodRatio(test);
  return weight / (weight + 1 - chance);
}
