import { logSumExp } from '../statistics/logSumExp.js';
import type { Circumstances, ConditionFacts, Finding, Knowledge, SignFacts } from './knowledge.js';
import { logLikelihood } from './noisyOr.js';
import { frequencyTable, leakTable, leakUnderNever } from './probabilityTable.js';
import { priorLogOdds, susceptibility } from './prior.js';
import type { PriorFactor } from './prior.js';

/** A condition that could be at work here, with its prior. */
export interface Candidate {
  readonly condition: ConditionFacts;
  readonly priorLogOdds: number;
  readonly factors: readonly PriorFactor[];
}

/** A set of causes and its share of belief. An empty set stands for a cause that the library does not hold. */
export interface CauseSet {
  readonly causes: readonly ConditionFacts[];
  readonly probability: number;
}

export interface Posterior {
  readonly candidates: readonly Candidate[];
  /** most likely first; probabilities sum to one */
  readonly sets: readonly CauseSet[];
  /** condition id → chance that it is at work, alone or with another */
  readonly marginals: ReadonlyMap<string, number>;
  readonly otherProbability: number;
}

// Something the library does not know: as likely beforehand as one occasional condition, and it may show any sign now and then.
const otherPriorOdds = 0.01;
const otherShows = 0.08;

/**
 * Posterior over single causes, pairs of causes, and "none of these", exact over the candidate set.
 *
 * Candidates are the conditions known on this host, plus any that often or always show a sign that was seen. A set's weight is the
 * product of its members' prior odds and of the noisy-OR likelihood of each finding, summed in log space, since forty findings would
 * pass below the smallest double.
 *
 * When not to use it: three concurrent causes are not weighed.
 *
 * Source: Peng & Reggia (1990), Abductive Inference Models for Diagnostic Problem-Solving, ch. 4 (posterior over covers).
 *
 * @param findings - each sign at most once, all known to `knowledge`
 * @throws RangeError if a finding names an unknown sign
 */
export function posterior(knowledge: Knowledge, circumstances: Circumstances, findings: readonly Finding[]): Posterior {
  const signs = new Map(knowledge.signs.map((sign) => [sign.id, sign]));
  const observed = findings.map((finding) => ({ finding, sign: requireSign(signs, finding.sign) }));
  const candidates = candidatesFor(knowledge.conditions, circumstances, findings);
  const weights = weighSets(candidates, observed);
  const otherLogWeight = Math.log(otherPriorOdds) + observed.reduce((sum, { finding, sign }) => sum + otherLogLikelihood(finding, sign), 0);
  const total = logSumExp([...weights.map(({ logWeight }) => logWeight), otherLogWeight]);
  const otherProbability = Math.exp(otherLogWeight - total);
  const sets = weights.map(({ causes, logWeight }) => ({ causes, probability: Math.exp(logWeight - total) }));
  sets.push({ causes: [], probability: otherProbability });
  sets.sort((a, b) => b.probability - a.probability);
  return { candidates, sets, marginals: marginalise(sets), otherProbability };
}

/** The conditions that could explain what was found on this host. */
export function candidatesFor(
  conditions: readonly ConditionFacts[],
  circumstances: Circumstances,
  findings: readonly Finding[],
): Candidate[] {
  const seen = findings.filter(({ state }) => state === 'seen').map(({ sign }) => sign);
  const showsSeen = (condition: ConditionFacts) =>
    seen.some((sign) => condition.signs[sign] === 'always' || condition.signs[sign] === 'often');
  return conditions
    .filter((condition) => susceptibility(condition, circumstances.host) !== 'unlisted' || showsSeen(condition))
    .map((condition) => {
      const { logOdds, factors } = priorLogOdds(condition, circumstances);
      return { condition, priorLogOdds: logOdds, factors };
    });
}

interface Observed {
  readonly finding: Finding;
  readonly sign: SignFacts;
}

/** One finding's noisy-OR gate with each candidate's part in it worked out beforehand: pairs are many, candidates few. */
interface Gate {
  readonly seen: boolean;
  readonly leak: number;
  /** log(1 − q) for each candidate */
  readonly logUnseen: readonly number[];
  readonly never: readonly boolean[];
}

function weighSets(candidates: readonly Candidate[], observed: readonly Observed[]): { causes: ConditionFacts[]; logWeight: number }[] {
  const gates = observed.map((one) => gateOf(one, candidates));
  const sets: { causes: ConditionFacts[]; logWeight: number }[] = [];
  candidates.forEach((one, i) => {
    sets.push({ causes: [one.condition], logWeight: one.priorLogOdds + logLikelihoodOf(gates, i) });
    for (let j = i + 1; j < candidates.length; j++) {
      const other = candidates[j]!;
      sets.push({
        causes: [one.condition, other.condition],
        logWeight: one.priorLogOdds + other.priorLogOdds + logLikelihoodOf(gates, i, j),
      });
    }
  });
  return sets;
}

function gateOf({ finding, sign }: Observed, candidates: readonly Candidate[]): Gate {
  const frequencies = candidates.map(({ condition }) => condition.signs[sign.id]);
  return {
    seen: finding.state === 'seen',
    leak: leakTable[sign.common],
    logUnseen: frequencies.map((frequency) => (frequency === undefined ? 0 : Math.log1p(-frequencyTable[frequency]))),
    never: frequencies.map((frequency) => frequency === 'never'),
  };
}

/** Same value as summing `logLikelihood` over the findings; a test holds the two together. */
function logLikelihoodOf(gates: readonly Gate[], i: number, j?: number): number {
  let sum = 0;
  for (const gate of gates) {
    let leak = gate.leak;
    let logUnseen = gate.logUnseen[i]!;
    if (gate.never[i]) leak *= leakUnderNever;
    if (j !== undefined) {
      logUnseen += gate.logUnseen[j]!;
      if (gate.never[j]) leak *= leakUnderNever;
    }
    logUnseen += Math.log1p(-leak);
    sum += gate.seen ? Math.log(-Math.expm1(logUnseen)) : logUnseen;
  }
  return sum;
}

function otherLogLikelihood(finding: Finding, sign: SignFacts): number {
  const seen = Math.max(otherShows, Math.exp(logLikelihood({ sign: sign.id, state: 'seen' }, sign, [])));
  return Math.log(finding.state === 'seen' ? seen : 1 - seen);
}

function marginalise(sets: readonly CauseSet[]): Map<string, number> {
  const marginals = new Map<string, number>();
  for (const { causes, probability } of sets) for (const { id } of causes) marginals.set(id, (marginals.get(id) ?? 0) + probability);
  return marginals;
}

function requireSign(signs: ReadonlyMap<string, SignFacts>, id: string): SignFacts {
  const sign = signs.get(id);
  if (!sign) throw new RangeError(`posterior requires findings of known signs, got ${id}`);
  return sign;
}
