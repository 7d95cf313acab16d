import { candidatesFor } from './candidates.js';
import type { Candidate } from './candidates.js';
import type { Circumstances, ConditionFacts, Finding, Knowledge, SignFacts } from './knowledge.js';
import { logLikelihood } from './noisyOr.js';
import { sumSets } from './sumSets.js';
import { weighSets } from './weighSets.js';
import type { Observed, SetWeights } from './weighSets.js';

/**
 * A set of causes that explain what was seen, and its share of belief, whatever else may be at work that bears on nothing seen. An empty set
 * stands for a cause that the library does not hold.
 */
export interface CauseSet {
  readonly causes: readonly ConditionFacts[];
  readonly probability: number;
}

export interface Posterior {
  readonly candidates: readonly Candidate[];
  /** most likely first; their probabilities sum to one, but for sets too unlikely to matter */
  readonly sets: readonly CauseSet[];
  /** condition id → chance that it is at work, alone or with others */
  readonly marginals: ReadonlyMap<string, number>;
  readonly otherProbability: number;
}

// Something the library does not know: as likely beforehand as one occasional condition, and it may show any sign now and then.
const otherPriorOdds = 0.01;
const otherShows = 0.08;
// Each telling word that nothing in the library explains makes it once more as likely, up to this many.
const mostUnread = 5;
// Sets are listed for this many of the likeliest causes; no set is likelier than its least likely member.
const listedCauses = 16;

/**
 * Posterior over sets of one, two or three concurrent causes, and "none of these", exact over the candidate set.
 *
 * Candidates are the conditions known on this host, plus any that often or always show a sign that was seen. A set's weight is the product
 * of its members' prior odds, of the factors by which they attract one another, and of the noisy-OR likelihood of each finding.
 *
 * When not to use it: four and more concurrent causes are not weighed.
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
  const { masses, other, nobody } = sumSets(weights, otherLogWeight(observed, circumstances.unreadTelling ?? 0));
  const sets = [...listSets(candidates, weights, masses), ...silentCauses(candidates, weights, nobody)];
  return {
    candidates,
    sets: [...sets, { causes: [], probability: other }].sort((a, b) => b.probability - a.probability),
    marginals: new Map(candidates.map(({ condition }, i) => [condition.id, masses.of[i]!])),
    otherProbability: other,
  };
}

/** Every set of one to three of the likeliest causes that bear on what was seen, silent causes beside them summed up. */
function listSets(candidates: readonly Candidate[], weights: SetWeights, { of, share }: ReturnType<typeof sumSets>['masses']): CauseSet[] {
  const places = weights.groups.flatMap(({ members, silent }, g) => (silent ? [] : members.map((i) => ({ i, g }))));
  const likeliest = places.sort((a, b) => of[b.i]! - of[a.i]!).slice(0, listedCauses);
  const sets: CauseSet[] = [];
  const add = (...members: typeof places) =>
    sets.push({ causes: members.map(({ i }) => candidates[i]!.condition), probability: share(members) });
  likeliest.forEach((one, a) => {
    add(one);
    likeliest.slice(a + 1).forEach((two, b) => {
      add(one, two);
      for (const three of likeliest.slice(a + b + 2)) add(one, two, three);
    });
  });
  return sets;
}

/** Belief that nothing at work bears on what was seen, shared among the silent causes by their weights. */
function silentCauses(candidates: readonly Candidate[], { groups, own }: SetWeights, mass: number): CauseSet[] {
  const silent = groups.filter((group) => group.silent);
  const all = silent.reduce((sum, { one }) => sum + one, 0);
  return silent.flatMap(({ members }) => members.map((i) => ({ causes: [candidates[i]!.condition], probability: (mass * own[i]!) / all })));
}

function otherLogWeight(observed: readonly Observed[], unreadTelling: number): number {
  return (
    Math.log(otherPriorOdds * (1 + Math.min(mostUnread, unreadTelling))) +
    observed.reduce((sum, { finding, sign }) => sum + otherLogLikelihood(finding, sign), 0)
  );
}

function otherLogLikelihood(finding: Finding, sign: SignFacts): number {
  const seen = Math.max(otherShows, Math.exp(logLikelihood({ ...finding, state: 'seen' }, sign, [])));
  return Math.log(finding.state === 'seen' ? seen : 1 - (finding.sure ?? 1) * seen);
}

function requireSign(signs: ReadonlyMap<string, SignFacts>, id: string): SignFacts {
  const sign = signs.get(id);
  if (!sign) throw new RangeError(`posterior requires findings of known signs, got ${id}`);
  return sign;
}
