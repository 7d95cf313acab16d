import type { ConditionFacts, Finding, SignFacts } from './knowledge.js';
import { logLikelihood } from './noisyOr.js';
import type { Candidate } from './candidates.js';

/** One finding and how hard it speaks for (above 0) or against (below 0) a condition. */
export interface Evidence {
  readonly sign: string;
  readonly state: Finding['state'];
  readonly decibans: number;
}

/**
 * Weight of evidence that each finding gives a condition against its rivals, in decibans: 10 · log₁₀ (P(finding | condition) / P(finding | not it)).
 *
 * "Not it" is the mean over the other candidates, weighted by their prior odds. Ten decibans make the odds ten times as high; one deciban
 * is about the least that a person notices. What each finding means to all candidates is worked out once, for whichever conditions are asked
 * about.
 *
 * Source: Good (1950), Probability and the Weighing of Evidence, ch. 6.
 *
 * @returns for a condition, its evidence, strongest first by size, below 0 for evidence against
 */
export function evidenceAmong(
  candidates: readonly Candidate[],
  findings: readonly Finding[],
  signs: ReadonlyMap<string, SignFacts>,
): (condition: ConditionFacts) => Evidence[] {
  const most = candidates.reduce((so, { priorLogOdds }) => Math.max(so, priorLogOdds), -Infinity);
  const weights = candidates.map(({ priorLogOdds }) => Math.exp(priorLogOdds - most));
  const mass = weights.reduce((sum, weight) => sum + weight, 0);
  const places = new Map(candidates.map(({ condition }, i) => [condition.id, i]));
  const known = findings.flatMap((finding) => {
    const sign = signs.get(finding.sign);
    if (!sign) return [];
    const chances = candidates.map(({ condition }) => Math.exp(logLikelihood(finding, sign, [condition])));
    return [{ finding, sign, chances, mean: chances.reduce((sum, chance, i) => sum + chance * weights[i]!, 0) }];
  });
  return (condition) => {
    const i = places.get(condition.id);
    const own = i === undefined ? 0 : weights[i]!;
    return known
      .map(({ finding, sign, chances, mean }) => {
        const chance = i === undefined ? Math.exp(logLikelihood(finding, sign, [condition])) : chances[i]!;
        const rivals = mass - own;
        const others = rivals > 0 ? (mean - own * (i === undefined ? 0 : chance)) / rivals : Math.exp(logLikelihood(finding, sign, []));
        return { sign: finding.sign, state: finding.state, decibans: 10 * Math.log10(chance / others) };
      })
      .sort((a, b) => Math.abs(b.decibans) - Math.abs(a.decibans));
  };
}
