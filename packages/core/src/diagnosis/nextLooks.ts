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
  const doubt = doubtOver(sets, findings);
  const chancesOf = chanceTable(signs, sets);
  return checks
    .map((check) => {
      const reveals = check.reveals.filter((sign) => !known.has(sign) && signs.has(sign));
      const telling = mostTelling(reveals.map(chancesOf), doubt.masses);
      return { check, look: { check: check.id, reveals, minutes: check.minutes, bits: expectedDrop(telling, doubt) } };
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

/** Belief over sets of causes, and which of the possible decisions each set leads to. */
interface Doubt {
  readonly masses: readonly number[];
  /** for each set the number of its decision, from 0 */
  readonly decisions: readonly number[];
  readonly decisionCount: number;
}

function doubtOver(sets: readonly CauseSet[], findings: readonly Finding[]): Doubt {
  const numbers = new Map<string, number>();
  const decisions = sets.map((set) => {
    const key = decisionKey(set, findings);
    const number = numbers.get(key) ?? numbers.size;
    numbers.set(key, number);
    return number;
  });
  return { masses: sets.map(({ probability }) => probability), decisions, decisionCount: numbers.size };
}

/** Chance of each sign under each set; worked out once for each sign, since checks share signs. */
function chanceTable(signs: ReadonlyMap<string, SignFacts>, sets: readonly CauseSet[]): (sign: string) => readonly number[] {
  const known = new Map<string, readonly number[]>();
  return (id) => {
    const chances = known.get(id) ?? sets.map(({ causes }) => seenGiven(signs.get(id)!, causes));
    known.set(id, chances);
    return chances;
  };
}

/** The signs whose chance differs most between the sets, each given as its chances. */
function mostTelling(signs: readonly (readonly number[])[], masses: readonly number[]): (readonly number[])[] {
  const spread = (chances: readonly number[]) => {
    const mean = chances.reduce((sum, chance, s) => sum + masses[s]! * chance, 0);
    return chances.reduce((sum, chance, s) => sum + masses[s]! * (chance - mean) ** 2, 0);
  };
  return signs
    .map((chances) => ({ chances, spread: spread(chances) }))
    .sort((a, b) => b.spread - a.spread)
    .slice(0, signsWeighed)
    .map(({ chances }) => chances);
}

function expectedDrop(signs: readonly (readonly number[])[], { masses, decisions, decisionCount }: Doubt): number {
  const total = masses.reduce((sum, mass) => sum + mass, 0);
  const byDecision = new Float64Array(decisionCount);
  const entropyGiven = (outcome: number): { mass: number; bits: number } => {
    byDecision.fill(0);
    let all = 0;
    for (let s = 0; s < masses.length; s++) {
      let mass = masses[s]!;
      for (let i = 0; i < signs.length; i++) mass *= outcome & (1 << i) ? signs[i]![s]! : 1 - signs[i]![s]!;
      byDecision[decisions[s]!]! += mass;
      all += mass;
    }
    return { mass: all, bits: entropyBits(byDecision) };
  };
  masses.forEach((mass, s) => (byDecision[decisions[s]!]! += mass));
  const doubt = entropyBits(byDecision);
  let remaining = 0;
  for (let outcome = 0; outcome < 2 ** signs.length; outcome++) {
    const { mass, bits } = entropyGiven(outcome);
    remaining += (mass / total) * bits;
  }
  return Math.max(0, doubt - remaining);
}
