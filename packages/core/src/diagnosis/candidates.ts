import { likelihoodRatio } from './clinicTest.js';
import type { ClinicTest } from './clinicTest.js';
import type { Circumstances, ConditionFacts, Finding, Sighting } from './knowledge.js';
import { priorLogOdds, susceptibility } from './prior.js';
import type { PriorFactor } from './prior.js';

/** A condition that could be at work here, with its prior. */
export interface Candidate {
  readonly condition: ConditionFacts;
  readonly priorLogOdds: number;
  readonly factors: readonly PriorFactor[];
}

// A reading that is likelier wrong than right brings no condition in that nobody knows on this plant.
const sureEnough = 0.5;
// How many confirmed cases the library's own frequencies are worth beside a garden's: after twenty, both count alike.
const libraryCases = 20;
// A case on another plant of the family says half as much about this one.
const familyShare = 0.5;

/** The conditions that could explain what was found on this host, with their priors; any that a clinic tested for is among them. */
export function candidatesFor(
  conditions: readonly ConditionFacts[],
  circumstances: Circumstances,
  findings: readonly Finding[],
): Candidate[] {
  const seen = findings.filter(({ state, sure = 1 }) => state === 'seen' && sure >= sureEnough).map(({ sign }) => sign);
  const showsSeen = (condition: ConditionFacts) =>
    seen.some((sign) => condition.signs[sign] === 'always' || condition.signs[sign] === 'often');
  const tested = new Set(circumstances.tests?.map(({ condition }) => condition));
  const candidates = conditions
    .filter((condition) => susceptibility(condition, circumstances.host) !== 'unlisted' || showsSeen(condition) || tested.has(condition.id))
    .map((condition) => candidateOf(condition, circumstances));
  return withTests(withHistory(candidates, circumstances), circumstances.tests ?? []);
}

/** A condition with its prior under these circumstances, the garden's history aside. */
export function candidateOf(condition: ConditionFacts, circumstances: Circumstances): Candidate {
  const { logOdds, factors } = priorLogOdds(condition, circumstances);
  return { condition, priorLogOdds: logOdds, factors };
}

/** Odds times the likelihood ratio of each test. */
function withTests(candidates: readonly Candidate[], tests: readonly ClinicTest[]): Candidate[] {
  return candidates.map((candidate) => {
    const own = tests.filter(({ condition }) => condition === candidate.condition.id);
    if (own.length === 0) return candidate;
    const factor = own.reduce((product, test) => product * likelihoodRatio(test), 1);
    return {
      ...candidate,
      priorLogOdds: candidate.priorLogOdds + Math.log(factor),
      factors: [...candidate.factors, { code: 'clinic', factor }],
    };
  });
}

/**
 * Priors moved by what this garden has had confirmed before.
 *
 * The library's priors, normalised over the candidates, are the mean of a Dirichlet distribution worth twenty cases; each confirmed case on
 * this host adds one count to its condition, on another host of the family a half. The prior is multiplied by the posterior mean over the
 * prior mean.
 *
 * Source: Gelman et al. (2013), Bayesian Data Analysis, 3rd ed., §3.4 (multinomial with Dirichlet prior).
 */
function withHistory(candidates: readonly Candidate[], { history, host }: Circumstances): Candidate[] {
  const counts = new Map<string, number>();
  for (const { condition, ...where } of history ?? []) counts.set(condition, (counts.get(condition) ?? 0) + countOf(where, host));
  const cases = candidates.reduce((sum, { condition }) => sum + (counts.get(condition.id) ?? 0), 0);
  if (cases === 0) return [...candidates];
  const total = candidates.reduce((sum, one) => sum + Math.exp(one.priorLogOdds), 0);
  return candidates.map((one) => {
    const mean = Math.exp(one.priorLogOdds) / total;
    const factor = (libraryCases * mean + (counts.get(one.condition.id) ?? 0)) / (libraryCases + cases) / mean;
    return {
      ...one,
      priorLogOdds: one.priorLogOdds + Math.log(factor),
      factors: [...one.factors, { code: 'history', factor }],
    };
  });
}

const countOf = ({ host, family, count }: Omit<Sighting, 'condition'>, here: Circumstances['host']) =>
  host === here.id ? count : family === here.family ? count * familyShare : 0;
