import { logSumExp } from '../statistics/logSumExp.js';
import type { ConditionFacts, Finding, SignFacts } from './knowledge.js';
import { logLikelihood } from './noisyOr.js';
import type { Candidate } from './candidates.js';

/** One finding and how hard it speaks for (above 0) or against (below 0) a condition. */
export interface Evidence {
  readonly sign: string;
  readonly state: Finding['state'];
  readonly decibans: number;
}

const decibansPerNat = 10 / Math.LN10;

/**
 * Weight of evidence that each finding gives a condition against its rivals, in decibans: 10 · log₁₀ (P(finding | condition) / P(finding | not it)).
 *
 * "Not it" is the mean over the other candidates, weighted by their prior odds. Ten decibans make the odds ten times as high; one deciban
 * is about the least that a person notices.
 *
 * Source: Good (1950), Probability and the Weighing of Evidence, ch. 6.
 *
 * @returns strongest first by size, below 0 for evidence against
 */
export function evidenceFor(
  condition: ConditionFacts,
  candidates: readonly Candidate[],
  findings: readonly Finding[],
  signs: ReadonlyMap<string, SignFacts>,
): Evidence[] {
  const rivals = candidates.filter((candidate) => candidate.condition.id !== condition.id);
  const rivalMass = logSumExp(rivals.map(({ priorLogOdds }) => priorLogOdds));
  return findings
    .flatMap((finding) => {
      const sign = signs.get(finding.sign);
      if (!sign) return [];
      const own = logLikelihood(finding, sign, [condition]);
      const others =
        rivals.length === 0
          ? logLikelihood(finding, sign, [])
          : logSumExp(rivals.map((rival) => rival.priorLogOdds - rivalMass + logLikelihood(finding, sign, [rival.condition])));
      return [{ sign: finding.sign, state: finding.state, decibans: (own - others) * decibansPerNat }];
    })
    .sort((a, b) => Math.abs(b.decibans) - Math.abs(a.decibans));
}
