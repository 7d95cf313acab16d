import type { ConditionFacts, Finding, SignFacts } from './knowledge.js';
import { frequencyTable, leakTable, leakUnderNever, misreadLeak } from './probabilityTable.js';

/**
 * Chance that a sign is seen under a set of causes: the leaky noisy-OR gate, 1 − (1 − leak) Π (1 − qᵢ).
 *
 * Each cause shows the sign on its own account; causes do not hinder each other. One addition: where a condition *never* shows the sign,
 * only a fifth of the leak stays, so that a sign which excludes a cause speaks against it and not merely not for it.
 *
 * Source: Pearl (1988), Probabilistic Reasoning in Intelligent Systems, §4.3.2; leak after Henrion (1989), UAI 3:161–173.
 *
 * @param causes - the conditions at work; may be empty
 * @param share - of each frequency and of the leak that counts, above 0 to 1
 * @param kin - signs that may have been told in this one's words
 * @returns probability, 0 to 1
 * @example
 * seenGiven(telling, []) // => 0.004 (the leak alone)
 */
export function seenGiven(sign: SignFacts, causes: readonly ConditionFacts[], share = 1, kin: Finding['kin'] = []): number {
  let leak = share * leakTable[sign.common];
  let unseen = 1;
  for (const cause of causes) {
    if (cause.signs[sign.id] === 'never') leak *= leakUnderNever;
    unseen *= 1 - share * shownBy(cause, sign.id, kin);
  }
  return 1 - (1 - leak) * unseen;
}

/** Chance that a cause shows a sign, or another that is told in its words, 0 to 1. */
export function shownBy({ signs }: ConditionFacts, sign: string, kin: Finding['kin'] = []): number {
  const chance = (id: string) => {
    const frequency = signs[id];
    return frequency === undefined ? 0 : frequencyTable[frequency];
  };
  return 1 - kin.reduce((none, other) => none * (1 - other.share * chance(other.sign)), 1 - chance(sign));
}

/**
 * Natural logarithm of the chance of one finding under a set of causes.
 *
 * A doubtful reading leaks more when it says "there". When it says "not there", each cause's claim to the sign counts for as much as the
 * reading is sure.
 */
export function logLikelihood({ state, sure = 1, kin }: Finding, sign: SignFacts, causes: readonly ConditionFacts[]): number {
  if (state === 'seen') return Math.log(1 - (1 - seenGiven(sign, causes, 1, kin)) * (1 - misreadLeak(sure)));
  return Math.log(1 - seenGiven(sign, causes, sure));
}
