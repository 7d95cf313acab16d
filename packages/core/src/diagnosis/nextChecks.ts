import { decisionOf } from './decision.js';
import type { CheckFacts, Finding, SignFacts } from './knowledge.js';
import { seenGiven } from './noisyOr.js';
import type { CauseSet, Posterior } from './posterior.js';

/** One check and what it is worth. */
export interface NextCheck {
  readonly check: string;
  readonly reveals: readonly string[];
  readonly minutes: number;
  /** expected drop in doubt about what to do, bits */
  readonly bits: number;
  /** by how much the look raises the chance that the best plan is the right one, 0 to 1 */
  readonly gain: number;
}

export interface LookAdvice {
  /** checks that can still tell something, best first */
  readonly looks: readonly NextCheck[];
  /** chance that what would be done now is right, 0 to 1 */
  readonly lead: number;
}

// Beyond this many sets the rest holds too little belief to change a ranking.
const setsWeighed = 32;
// Outcomes double with each sign; four signs of one check tell nearly all of it.
const signsWeighed = 4;
// A sign whose chance varies less than this between the sets (as a variance) tells nothing.
const leastSpread = 1e-5;
// A look that changes the plan is worth more than one that only firms it: one chance in ten to do so counts as this many tenths of a bit.
const gainBits = 8;
// Turning to another look takes a moment by itself.
const minutesBetween = 1;
const harmMinutes = { none: 0, slight: 3, plant: 8 } as const;

/**
 * Checks in the order of what they are worth: expected drop in the entropy of the treatment decision, per minute.
 *
 * Causes that are treated alike count as one, so that a look which only changes the name is worth nothing (`decisionOf`). Harm to the plant is
 * counted as extra minutes (slight 3, a plant lost 8).
 *
 * Source: Lindley (1956), Annals of Mathematical Statistics 27:986–1005 (expected information of an experiment).
 *
 * The gain of a look is the expected value of sample information under equal losses: by how much it raises the chance that the likeliest
 * decision is the right one (Raiffa & Schlaifer 1961, Applied Statistical Decision Theory, ch. 4).
 */
export function nextChecks(
  checks: readonly CheckFacts[],
  belief: Posterior,
  findings: readonly Finding[],
  signs: ReadonlyMap<string, SignFacts>,
): LookAdvice {
  const known = new Set(findings.map(({ sign }) => sign));
  const sets = belief.sets.slice(0, setsWeighed);
  const doubt = doubtOver(sets, findings);
  const chancesOf = chanceTable(signs, sets);
  // What none of the causes shows or excludes has the same chance under every set.
  const shown = new Set(sets.flatMap(({ causes }) => causes.flatMap((cause) => Object.keys(cause.signs))));
  const looks = checks
    .map((check) => {
      const reveals = check.reveals.filter((sign) => !known.has(sign) && signs.has(sign));
      const telling = mostTelling(reveals.filter((sign) => shown.has(sign)).map(chancesOf), doubt.masses);
      return { check, look: { check: check.id, reveals, minutes: check.minutes, ...worthOf(telling, doubt) } };
    })
    .filter(({ look }) => look.reveals.length > 0 && look.bits > 0.005)
    .sort((a, b) => worth(b) - worth(a))
    .map(({ look }) => look);
  return { looks, lead: doubt.lead };
}

const worth = ({ check, look }: { check: CheckFacts; look: NextCheck }) =>
  (look.bits + gainBits * look.gain) / (check.minutes + minutesBetween + harmMinutes[check.harm]);

/** Belief over sets of causes, and which of the possible decisions each set leads to. */
interface Doubt {
  readonly masses: Float64Array;
  /** for each set the number of its decision, from 0 */
  readonly decisions: Uint8Array;
  readonly decisionCount: number;
  /** bits of doubt about the decision now */
  readonly bits: number;
  /** belief in the likeliest decision */
  readonly lead: number;
}

