// Operations
export { endpoints } from './endpoints.js';
export type { Endpoint, EndpointName } from './endpoints.js';

// Records of a garden
export {
  application,
  applicationWaits,
  caseFinding,
  caseRecord,
  decision,
  diagnosis,
  gardenSettings,
  place,
  planting,
  recoveryLook,
  storedRecords,
  subject,
  writtenRecords,
} from './records.js';
export type {
  Application,
  Case,
  CaseFinding,
  Decision,
  GardenSettings,
  Look,
  Place,
  Planting,
  Stored,
  Subject,
  Written,
} from './records.js';

// People, sessions, gardens
export { errorAnswer, gardenContents, gardenSummary, member, person, sessionAnswer, signInRequest, signUpRequest } from './access.js';
export type { Change, ErrorAnswer, GardenContents, GardenSummary, Member, Person, Session } from './access.js';

// Calculations
export {
  differentialAnswer,
  differentialRequest,
  mixAnswer,
  mixRequest,
  optionsAnswer,
  optionsRequest,
  progressAnswer,
  progressRequest,
} from './calc.js';
export type {
  DifferentialAnswer,
  DifferentialRequest,
  MixAnswer,
  MixRequest,
  OptionsAnswer,
  OptionsRequest,
  ProgressAnswer,
  ProgressRequest,
} from './calc.js';

// Controlled words
export { hiding, onset, pattern, placeKind, role, setting, stance, timeZone, unitSystem, verdict } from './words.js';
