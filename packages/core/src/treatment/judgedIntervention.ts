import type { Effect, Rung } from './interventionFacts.js';
import type { Reason } from './rules/reason.js';

export type Verdict = 'fits' | 'care' | 'ruled-out';

/** A product at hand, judged by its own label; `typical` where that was not copied yet. */
export interface JudgedProduct {
  readonly id: string;
  readonly name: string;
  readonly source: 'typical' | 'copied' | 'register';
  readonly verdict: Verdict;
  readonly reasons: readonly Reason[];
}

/** One intervention judged for this planting today. */
export interface JudgedIntervention {
  readonly id: string;
  readonly name: string;
  readonly rung: Rung;
  readonly verdict: Verdict;
  readonly reasons: readonly Reason[];
  /** conditions it acts on */
  readonly covers: readonly string[];
  readonly notes: readonly string[];
  /** of the least tested of its effects */
  readonly evidence: Effect['evidence'];
  readonly expected: { readonly efficacy: readonly [number, number]; readonly minutes: number; readonly cost: number };
  /** money per plant, lower is better */
  readonly loss: number;
  /** what of it is at hand, best here first; the verdict is that of the first */
  readonly products: readonly JudgedProduct[];
  /** in place of the card's own steps */
  readonly steps?: readonly string[] | undefined;
  /** what is done besides, by what was chosen where growers differ */
  readonly besides: readonly string[];
}
