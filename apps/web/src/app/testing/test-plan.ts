import type { PlannedApplication, TreatmentPlan } from '@field-nurse/contract';

// What is planned in the small test garden.

export const sulphurPlan: TreatmentPlan = {
  id: 'sulphur-plan',
  version: 1,
  plantingId: 'leeks',
  caseId: 'rust',
  against: ['leek-rust'],
  interventions: ['sulphur'],
  startsOn: '2026-07-18',
  rounds: 2,
  betweenDays: 7,
  endedOn: null,
  note: '',
};

export const sulphurRound: PlannedApplication = {
  id: 'b-first-round',
  version: 1,
  planId: 'sulphur-plan',
  ordinal: 1,
  intervention: 'sulphur',
  productId: 'sulphur-pack',
  plannedFor: '2026-07-18',
  slot: 'evening',
  held: false,
  person: 'Wren',
  state: 'planned',
  startedAt: null,
  applicationId: null,
  note: '',
};
