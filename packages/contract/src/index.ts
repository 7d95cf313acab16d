// Operations
export { calculations, endpoints } from './endpoints/index.js';
export type { CalculationAnswer, CalculationName, CalculationRequest, Endpoint, EndpointName } from './endpoints/index.js';

// Records of a garden
export {
  application,
  applicationLaw,
  applicationTarget,
  brokenLine,
  cardSnapshot,
  decision,
  decisionVerdict,
  saidWeather,
} from './applications.js';
export type { PlantingEvent } from './plantings.js';
export { planting, plantingEvent } from './plantings.js';
export { caseFinding, caseRecord, comment, diagnosis, gardenSettings, place, storedRecords, subject, writtenRecords } from './records.js';
export type {
  Application,
  Case,
  CaseComment,
  CaseFinding,
  Catch,
  PreventionTask,
  ClinicSample,
  Decision,
  Drill,
  GardenSettings,
  LabelCard,
  LeafMeasurement,
  Assessment,
  CasePart,
  Harvest,
  Lesson,
  OwnEntry,
  OwnThreshold,
  Place,
  PlannedApplication,
  Planting,
  Product,
  ScoutingRound,
  StockMove,
  Stop,
  Trap,
  TreatmentPlan,
  Stored,
  Sprayer,
  Subject,
  TestSpray,
  WorkTime,
  Written,
} from './records.js';

// How an eye did
export type { DrillAnswer } from './drills.js';

// All years together
export { almanacAnswer, pastSight } from './almanac.js';
export type { AlmanacAnswer, PastSight } from './almanac.js';

// What came of it
export { assessment, casePart, harvest, lesson } from './recovery.js';
export { listedRecord, mostListed, tableName } from './tables.js';
export type { ListedRecord, TableName } from './tables.js';

// Beside a treatment
export { calibration, sprayer, testSpray } from './treatment.js';

// What is planned
export { plannedApplication, treatmentPlan, workTime } from './plans.js';

// The shelf
export { cardLine, cardRate, labelCard, product, registerEntry, stockMove } from './shelf.js';
export type { CardLine, CardRate, RegisterEntry } from './shelf.js';

// Shapes on the ground plan
export { shape } from './shapes.js';
export type { Shape } from './shapes.js';

// People, sessions, gardens
export { errorAnswer, gardenContents, gardenSummary, person, sessionAnswer, signInRequest, signUpRequest } from './access.js';
export type {
  Change,
  ErrorAnswer,
  GardenContents,
  GardenSummary,
  NewerRecords,
  PastCase,
  PastVersion,
  Person,
  SeasonContents,
  Session,
} from './access.js';
export type { DeviceSession } from './account.js';
export { member } from './sharing.js';
export type { GivenRole, HeldInvitation, Invitation, Member, NewInvitation, NewToken, SecurityEvent, Token } from './sharing.js';

// Plant clinics
export { clinicOffer, clinicReport, clinicResult, clinicSample, sampleMaterial } from './clinic.js';
export type { ClinicOffer, ClinicReport, ClinicResult, SampleMaterial } from './clinic.js';

// Calculations
export { differentialAnswer, differentialRequest, mostFindings } from './calculations/differential.js';
export type { DifferentialAnswer, DifferentialRequest } from './calculations/differential.js';
export { degreeDaysAnswer, degreeDaysRequest } from './calculations/degreeDays.js';
export { efficacyAnswer, efficacyRequest } from './calculations/efficacy.js';
export type { EfficacyAnswer, EfficacyRequest } from './calculations/efficacy.js';
export { freedomAnswer, freedomRequest } from './calculations/freedom.js';
export type { FreedomAnswer, FreedomRequest } from './calculations/freedom.js';
export { hourMs } from './calculations/hourTime.js';
export { infectionRiskAnswer, infectionRiskRequest } from './calculations/infectionRisk.js';
export { mixAnswer, mixRequest } from './calculations/mix.js';
export type { MixAnswer, MixRequest } from './calculations/mix.js';
export { optionsAnswer, optionsRequest } from './calculations/options.js';
export type { OptionsAnswer, OptionsRequest } from './calculations/options.js';
export { planAnswer, planRequest } from './calculations/plan.js';
export type { PlanRequest, PlanResult } from './calculations/plan.js';
export { progressAnswer, progressRequest } from './calculations/progress.js';
export type { ProgressAnswer, ProgressRequest } from './calculations/progress.js';
export { sampleAnswer, sampleRequest } from './calculations/sample.js';
export type { SampleAnswer, SampleRequest } from './calculations/sample.js';
export { seasonRequest, seasonResult, seasonState } from './calculations/season.js';
export type { LibrarySeason, OwnSeason, SeasonRequest, SeasonResult, SeasonState } from './calculations/season.js';

// Weather
export { mostHoursInFile, weatherHour } from './weather.js';
export type { StationState, WeatherAnswer, WeatherSource } from './weather.js';

// Controlled words
export { hiding, measure, onset, pattern, placeKind, role, setting, stance, timeZone, trapKind, unitSystem, verdict } from './words.js';
