import { entropyBits } from '../statistics/entropy.js';
import type { CheckFacts, ConditionFacts, Finding, SignFacts } from './knowledge.js';
import { seenGiven } from './noisyOr.js';
import type { CauseSet, Posterior } from './posterior.js';

/** One check and what it is worth. */
export interface NextLook {
  readonly check: string;
  readonly reveals: readonly string[];
  readonly minutes: number;
  /** expected drop in doubt about what to do, bits */
  readonly bits: number;
}

// Beyond this many sets the rest holds too little belief to change a ranking.
const setsWeighed = 48;
// Outcomes double with each sign; four signs of one check tell nearly all of it.
const signsWeighed = 4;
const harmMinutes = { none: 0, slight: 3, plant: 8 } as const;

/**
 * Checks in the order of what they are worth: expected drop in the entropy of the treatment decision, per minute.
 *
 * Causes with the same treatments count as one, so that a look which only changes the name is worth nothing; a cause that explains nothing of
 * what was seen is left out of the decision, so that looks go to the question at hand. Harm to the plant is
 * counted as extra minutes (slight 3, a plant lost 8).
 *
 * Source: Lindley (1956), Annals of Mathematical Statistics 27:986–1005 (expected information of an experiment).
 *
 * @returns checks that can still tell something, best first
 */
export function nextLooks(
  checks: readonly CheckFacts[],
  belief: Posterior,
  findings: readonly Finding[],
  signs: ReadonlyMap<string, SignFacts>,
): NextLook[] {
  const known = new Set(findings.map(({ sign }) => sign));
  const sets = belief.sets.slice(0, setsWeighed);
  const decisions = sets.map((set) => decisionKey(set, findings));
  const doubt = entropyBits(
    massByDecision(
      sets.map(({ probability }) => probability),
      decisions,
    ),
  );
  return checks
    .map((check) => {
      const open = check.reveals.filter((sign) => !known.has(sign)).flatMap((sign) => signs.get(sign) ?? []);
      const telling = mostTelling(open, sets);
      return {
        check,
        look: {
          check: check.id,
          reveals: open.map(({ id }) => id),
          minutes: check.minutes,
          bits: expectedDrop(telling, sets, decisions, doubt),
        },
      };
    })
    .filter(({ look }) => look.reveals.length > 0 && look.bits > 0.005)
    .sort((a, b) => worth(b) - worth(a))
    .map(({ look }) => look);
}

const worth = ({ check, look }: { check: CheckFacts; look: NextLook }) => look.bits / (check.minutes + harmMinutes[check.harm]);

/** Two sets of causes with the same key are treated alike. */
function decisionKey({ causes }: CauseSet, findings: readonly Finding[]): string {
  const seen = findings.filter(({ state }) => state === 'seen');
  const explains = (cause: ConditionFacts) => seen.some(({ sign }) => (cause.signs[sign] ?? 'never') !== 'never');
  const relevant = seen.length === 0 ? causes : causes.filter(explains);
  return [...new Set(relevant.flatMap(({ treat }) => treat.map(({ use }) => use)))].sort().join();
}

function massByDecision(masses: readonly number[], decisions: readonly string[]): Iterable<number> {
  const sums = new Map<string, number>();
  masses.forEach((mass, i) => sums.set(decisions[i]!, (sums.get(decisions[i]!) ?? 0) + mass));
  return sums.values();
}

/** Signs whose chance differs most between the sets. */
function mostTelling(signs: readonly SignFacts[], sets: readonly CauseSet[]): SignFacts[] {
  const spread = (sign: SignFacts) => {
    const mean = sets.reduce((sum, set) => sum + set.probability * seenGiven(sign, set.causes), 0);
    return sets.reduce((sum, set) => sum + set.probability * (seenGiven(sign, set.causes) - mean) ** 2, 0);
  };
  return [...signs].sort((a, b) => spread(b) - spread(a)).slice(0, signsWeighed);
}

function expectedDrop(signs: readonly SignFacts[], sets: readonly CauseSet[], decisions: readonly string[], doubt: number): number {
  const chances = signs.map((sign) => sets.map((set) => seenGiven(sign, set.causes)));
  const total = sets.reduce((sum, set) => sum + set.probability, 0);
  let remaining = 0;
  for (let outcome = 0; outcome < 2 ** signs.length; outcome++) {
    const masses = sets.map((set, s) =>
      chances.reduce((mass, chance, i) => mass * (outcome & (1 << i) ? chance[s]! : 1 - chance[s]!), set.probability),
    );
    const mass = masses.reduce((sum, one) => sum + one, 0);
    remaining += (mass / total) * entropyBits(massByDecision(masses, decisions));
  }
  return Math.max(0, doubt - remaining);
}
