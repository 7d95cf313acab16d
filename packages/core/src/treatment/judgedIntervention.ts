import type { Effect, Rung } from './interventionFacts.js';
import type { Reason } from './rules/reason.js';

export type Verdict = 'fits' | 'care' | 'ruled-out';

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
  /** in place of the card's own steps */
  readonly steps?: readonly string[] | undefined;
}
