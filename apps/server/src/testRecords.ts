import type { GardenSettings, Written } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import sharp from 'sharp';

// Records as a gardener would write them, for tests to send and to change.

export const settings: GardenSettings = {
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
};

export const bed: Written<'places'> = { name: 'Bed', kind: 'bed', setting: 'outdoor', areaM2: null, shape: null, note: '', endedOn: null };

export const planting = (placeId: string): Written<'plantings'> => ({
  placeId,
  host: 'potato',
  cultivar: '',
  plants: 3,
  rows: 1,
  shape: null,
  quarantine: null,
  assumed: [],
  plantedOn: '2026-05-01',
  setting: 'outdoor',
  eaten: true,
  events: [],
  note: '',
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
  stance: null,
  schools: [],
  photos: [],
  diagnoses: [{ on: '2026-07-10', conditions: ['late-blight'], why: '' }],
  closedOn: null,
  outcome: null,
  note: '',
});

export const sprayer: Written<'sprayers'> = {
  name: 'Back sprayer',
  holdsL: 12,
  newFlowLPerMin: 0.8,
  calibrations: [{ on: '2026-04-11', litres: 1.84, seconds: 120, metres: 40, widthM: 1.2, plants: null }],
  endedOn: null,
};

export const testSpray = (plantingId: string): Written<'testSprays'> => ({
  plantingId,
  caseId: null,
  intervention: 'copper',
  productId: null,
  sprayedOn: '2026-07-10',
  lookOn: '2026-07-12',
  outcome: 'waiting',
  note: '',
});

export const decision = (caseId: string): Written<'decisions'> => ({
  caseId,
  intervention: 'copper',
  decidedOn: '2026-07-10',
  nextAssessmentOn: '2026-07-13',
  note: '',
});

export const product: Written<'products'> = {
  name: 'Copperline 50',
  intervention: 'copper',
  strength: { amount: 50, unit: 'percent' },
  form: 'powder',
  measuredIn: 'g',
  packAmount: 500,
  densityGPerMl: null,
  registration: '',
  barcode: '',
  soldTo: 'amateur',
  batch: 'B 7',
  boughtOn: '2026-05-01',
  openedOn: null,
  bestBefore: null,
  price: 14,
  keptIn: 'shed',
  lowAt: 50,
  note: '',
  endedOn: null,
};

export const labelCard = (productId: string): Written<'labelCards'> => ({
  productId,
  source: 'copied',
  readOn: '2026-05-01',
  validUntil: null,
  soldTo: 'amateur',
  reEntryHours: 6,
  rainFastHours: 2,
  temperatureC: null,
  maxWindKmh: 12,
  bufferM: 5,
  bees: 'none',
  daysBeforeFlower: 0,
  apartFrom: [],
  protect: ['gloves'],
  lines: [
    {
      host: 'potato',
      target: null,
      rate: { low: 20, high: 30, unit: 'g', per: { amount: 10, unit: 'l' } },
      waterLPerM2: 0.1,
      preHarvestDays: 5,
      repeatDays: [10, 14],
      seasonMax: 3,
      settings: ['outdoor'],
      stages: 'until the haulm dies down',
    },
  ],
  photos: [],
  note: '',
});

export const stockMove = (productId: string): Written<'stockMoves'> => ({
  productId,
  movedAt: '2026-05-01T09:00:00.000Z',
  kind: 'bought',
  amount: 500,
  note: '',
});

export const treatmentPlan = (plantingId: string, caseId: string | null = null): Written<'treatmentPlans'> => ({
  plantingId,
  caseId,
  against: ['late-blight'],
  interventions: ['copper'],
  startsOn: '2026-07-18',
  rounds: 3,
  betweenDays: 10,
  endedOn: null,
  note: '',
});

export const plannedApplication = (planId: string): Written<'plannedApplications'> => ({
  planId,
  ordinal: 1,
  intervention: 'copper',
  productId: null,
  plannedFor: '2026-07-28',
  slot: 'evening',
  held: false,
  person: 'Wren',
  state: 'planned',
  startedAt: null,
  applicationId: null,
  note: '',
});

export const application = (plantingId: string, caseId: string | null = null): Written<'applications'> => ({
  intervention: 'copper',
  appliedAt: '2026-07-17T18:00:00Z',
  targets: [{ plantingId, caseId, plants: 3, areaM2: null, coveredPart: 'leaves' }],
  productMl: null,
  productG: 3,
  productPieces: null,
  waterL: 1,
  kit: 'knapsack',
  appliedBy: 'Owner',
  temperatureC: null,
  windKmh: null,
  sky: '',
  why: 'blight',
});

