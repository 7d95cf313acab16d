import type { GardenSettings, Written } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';

// Records as a gardener would write them, for tests to send and to change.

export const settings: GardenSettings = {
  name: 'Test bed',
  latitude: null,
  longitude: null,
  timeZone: 'Europe/London',
  units: 'metric',
  stance: 'organic',
  region: 'neutral',
};

export const bed: Written<'places'> = { name: 'Bed', kind: 'bed', setting: 'outdoor', areaM2: null, note: '', endedOn: null };

export const planting = (placeId: string): Written<'plantings'> => ({
  placeId,
  host: 'potato',
  cultivar: '',
  plants: 3,
  plantedOn: '2026-05-01',
  setting: 'outdoor',
  inFlower: false,
  eaten: true,
  nextHarvestOn: null,
  note: '',
  endedOn: null,
});

export const sickness = (plantingId: string): Written<'cases'> => ({
  plantingId,
  openedOn: '2026-07-10',
  words: 'dark wet blotches',
  findings: [{ sign: 'wet-dark-blotches', state: 'seen', source: 'text', phrase: 'dark wet blotches', on: '2026-07-10' }],
  onset: 'days',
  pattern: null,
  stage: null,
  hidden: null,
  helpersSeen: false,
  diagnoses: [{ on: '2026-07-10', conditions: ['late-blight'], why: '' }],
  closedOn: null,
  outcome: null,
  note: '',
});

export const decision = (caseId: string): Written<'decisions'> => ({
  caseId,
  option: 'copper',
  verdict: 'fits',
  decidedOn: '2026-07-10',
  lookAgainOn: '2026-07-13',
  note: '',
});

export const application = (plantingId: string): Written<'applications'> => ({
  caseId: null,
  plantingId,
  option: 'copper',
  appliedAt: '2026-07-17T18:00:00Z',
  plants: 3,
  productAmount: 3,
  productUnit: 'g',
  waterL: 1,
  coveredPart: 'leaves',
  appliedBy: 'Owner',
  temperatureC: null,
  windKmh: null,
  sky: '',
  why: 'blight',
});

export const look = (caseId: string, plantingId: string): Written<'looks'> => ({
  caseId,
  plantingId,
  lookedOn: '2026-07-13',
  severity: 4,
  count: null,
  newGrowth: 'clean',
  nextLookOn: null,
  note: '',
});

/** The body of a first write. */
export const fresh = (value: unknown) => ({ change: randomUUID(), version: 0, value });
