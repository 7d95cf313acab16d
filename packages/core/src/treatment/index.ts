// The judgement
export { judgeInterventions } from './judgeInterventions.js';
export type { TreatmentAlert, Judgement } from './judgeInterventions.js';
export type { JudgedIntervention, Verdict } from './judgedIntervention.js';

// Its parts
export { expectedLoss, harmScore, minutePrice, moneyPerPlant, pricesOf } from './expectedLoss.js';
export type { Prices } from './expectedLoss.js';
export { isSpray } from './isSpray.js';
export { planFor } from './combinedPlan.js';
export type { PlanStep } from './combinedPlan.js';
export { mustReport } from './mustReport.js';
export { openQuestions } from './openQuestions.js';
export type { OpenFact } from './openQuestions.js';
export type { Reason, ReasonCode } from './rules/reason.js';
export { actsOn, stageChances } from './stageNow.js';

// The question
export { treatmentQuestion } from './treatmentQuestion.js';
export type { CaseOnDay, SaidWeather } from './treatmentQuestion.js';

// What it judges
export { stageKinds } from './interventionFacts.js';
export type {
  Age,
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
  Effect,
  Worth,
} from './interventionFacts.js';

// Take it out, treat it, or leave it
export { rogueOrTreat, sickAtEnd } from './rogueOrTreat.js';
export type { RogueBranch, RogueChoice, RogueQuestion, RogueTree } from './rogueOrTreat.js';
