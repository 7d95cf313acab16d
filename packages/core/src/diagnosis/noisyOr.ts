import type { ConditionFacts, Finding, SignFacts } from './knowledge.js';
import { frequencyTable, leakTable, leakUnderNever } from './probabilityTable.js';

/**
 * Chance that a sign is seen under a set of causes: the leaky noisy-OR gate, 1 − (1 − leak) Π (1 − qᵢ).
 *
 * Each cause shows the sign on its own account; causes do not hinder each other. One addition: where a condition *never* shows the sign,
 * only a fifth of the leak stays, so that a sign which excludes a cause speaks against it and not merely not for it.
 *
 * Source: Pearl (1988), Probabilistic Reasoning in Intelligent Systems, §4.3.2; leak after Henrion (1989), UAI 3:161–173.
 *
 * @param causes - the conditions at work; may be empty
 * @returns probability, 0 to 1
 * @example
 * seenGiven(telling, []) // => 0.004 (the leak alone)
 */
export function seenGiven(sign: SignFacts, causes: readonly ConditionFacts[]): number {
  let leak = leakTable[sign.common];
  let unseen = 1;
  for (const cause of causes) {
    const frequency = cause.signs[sign.id];
    if (frequency === undefined) continue;
    if (frequency === 'never') leak *= leakUnderNever;
    else unseen *= 1 - frequencyTable[frequency];
  }
  return 1 - (1 - leak) * unseen;
}

/** Natural logarithm of the chance of one finding under a set of causes. */
export function logLikelihood(finding: Finding, sign: SignFacts, causes: readonly ConditionFacts[]): number {
  const seen = seenGiven(sign, causes);
  return Math.log(finding.state === 'seen' ? seen : 1 - seen);
}
