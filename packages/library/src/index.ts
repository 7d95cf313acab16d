// Entries and their schemas
export { check, condition, host, intervention, library, region, sign, task } from './entries.js';
export type {
  Check,
  Companion,
  Condition,
  Dispute,
  Host,
  Intervention,
  Level,
  Library,
  Region,
  SeasonModel,
  Sign,
  Stance,
  Task,
} from './entries.js';

// Controlled words
export { conditionKind, evidence, frequency, hiding, onset, part, pattern, role, rung, setting, stageKind, stance } from './vocabulary.js';

// Reading
export { crossCheck } from './crossCheck.js';
export { checkOwnEntry } from './checkOwnEntry.js';
export type { EntryFault } from './contradictions.js';
export { ownKinds, withOwnEntries } from './withOwnEntries.js';
export type { OwnEntryFacts, OwnKind } from './withOwnEntries.js';
export { findByName, searchByName } from './names/find.js';
