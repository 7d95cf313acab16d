import type { SetWeights } from './weighSets.js';

/** A candidate and the group that it belongs to. */
export interface Member {
  readonly i: number;
  readonly g: number;
}

export interface SetSums {
  readonly masses: {
    /** chance that each candidate is at work, alone or with others */
    readonly of: Float64Array;
    /** chance that just these of the causes that bear on what was seen are at work, whatever silent ones beside them */
    readonly share: (members: readonly Member[]) => number;
  };
  /** chance that only silent causes are at work */
  readonly nobody: number;
  /** chance that the library holds none of the causes */
  readonly other: number;
}

// A larger step than this between two weights would pass the range of a double.
const widest = 600;

/**
 * Sum the weights of all sets of one to three causes, without visiting each: groups of like candidates are taken together, and combinations
 * within a group are elementary symmetric polynomials of its members' weights.
 *
 * The sums are exact. For a cause of weight w in a group with sums e₁ and e₂, the weights of sets that hold it are w·A + w(e₁ − w)·B +
 * w(e₂ − w(e₁ − w))·C, where A, B and C gather the sets that take one, two or three causes from the group.
 *
 * @param logOther - log weight of "none of these"
 */
export function sumSets(weights: SetWeights, logOther: number): SetSums {
  const { groups, own, logGates, link } = weights;
  const size = groups.length;
  const sums = [new Float64Array(size), new Float64Array(size), new Float64Array(size)] as const;
  let silentOnly = 0;
  let total = 0;
  let scale = logOther;

  /** The weight of a log weight in the common unit, which grows with the largest. */
  const inUnits = (logWeight: number): number => {
    if (logWeight > scale + widest) {
      const factor = Math.exp(scale - logWeight);
      for (const list of sums) list.forEach((value, g) => (list[g] = value * factor));
      silentOnly *= factor;
      total *= factor;
      scale = logWeight;
    }
    return Math.exp(logWeight - scale);
  };
  const count = (mass: number, ...of: number[]) => {
    total += mass;
    if (of.every((g) => groups[g]!.silent)) silentOnly += mass;
  };

  for (let a = 0; a < size; a++) {
    const A = groups[a]!;
    const single = inUnits(logGates(a));
    sums[0][a]! += single;
    count(single * A.one, a);
    if (A.two > 0) {
      const twice = inUnits(logGates(a, a));
      sums[1][a]! += twice;
      count(twice * A.two, a);
    }
    if (A.three > 0) {
      const thrice = inUnits(logGates(a, a, a));
      sums[2][a]! += thrice;
      count(thrice * A.three, a);
    }
    for (let b = a + 1; b < size; b++) {
      const B = groups[b]!;
      const pair = inUnits(logGates(a, b)) * link(a, b);
      sums[0][a]! += pair * B.one;
      sums[0][b]! += pair * A.one;
      count(pair * A.one * B.one, a, b);
      if (A.two > 0) {
        const twoAndOne = inUnits(logGates(a, a, b));
        sums[1][a]! += twoAndOne * B.one;
        sums[0][b]! += twoAndOne * A.two;
        count(twoAndOne * A.two * B.one, a, b);
      }
      if (B.two > 0) {
        const oneAndTwo = inUnits(logGates(a, b, b));
        sums[1][b]! += oneAndTwo * A.one;
        sums[0][a]! += oneAndTwo * B.two;
        count(oneAndTwo * A.one * B.two, a, b);
      }
      for (let c = b + 1; c < size; c++) {
        const C = groups[c]!;
        const three = inUnits(logGates(a, b, c)) * link(a, b) * link(a, c) * link(b, c);
        sums[0][a]! += three * B.one * C.one;
        sums[0][b]! += three * A.one * C.one;
        sums[0][c]! += three * A.one * B.one;
        count(three * A.one * B.one * C.one, a, b, c);
      }
    }
  }
  const other = Math.exp(logOther - scale);
  total += other;

  const of = new Float64Array(own.length);
  groups.forEach(({ members, one, two }, g) => {
    for (const i of members) {
      const w = own[i]!;
      const others = one - w;
      of[i] = (w * (sums[0][g]! + others * sums[1][g]! + (two - w * others) * sums[2][g]!)) / total;
    }
  });
  return { masses: { of, share: (members) => shareOf(members, weights, scale) / total }, nobody: silentOnly / total, other: other / total };
}

/** Weight of a set of causes, with every set of silent ones that fits beside it. */
function shareOf(members: readonly Member[], { groups, own, logGates, link }: SetWeights, scale: number): number {
  const [a, b, c] = members.map(({ g }) => g);
  const weight = members.reduce((product, { i }) => product * own[i]!, 1);
  const links = members.reduce((product, one, m) => members.slice(m + 1).reduce((so, two) => so * link(one.g, two.g), product), 1);
  const alone = Math.exp(logGates(a!, b, c) - scale) * weight * links;
  if (members.length === 3) return alone;
  // Silent causes change no gate; those that are linked to a member weigh more beside it.
  const silent = groups.flatMap((group, g) =>
    group.silent ? [{ one: group.one * members.reduce((product, { g: own }) => product * link(g, own), 1), two: group.two, g }] : [],
  );
  const ones = silent.reduce((sum, { one }) => sum + one, 0);
  if (members.length === 2) return alone * (1 + ones);
  let twos = silent.reduce((sum, { two }) => sum + two, 0);
  silent.forEach((first, s) => {
    for (const second of silent.slice(s + 1)) twos += first.one * second.one * link(first.g, second.g);
  });
  return alone * (1 + ones + twos);
}
