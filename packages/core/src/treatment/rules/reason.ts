import type { Effect, InterventionFacts, Situation, TreatableCondition } from '../interventionFacts.js';

export type ReasonCode =
  | 'notifiable'
  | 'ask-first'
  | 'report-first'
  | 'dont'
  | 'next-season'
  | 'check-sold'
  | 'bees-soon'
  | 'bees-unknown'
  | 'harvest-guess'
  | 'not-bare'
  | 'bare-unknown'
  | 'other-plant'
  | 'out-of-season'
  | 'age'
  | 'water'
  | 'animals'
  | 'soil-cold'
  | 'still-air'
  | 'many-plants'
  | 'releases'
  | 'forbidden-here'
  | 'restricted'
  | 'stance'
  | 'softer-first'
  | 'school'
  | 'own-school'
  | 'bees'
  | 'bees-care'
  | 'not-on-eaten'
  | 'no-crop-line'
  | 'no-target-line'
  | 'expired'
  | 'licence'
  | 'above-rate'
  | 'wind-line'
  | 'buffer'
  | 'harvest'
  | 'harvest-close'
  | 'too-hot'
  | 'too-cold'
  | 'setting'
  | 'stage'
  | 'stage-doubtful'
  | 'shielded'
  | 'too-soon'
  | 'season-max'
  | 'apart'
  | 'rotate'
  | 'host-burns'
  | 'host-marks'
  | 'test-marked'
  | 'test-waits'
  | 'test-clean'
  | 'helpers'
  | 'rain'
  | 'wind'
  | 'weak-evidence'
  | 'helpers-at-work'
  | 'no-helpers'
  | 'not-ripe'
  | 'nothing-to-pick'
  | 'ripe-unknown'
  | 'frost-near'
  | 'covers-part';

/** A coded reason with the facts that a sentence needs. It rules out, calls for care, or speaks for the option. */
export interface Reason {
  readonly code: ReasonCode;
  readonly weight: 'ruled-out' | 'care' | 'for';
  readonly facts?: Readonly<Record<string, string | number>>;
}

/** An intervention with its effects (condition × stage) that call for it here. */
export interface Proposal {
  readonly intervention: InterventionFacts;
  readonly effects: readonly Effect[];
  /** the condition that each effect belongs to, in the same order */
  readonly of: readonly TreatableCondition[];
  readonly all: ReadonlyMap<string, InterventionFacts>;
}

/** One thing that is looked at for every option. */
export type Rule = (proposal: Proposal, situation: Situation) => Reason | undefined;

export const ruledOut = (code: ReasonCode, facts?: Reason['facts']): Reason => ({ code, weight: 'ruled-out', ...(facts && { facts }) });
export const care = (code: ReasonCode, facts?: Reason['facts']): Reason => ({ code, weight: 'care', ...(facts && { facts }) });
export const inFavour = (code: ReasonCode, facts?: Reason['facts']): Reason => ({ code, weight: 'for', ...(facts && { facts }) });
