// The judgement
export { optionsFor } from './options.js';
export type { OptionAlert, Options } from './options.js';
export type { Option, Verdict } from './option.js';

// Its parts
export { defaultPrices, expectedLoss } from './expectedLoss.js';
export type { Prices } from './expectedLoss.js';
export { planFor } from './plan.js';
export type { PlanStep } from './plan.js';
export { reasonText } from './reasonText.js';
export type { Reason, ReasonCode } from './rules.js';

// What it judges
export { stageKinds } from './interventionFacts.js';
export type {
  Dispute,
  Hiding,
  InterventionFacts,
  RegionRules,
  Rung,
  Situation,
  StageKind,
  Stance,
  Step,
  TreatableCondition,
  Treatment,
} from './interventionFacts.js';