export const assessment = (caseId: string, plantingId: string): Written<'assessments'> => ({
  caseId,
  plantingId,
  assessedOn: '2026-07-13',
  severity: 4,
  count: null,
  newGrowth: 'clean',
  nextAssessmentOn: null,
  note: '',
});

export const sample = (caseId: string): Written<'clinicSamples'> => ({
  caseId,
  clinic: 'reedbank',
  clinicName: 'Reedbank plant clinic',
  material: 'leaves',
  testFor: ['late-blight'],
  registeredOn: '2026-07-11',
  packed: [],
  sentOn: null,
  results: [],
  reportedOn: null,
  note: '',
});

export const trap = (placeId: string): Written<'traps'> => ({
  placeId,
  name: 'Card by the door',
  kind: 'sticky-card',
  target: 'glasshouse-whitefly',
  spots: [{ from: '2026-07-01', name: 'by the door', x: 1, y: 2 }],
  pauses: [{ from: '2026-07-03', until: '2026-07-05' }],
  weeklyLevel: null,
  note: '',
  endedOn: null,
});

export const trapCatch = (trapId: string): Written<'catches'> => ({
  trapId,
  checkedOn: '2026-07-08',
  caught: [{ what: 'whitefly', count: 4 }],
  emptied: true,
  note: '',
});

export const round = (walk: string[]): Written<'scoutingRounds'> => ({
  startedAt: '2026-07-18T08:00:00.000Z',
  endedAt: null,
  by: 'Owner',
  walk,
});

export const stop = (roundId: string, plantingId: string): Written<'stops'> => ({
  roundId,
  plantingId,
  lookedAt: '2026-07-18T08:05:00.000Z',
  found: true,
  signs: ['wet-dark-blotches'],
  target: 'late-blight',
  measure: 'any',
  sample: [0, 0, 1],
  decision: 'act',
  severity: 3,
  gauged: null,
  damage: 'new',
  helpers: 0,
  droppings: false,
  eggs: false,
  caseId: null,
  photos: [],
  note: '',
});

export const leafMeasurement = (plantingId: string | null): Written<'leafMeasurements'> => ({
  plantingId,
  measuredAt: '2026-07-18T08:06:00.000Z',
  eyedPercent: 20,
  eatenPercent: 8,
  discolouredPercent: 2,
  uncertainty: 1,
  spots: 3,
  areaMm2: null,
  by: 'Owner',
  note: '',
});

export const preventionTask = (placeId: string): Written<'preventionTasks'> => ({
  placeId,
  task: 'mulch-depth',
  doneOn: '2026-07-10',
  outcome: 'done',
  amount: 5,
  note: '',
});

/** A trouble of the garden's own, complete but for what the schema fills in. */
export const ownTrouble: Written<'ownEntries'> = {
  kind: 'conditions',
  entry: {
    id: 'tide-scorch',
    name: 'Tide scorch',
    kind: 'injury',
    role: 'primary',
    common: 'occasional',
    summary: 'Salt spray browns the river side.',
    hosts: { often: ['potato'] },
    settings: ['outdoor'],
    months: [9, 10],
    onset: 'overnight',
    patterns: ['one-side'],
    signs: { 'scorched-edges': 'always' },
    stages: [{ id: 'spray', kind: 'any', does: 'Dries on the leaf.' }],
    checks: ['sun-side'],
    lookalikes: [],
    threshold: { act: 'When it is forecast.', basis: 'Two autumns here.' },
    treat: [{ intervention: 'water-jet', stages: ['any'], efficacy: [40, 70], evidence: 'weak' }],
    prevention: ['Hazel screen.'],
    persistence: 'None.',
    spread: 'Wind.',
    recovery: { sign: 'New leaves whole.', lookAgainDays: 14 },
  },
  why: 'Seen twice after a spring tide.',
  endedOn: null,
};

export const ownThreshold: Written<'thresholds'> = {
  condition: 'leek-rust',
  measure: 'leaf-percent',
  act: 5,
  why: 'For show.',
  endedOn: null,
};

/** A small picture that says where it was taken, as cameras do. */
export const smallPhoto = () =>
  sharp({ create: { width: 60, height: 40, channels: 3, background: 'green' } })
    .withExif({ IFD0: { Copyright: 'Owner' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 54/1 0/1' } })
    .jpeg()
    .toBuffer();

/** The body of a first write. */
export const fresh = (value: unknown) => ({ change: randomUUID(), version: 0, value });
