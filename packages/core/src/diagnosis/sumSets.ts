import { furtherShare } from './weighSets.js';
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

/** Prior weight of a set of none to three causes beside the product of their odds. */
const weightBySize = [0, 1, furtherShare, furtherShare ** 2] as const;

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
  const sums = new GroupSums(groups, logOther);
  for (let a = 0; a < groups.length; a++) {
    const { two, three } = groups[a]!;
    sums.add(logGates(a), 1, a, 1);
    if (two > 0) sums.add(logGates(a, a), 1, a, 2);
    if (three > 0) sums.add(logGates(a, a, a), 1, a, 3);
    for (let b = a + 1; b < groups.length; b++) {
      const linked = link(a, b);
      sums.add(logGates(a, b), linked, a, 1, b, 1);
      // What is linked stands in a group of its own: where there are two, nothing is.
      if (two > 0) sums.add(logGates(a, a, b), 1, a, 2, b, 1);
      if (groups[b]!.two > 0) sums.add(logGates(a, b, b), 1, a, 1, b, 2);
      for (let c = b + 1; c < groups.length; c++) sums.add(logGates(a, b, c), linked * link(a, c) * link(b, c), a, 1, b, 1, c, 1);
    }
  }
  const other = sums.inUnits(logOther);
  const total = sums.total + other;
  return {
    masses: { of: sums.ofEach(own).map((mass) => mass / total), share: (members) => shareOf(members, weights, sums.scale) / total },
    nobody: sums.silentOnly / total,
    other: other / total,
  };
}

/** The sums A, B and C of every group, and of all sets together, in a unit that grows with the largest weight. */
class GroupSums {
  total = 0;
  /** of sets whose causes are all silent */
  silentOnly = 0;
  /** of each group: the sets that take one, two and three causes from it, without the weights of those */
  readonly #taking: readonly [Float64Array, Float64Array, Float64Array];
  readonly #groups: SetWeights['groups'];
  /** log of the unit */
  scale: number;

  constructor(groups: SetWeights['groups'], scale: number) {
    this.#groups = groups;
    this.scale = scale;
    this.#taking = [new Float64Array(groups.length), new Float64Array(groups.length), new Float64Array(groups.length)];
  }

  /** The weight of a log weight in the unit. */
  inUnits(logWeight: number): number {
    if (logWeight > this.scale + widest) {
      const factor = Math.exp(this.scale - logWeight);
      for (const list of this.#taking) list.forEach((value, g) => (list[g] = value * factor));
      this.silentOnly *= factor;
      this.total *= factor;
      this.scale = logWeight;
    }
    return Math.exp(logWeight - this.scale);
  }

  /** Add all sets that take `na` causes from group `a`, `nb` from `b` and `nc` from `c`. */
  add(logGates: number, links: number, a: number, na: number, b = a, nb = 0, c = a, nc = 0): void {
    const weight = this.inUnits(logGates) * links * weightBySize[(na + nb + nc) as 1 | 2 | 3];
    const ofA = this.#symmetric(a, na);
    const ofB = this.#symmetric(b, nb);
    const ofC = this.#symmetric(c, nc);
    this.#taking[na - 1]![a]! += weight * ofB * ofC;
    if (nb > 0) this.#taking[nb - 1]![b]! += weight * ofA * ofC;
    if (nc > 0) this.#taking[nc - 1]![c]! += weight * ofA * ofB;
    const mass = weight * ofA * ofB * ofC;
    this.total += mass;
    if (this.#groups[a]!.silent && this.#groups[b]!.silent && this.#groups[c]!.silent) this.silentOnly += mass;
  }

  /** The elementary symmetric polynomial of the weights in a group: 1, e₁, e₂ or e₃. */
  #symmetric(g: number, n: number): number {
    const { one, two, three } = this.#groups[g]!;
    return n === 0 ? 1 : n === 1 ? one : n === 2 ? two : three;
  }

  /** Weight of all sets that hold each candidate. @param own - weights of the candidates */
  ofEach(own: ArrayLike<number>): Float64Array {
    const masses = new Float64Array(own.length);
    this.#groups.forEach(({ members, one, two }, g) => {
      const [A, B, C] = this.#taking.map((list) => list[g]!) as [number, number, number];
      for (const i of members) {
        const w = own[i]!;
        const others = one - w;
        masses[i] = w * (A + others * B + (two - w * others) * C);
      }
    });
    return masses;
  }
}

/** Weight of a set of causes, with every set of silent ones that fits beside it. */
function shareOf(members: readonly Member[], { groups, own, logGates, link }: SetWeights, scale: number): number {
  const [a, b, c] = members.map(({ g }) => g);
  const weight = members.reduce((product, { i }) => product * own[i]!, 1);
  const links = members.reduce((product, one, m) => members.slice(m + 1).reduce((so, two) => so * link(one.g, two.g), product), 1);
  const alone = Math.exp(logGates(a!, b, c) - scale) * weight * links;
  const [, one, two, three] = weightBySize;
  if (members.length === 3) return alone * three;
  // Silent causes change no gate; those that are linked to a member weigh more beside it.
  const silent = groups.flatMap((group, g) =>
    group.silent ? [{ one: group.one * members.reduce((product, { g: own }) => product * link(g, own), 1), two: group.two, g }] : [],
  );
  const ones = silent.reduce((sum, { one }) => sum + one, 0);
  if (members.length === 2) return alone * (two + three * ones);
  let twos = silent.reduce((sum, { two }) => sum + two, 0);
  silent.forEach((first, s) => {
    for (const second of silent.slice(s + 1)) twos += first.one * second.one * link(first.g, second.g);
  });
  return alone * (one + two * ones + three * twos);
}