function doubtOver(sets: readonly CauseSet[], findings: readonly Finding[]): Doubt {
  const numbers = new Map<string, number>();
  const decisions = Uint8Array.from(sets, (set) => {
    const decision = decisionOf(set, findings);
    const number = numbers.get(decision) ?? numbers.size;
    numbers.set(decision, number);
    return number;
  });
  const all = sets.reduce((sum, { probability }) => sum + probability, 0);
  const masses = Float64Array.from(sets, ({ probability }) => probability / all);
  const { bits, lead } = outcomeOf(masses, decisions, new Float64Array(numbers.size));
  return { masses, decisions, decisionCount: numbers.size, bits, lead };
}

interface Outcome {
  readonly bits: number;
  readonly lead: number;
}

/** Entropy of the decision under these masses, in bits, and the mass of the likeliest one; both times the sum of the masses. */
function outcomeOf(masses: Float64Array, decisions: Uint8Array, byDecision: Float64Array): Outcome {
  byDecision.fill(0);
  let all = 0;
  for (let s = 0; s < masses.length; s++) {
    byDecision[decisions[s]!]! += masses[s]!;
    all += masses[s]!;
  }
  let bits = all > 0 ? all * Math.log2(all) : 0;
  let lead = 0;
  for (let d = 0; d < byDecision.length; d++) {
    const mass = byDecision[d]!;
    if (mass > 0) bits -= mass * Math.log2(mass);
    if (mass > lead) lead = mass;
  }
  return { bits, lead };
}

/** Chance of each sign under each set; worked out once for each sign, since checks share signs. */
function chanceTable(signs: ReadonlyMap<string, SignFacts>, sets: readonly CauseSet[]): (sign: string) => Float64Array {
  const known = new Map<string, Float64Array>();
  return (id) => {
    const chances = known.get(id) ?? Float64Array.from(sets, ({ causes }) => seenGiven(signs.get(id)!, causes));
    known.set(id, chances);
    return chances;
  };
}

/** The signs whose chance differs most between the sets, each given as its chances. */
function mostTelling(signs: readonly Float64Array[], masses: Float64Array): Float64Array[] {
  const spread = (chances: Float64Array) => {
    let mean = 0;
    let square = 0;
    for (let s = 0; s < masses.length; s++) {
      mean += masses[s]! * chances[s]!;
      square += masses[s]! * chances[s]! ** 2;
    }
    return square - mean ** 2;
  };
  return signs
    .map((chances) => ({ chances, spread: spread(chances) }))
    .filter(({ spread }) => spread > leastSpread)
    .sort((a, b) => b.spread - a.spread)
    .slice(0, signsWeighed)
    .map(({ chances }) => chances);
}

/** By how much the doubt falls and the best plan's chance rises when these signs are looked for: every outcome is followed, sign by sign. */
function worthOf(signs: readonly Float64Array[], { masses, decisions, decisionCount, ...now }: Doubt): { bits: number; gain: number } {
  if (signs.length === 0) return { bits: 0, gain: 0 };
  const size = masses.length;
  const byDecision = new Float64Array(decisionCount);
  // One list of masses a depth: where the sign was seen, then where it was not.
  const scratch = signs.map(() => new Float64Array(size));
  let bits = 0;
  let lead = 0;
  const follow = (from: Float64Array, depth: number): void => {
    const chances = signs[depth];
    if (!chances) {
      const outcome = outcomeOf(from, decisions, byDecision);
      bits += outcome.bits;
      lead += outcome.lead;
      return;
    }
    const branch = scratch[depth]!;
    for (let s = 0; s < size; s++) branch[s] = from[s]! * chances[s]!;
    follow(branch, depth + 1);
    for (let s = 0; s < size; s++) branch[s] = from[s]! * (1 - chances[s]!);
    follow(branch, depth + 1);
  };
  follow(masses, 0);
  return { bits: Math.max(0, now.bits - bits), gain: Math.max(0, lead - now.lead) };
}
