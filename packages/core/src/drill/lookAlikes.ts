import { entropyBits } from '../statistics/index.js';

/** A trouble that a plant may have, and how often it shows each of the looks that can be chosen. */
export interface LookAlike {
  readonly id: string;
  /** how common it is beside the others, above 0 */
  readonly weight: number;
  /** chance that a look finds what it looks for, 0 to 1, by look */
  readonly shows: Readonly<Record<string, number>>;
}

/** A look that was taken. */
export interface TakenLook {
  readonly look: string;
  readonly seen: boolean;
}

/** A look that was taken, what it was worth then, and what the best would have been worth. */
export interface ScoredLook extends TakenLook {
  /** bits that it was expected to tell, before its answer was known */
  readonly bits: number;
  readonly best: string;
  readonly bestBits: number;
}

/**
 * How likely each trouble is after some looks.
 *
 * Bayes' rule; looks are independent where the trouble is known.
 *
 * @returns probabilities in the order of the troubles; they sum to 1
 */
export function beliefAfter(troubles: readonly LookAlike[], looks: readonly TakenLook[]): number[] {
  const weights = troubles.map(({ weight, shows }) =>
    looks.reduce((product, { look, seen }) => product * (seen ? (shows[look] ?? 0) : 1 - (shows[look] ?? 0)), weight),
  );
  const all = weights.reduce((sum, one) => sum + one, 0);
  return weights.map((one) => (all > 0 ? one / all : 1 / troubles.length));
}

/**
 * What a look is expected to tell: the mutual information of the trouble and the look's answer, in bits. Looking a second time tells nothing.
 *
 * @example
 * worthOf([{ id: 'a', weight: 1, shows: { web: 1 } }, { id: 'b', weight: 1, shows: { web: 0 } }], [], 'web') // => 1
 */
export function worthOf(troubles: readonly LookAlike[], looks: readonly TakenLook[], look: string): number {
  if (looks.some((taken) => taken.look === look)) return 0;
  const belief = beliefAfter(troubles, looks);
  const seen = belief.reduce((sum, one, i) => sum + one * (troubles[i]!.shows[look] ?? 0), 0);
  const after = (isSeen: boolean) => entropyBits(beliefAfter(troubles, [...looks, { look, seen: isSeen }]));
  return Math.max(0, entropyBits(belief) - (seen > 0 ? seen * after(true) : 0) - (seen < 1 ? (1 - seen) * after(false) : 0));
}

/** The look that is expected to tell most, of those that were not taken yet. */
export function bestLook(
  troubles: readonly LookAlike[],
  looks: readonly TakenLook[],
  open: readonly string[],
): { readonly look: string; readonly bits: number } | undefined {
  const left = open.filter((look) => !looks.some((taken) => taken.look === look));
  return left.map((look) => ({ look, bits: worthOf(troubles, looks, look) })).sort((a, b) => b.bits - a.bits)[0];
}

/** Each look in its turn against the best that could have been taken then. */
export const scoreLooks = (troubles: readonly LookAlike[], looks: readonly TakenLook[], open: readonly string[]): ScoredLook[] =>
  looks.map((taken, i) => {
    const before = looks.slice(0, i);
    const best = bestLook(troubles, before, open)!;
    return { ...taken, bits: worthOf(troubles, before, taken.look), best: best.look, bestBits: best.bits };
  });
