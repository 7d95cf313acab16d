import type {
  Application,
  Assessment,
  Case,
  ClinicSample,
  Decision,
  GardenContents,
  GardenSummary,
  Place,
  Planting as PlantingRecord,
} from '@field-nurse/contract';
import { appliedTo } from '../gardens/applied';
import { plantingNow } from '../gardens/plantings-now';

// A garden of one sick planting, for tests to change. The day is 18 July 2026.

export const today = '2026-07-18';
export const now = '2026-07-18T09:30:00.000Z';

export const summary: GardenSummary = {
  id: 'g',
  role: 'owner',
  name: 'Test bed',
  latitude: null,
  longitude: null,
  timeZone: 'Europe/London',
  units: 'metric',
  stance: 'organic',
  region: 'neutral',
  notListed: [],
  schools: [],
  seasonStart: null,
  weatherStation: null,
  fixedNow: now,
};

export const place: Place = {
  id: 'bed',
  version: 1,
  name: 'Bed',
  kind: 'bed',
  setting: 'outdoor',
  areaM2: null,
  shape: null,
  light: null,
  note: '',
  endedOn: null,
};

export const plantingRecord: PlantingRecord = {
  id: 'leeks',
  version: 1,
  placeId: 'bed',
  host: 'leek',
  cultivar: 'Spar',
  plants: 20,
  rows: 1,
  shape: null,
  quarantine: null,
  assumed: [],
  plantedOn: '2026-05-01',
  setting: 'outdoor',
  eaten: true,
  events: [{ kind: 'harvest', on: '2026-07-22', until: null }],
  note: '',
};

/** as it stands today */
export const planting = plantingNow(plantingRecord, today);

export const sickness: Case = {
  id: 'rust',
  version: 1,
  plantingId: 'leeks',
  openedOn: '2026-07-01',
  words: '',
  findings: [],
  onset: null,
  pattern: null,
  stage: null,
  hidden: null,
  helpersSeen: false,
  stance: null,
  schools: [],
  parts: [],
  photos: [],
  diagnoses: [{ on: '2026-07-01', conditions: ['leek-rust'], why: '' }],
  closedOn: null,
  outcome: null,
  note: '',
};

export const decision: Decision = {
  id: 'd',
  version: 1,
  caseId: 'rust',
  intervention: 'sulphur',
  verdict: 'fits',
  decidedOn: '2026-07-01',
  nextAssessmentOn: '2026-07-11',
  weather: null,
  planId: null,
  reasons: [],
  note: '',
};

export const application: Application = {
  collected: null,
  id: 'a',
  version: 1,
  intervention: 'sulphur',
  productId: null,
  appliedAt: '2026-07-02T18:00:00.000Z',
  targets: [{ plantingId: 'leeks', caseId: 'rust', plants: 20, areaM2: null, coveredPart: 'leaves', notPickedBefore: '2026-07-03' }],
  productMl: null,
  productG: 6,
  productPieces: null,
  waterL: 2,
  kit: '',
  appliedBy: 'Wren',
  temperatureC: null,
  windKmh: null,
  sky: '',
  why: 'rust',
  card: { name: 'Sulphur', source: 'typical', preHarvestDays: 1, reEntryHours: 24, repeatDays: [7, 14], seasonMax: 8 },
  brokenLines: [],
  reEntryAt: '2026-07-03T18:00:00.000Z',
  repeatFrom: '2026-07-09',
  measured: null,
  personId: null,
};

/** as its planting had it */
export const applied = appliedTo([application])[0]!;

export const assessment: Assessment = {
  id: 'l',
  version: 1,
  caseId: 'rust',
  plantingId: 'leeks',
  assessedOn: '2026-07-03',
  partId: null,
  plant: null,
  scale: 'plant',
  severity: 10,
  count: null,
  counts: [],
  countedOn: 'plant',
  plantsLooked: null,
  plantsMarked: null,
  newGrowth: 'marked',
  flowers: null,
  photos: [],
  nextAssessmentOn: null,
  note: '',
};

export const contents: GardenContents = {
  garden: summary,
  sequence: 7,
  season: { from: '2026-01-01', to: '2026-12-31' },
  firstSeason: '2025-01-01',
  pastCases: [],
  places: [place],
  plantings: [plantingRecord],
  cases: [sickness],
  products: [],
  labelCards: [],
  stockMoves: [],
  treatmentPlans: [],
  plannedApplications: [],
  workTimes: [],
  sprayers: [],
  harvests: [],
  lessons: [],
  removals: [],
  drills: [],
  groundEvents: [],
  testSprays: [],
  decisions: [decision],
  applications: [application],
  assessments: [assessment],
  traps: [],
  catches: [],
  scoutingRounds: [],
  stops: [],
  leafMeasurements: [],
  preventionTasks: [],
  ownEntries: [],
  clinicSamples: [],
  comments: [],
  thresholds: [],
};

/** the garden as its pages read it today */
export const gardenNow = { ...contents, plantings: [planting], applications: [applied] };

export const sample: ClinicSample = {
  id: 's',
  version: 1,
  caseId: 'rust',
  clinic: 'reedbank',
  clinicName: 'Reedbank plant clinic',
  material: 'leaves',
  testFor: ['leek-rust'],
  registeredOn: '2026-07-06',
  packed: [],
  sentOn: null,
  results: [],
  reportedOn: null,
  note: '',
};
