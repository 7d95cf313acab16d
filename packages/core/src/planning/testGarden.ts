import type { GardenToday } from './agenda.js';

// A garden of one sick planting, for tests to change. The day is 18 July 2026.

export const today = '2026-07-18';
export const now = '2026-07-18T09:30:00.000Z';

export const planting: GardenToday['plantings'][number] = {
  id: 'leeks',
  eaten: true,
  harvest: { from: '2026-07-22' },
  nextHarvestOn: '2026-07-22',
  endedOn: null,
};

export const sickness: GardenToday['cases'][number] = { id: 'rust', plantingId: 'leeks', closedOn: null, diagnoses: ['leek-rust'] };

export const decision: GardenToday['decisions'][number] = { caseId: 'rust', decidedOn: '2026-07-01', nextAssessmentOn: '2026-07-11' };

export const applied: GardenToday['applications'][number] = {
  caseId: 'rust',
  plantingId: 'leeks',
  intervention: 'sulphur',
  appliedAt: '2026-07-02T18:00:00.000Z',
  reEntryAt: '2026-07-03T18:00:00.000Z',
  notPickedBefore: '2026-07-03',
  repeatFrom: '2026-07-09',
};

export const assessment: GardenToday['assessments'][number] = {
  caseId: 'rust',
  assessedOn: '2026-07-03',
  severity: 10,
  count: null,
  newGrowth: 'marked',
  partId: null,
  plant: null,
  nextAssessmentOn: null,
};

export const garden: GardenToday = {
  plantings: [planting],
  cases: [sickness],
  decisions: [decision],
  applications: [applied],
  assessments: [assessment],
  samples: [],
  today,
  now,
};
