import { candidatesFor } from './candidates.js';
import type { Circumstances, Finding, Knowledge } from './knowledge.js';
import { logLikelihood } from './noisyOr.js';

/**
 * The cause that explains what was found best when one cause alone is at work, and its chance among the causes that could be.
 *
 * @param findings - those of signs that `knowledge` does not hold are passed over
 * @returns nothing where the library knows no cause for this host
 */
export function likeliestAlone(
  { conditions, signs }: Knowledge,
  circumstances: Circumstances,
  findings: readonly Finding[],
): { readonly condition: string; readonly probability: number } | undefined {
  const known = new Map(signs.map((sign) => [sign.id, sign]));
  const observed = findings.flatMap((finding) => {
    const sign = known.get(finding.sign);
    return sign ? [{ finding, sign }] : [];
  });
  const weights = candidatesFor(conditions, circumstances, findings).map(({ condition, priorLogOdds }) => ({
    condition: condition.id,
    log: observed.reduce((sum, { finding, sign }) => sum + logLikelihood(finding, sign, [condition]), priorLogOdds),
  }));
  if (weights.length === 0) return undefined;
  const best = weights.reduce((most, one) => (one.log > most.log ? one : most));
  return { condition: best.condition, probability: 1 / weights.reduce((sum, { log }) => sum + Math.exp(log - best.log), 0) };
}
