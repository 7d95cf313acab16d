import type { Candidate } from './candidates.js';
import type { ConditionFacts, Finding, SignFacts } from './knowledge.js';
import { shownBy } from './noisyOr.js';
import { frequencyTable, leakTable, leakUnderNever, misreadLeak } from './probabilityTable.js';

/** A sign that was read or told, and how sure that is. */
type SaidSign = SignFacts & Pick<Finding, 'kin'> & { readonly sure: number };

export interface Observed {
  readonly finding: Finding;
  readonly sign: SignFacts;
}

/**
 * Candidates that bear on what was seen in the same way, so that exchanging one for another changes no gate. With them the sums of the
 * products of one, two and three different weights, which stand for all their combinations.
 */
export interface Group {
  readonly members: readonly number[];
  readonly one: number;
  readonly two: number;
  readonly three: number;
  /** true when its members neither show nor exclude anything that was seen */
  readonly silent: boolean;
}

/** How likely candidates, and sets of them, make what was found. */
export interface SetWeights {
  readonly groups: readonly Group[];
  /** prior odds times the chance of what was looked for and not found, for each candidate, leaks aside */
  readonly own: Float64Array;
  /** log chance of all findings under causes of these groups (one to three, repeated for two causes of one group); own weights aside */
  readonly logGates: (a: number, b?: number, c?: number) => number;
  /** factor by which causes of these groups attract one another */
  readonly link: (a: number, b: number) => number;
}

/**
 * Who tells of a plant tells of one trouble, mostly: each further one is this share as likely to be at work as on a plant that nobody
 * complains of.
 */
export const furtherShare = 0.35;
// A cause that follows another is this many times likelier beside it; a carrier and what it carries, this many. Together they are one trouble.
const followsFactor = 4 / furtherShare;
const carriesFactor = 3 / furtherShare;
// Products of this many chances stay well above the smallest double.
const blockSize = 50;

/**
 * Weigh sets of causes against the findings by noisy-OR, exactly.
 *
 * What was not found factors over the causes, so it is part of each candidate's own weight. What was seen does not: its gates are worked out
 * for groups of candidates that are alike to them. Candidates that attract one another stand alone.
 */
export function weighSets(candidates: readonly Candidate[], observed: readonly Observed[]): SetWeights {
  const saying = (state: Finding['state']) =>
    observed
      .filter(({ finding }) => finding.state === state)
      .map(({ finding, sign }) => ({ ...sign, sure: finding.sure ?? 1, kin: finding.kin }));
  const [seen, absent] = [saying('seen'), saying('absent')];
  const own = Float64Array.from(candidates, (one) => Math.exp(one.priorLogOdds + logAbsent(one.condition, absent)));
  const groups = groupAlike(candidates, own, seen);
  const logAbsentLeak = absent.reduce((sum, sign) => sum + Math.log1p(-sign.sure * leakTable[sign.common]), 0);
  return { groups, own, logGates: gatesOf(groups, candidates, seen, logAbsentLeak), link: linksBetween(groups, candidates) };
}

/** Log chance that a cause shows none of these, leaks aside; what it never shows makes the leak smaller. */
function logAbsent({ signs }: ConditionFacts, absent: readonly SaidSign[]): number {
  return absent.reduce((sum, { id, common, sure }) => {
    const frequency = signs[id];
    if (frequency === undefined) return sum;
    const leak = sure * leakTable[common];
    if (frequency === 'never') return sum + Math.log1p(-leak * leakUnderNever) - Math.log1p(-leak);
    return sum + Math.log1p(-sure * frequencyTable[frequency]);
  }, 0);
}

function groupAlike(candidates: readonly Candidate[], own: Float64Array, seen: readonly SaidSign[]): Group[] {
  const present = new Set(candidates.map(({ condition }) => condition.id));
  const linked = new Set(
    candidates.flatMap(({ condition }) => {
      const others = [...(condition.follows ?? []), ...(condition.carries ?? [])].filter((id) => present.has(id));
      return others.length > 0 ? [condition.id, ...others] : [];
    }),
  );
  const byKey = new Map<string, number[]>();
  candidates.forEach(({ condition }, i) => {
    const bearing = seen.map(({ id, kin }) => bearingOn(condition, id, kin)).join();
    const key = linked.has(condition.id) ? condition.id : `:${bearing}`;
    byKey.set(key, [...(byKey.get(key) ?? []), i]);
  });
  return [...byKey.values()].map((members) => {
    let [one, two, three] = [0, 0, 0];
    for (const i of members) {
      three += two * own[i]!;
      two += one * own[i]!;
      one += own[i]!;
    }
    const { condition } = candidates[members[0]!]!;
    return { members, one, two, three, silent: seen.every(({ id, kin }) => bearingOn(condition, id, kin) === '0') };
  });
}

/** What a cause has to do with a sign, as a key: causes with the same are alike to it; "0" for nothing. */
const bearingOn = (condition: ConditionFacts, sign: string, kin: Finding['kin']) =>
  condition.signs[sign] === 'never' ? `never ${shownBy(condition, sign, kin)}` : String(shownBy(condition, sign, kin));

function gatesOf(
  groups: readonly Group[],
  candidates: readonly Candidate[],
  seen: readonly SaidSign[],
  logAbsentLeak: number,
): SetWeights['logGates'] {
  const count = seen.length;
  const leak = Float64Array.from(seen, ({ common }) => leakTable[common]);
  const meant = Float64Array.from(seen, ({ sure }) => 1 - misreadLeak(sure));
  // One row a group, and a last row that changes nothing, for sets of fewer than three.
  const unseen = new Float64Array((groups.length + 1) * count).fill(1);
  const leakLeft = new Float64Array((groups.length + 1) * count).fill(1);
  groups.forEach(({ members }, g) => {
    const { condition } = candidates[members[0]!]!;
    seen.forEach(({ id, kin }, f) => {
      if (condition.signs[id] === 'never') leakLeft[g * count + f] = leakUnderNever;
      unseen[g * count + f] = 1 - shownBy(condition, id, kin);
    });
  });
  const nobody = groups.length;
  return (a, b = nobody, c = nobody) => {
    let sum = logAbsentLeak;
    let product = 1;
    for (let f = 0; f < count; f++) {
      const [i, j, k] = [a * count + f, b * count + f, c * count + f];
      const leaking = leak[f]! * leakLeft[i]! * leakLeft[j]! * leakLeft[k]!;
      product *= 1 - meant[f]! * (1 - leaking) * unseen[i]! * unseen[j]! * unseen[k]!;
      if ((f + 1) % blockSize === 0) {
        sum += Math.log(product);
        product = 1;
      }
    }
    return sum + Math.log(product);
  };
}

function linksBetween(groups: readonly Group[], candidates: readonly Candidate[]): SetWeights['link'] {
  const size = groups.length;
  const links = new Float64Array(size * size).fill(1);
  // Linked causes stand alone in their groups, so that the first member speaks for all.
  const first = groups.map(({ members }) => candidates[members[0]!]!.condition);
  first.forEach((one, a) => first.forEach((other, b) => (links[a * size + b] = linkFactor(one, other))));
  return (a, b) => links[a * size + b]!;
}

function linkFactor(one: ConditionFacts, other: ConditionFacts): number {
  if (one.follows?.includes(other.id) || other.follows?.includes(one.id)) return followsFactor;
  if (one.carries?.includes(other.id) || other.carries?.includes(one.id)) return carriesFactor;
  return 1;
}
