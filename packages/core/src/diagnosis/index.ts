// The whole answer
export { differential, mergeFindings } from './differential.js';
export type { Differential, DifferentialQuestion, RankedCause } from './differential.js';
export type { Alert } from './alerts.js';

// Its parts
export { evidenceAmong } from './evidence.js';
export type { Evidence } from './evidence.js';
export { decidingTreatment } from './decision.js';
export { nextChecks } from './nextChecks.js';
export type { NextCheck } from './nextChecks.js';
export { logLikelihood, seenGiven } from './noisyOr.js';
export { candidatesFor } from './candidates.js';
export type { Candidate } from './candidates.js';
export { chanceAfter } from './clinicTest.js';
export type { ClinicTest } from './clinicTest.js';
export { posterior } from './posterior.js';
export type { CauseSet, Posterior } from './posterior.js';
export { relationsAmong } from './relations.js';
export type { Relation } from './relations.js';
export { priorLogOdds, susceptibility } from './prior.js';
export { commonnessTable, frequencyTable, leakTable } from './probabilityTable.js';
export { differenceOf, separation } from './separation.js';
export type { TellingSign } from './separation.js';

// On a round
export { whereToLook } from './whereToLook.js';
export type { LookPlan } from './whereToLook.js';

// The question
export { caseQuestion, historyOf } from './caseQuestion.js';
export type { AskingCase, CaseSurroundings, CaseLine } from './caseQuestion.js';

// Reading lay text
export { buildLexicon } from './text/lexicon.js';
export type { Lexicon } from './text/lexicon.js';
export type { LanguageFacts } from './text/language.js';
export { readText } from './text/readText.js';
export { correctTypo } from './text/correctTypo.js';
export { readWords } from './text/readWords.js';
export type { WordReading } from './text/readWords.js';
export type { Reading } from './text/readText.js';

// What it reasons about
export type {
  CheckFacts,
  Circumstances,
  ConditionFacts,
  Finding,
  Frequency,
  HostFacts,
  Knowledge,
  Neighbour,
  Pattern,
  Setting,
  Sighting,
  SignFacts,
} from './knowledge.js';
export type { Onset } from './onset.js';
export { continentAt } from './continentAt.js';
export type { Continent } from './continentAt.js';
