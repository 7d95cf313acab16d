import type { GardenSettings, Written } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import sharp from 'sharp';

// Records as a gardener would write them, for tests to send and to change.

export {
  application,
  decision,
  labelCard,
  plannedApplication,
  product,
  sprayer,
  stockMove,
  testSpray,
  treatmentPlan,
} from './testTreatmentRecords.js';

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

export const bed: Written<'places'> = {
  name: 'Bed',
  kind: 'bed',
  setting: 'outdoor',
  areaM2: null,
  shape: null,
  light: null,
  note: '',
  endedOn: null,
};

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
  parts: [],
  photos: [],
  diagnoses: [{ on: '2026-07-10', conditions: ['late-blight'], why: '' }],
  closedOn: null,
  outcome: null,
  note: '',
});

export const assessment = (caseId: string, plantingId: string): Written<'assessments'> => ({
  caseId,
  plantingId,
  assessedOn: '2026-07-13',
  partId: null,
  plant: 3,
  scale: 'leaf',
  severity: 4,
  count: 7,
  counts: [3, 0, 4],
  countedOn: 'leaf',
  plantsLooked: 3,
  plantsMarked: 2,
  newGrowth: 'clean',
  flowers: 5,
  photos: [],
  nextAssessmentOn: null,
  note: '',
});

export const harvest = (plantingId: string): Written<'harvests'> => ({
  plantingId,
  pickedOn: '2026-07-14',
  kg: 2.5,
  pieces: 30,
  wasteKg: 0.2,
  by: 'Wren',
  note: '',
});

export const lesson: Written<'lessons'> = {
  writtenOn: '2026-07-14',
  text: 'Cover the potatoes by the end of May.',
  condition: 'late-blight',
  host: 'potato',
  dueOn: '2027-05-25',
  doneOn: null,
};

export const drill: Written<'drills'> = {
  heldAt: '2026-07-12T18:00:00.000Z',
  by: 'Wren',
  answers: [
    { kind: 'leaf', item: 'leaf/spots', seconds: 6.5, truth: 12.25, guess: 20 },
    { kind: 'stage', item: 'stage/aphids', seconds: 3, truth: 'nymph', guess: 'adult' },
    {
      kind: 'look-alikes',
      item: 'look-alikes/leek',
      seconds: 30,
      truth: 'leek-rust',
      guess: 'leek-rust',
      looks: 2,
      bits: 1.4,
      bestBits: 1.5,
    },
  ],
};

export const removal = (caseId: string, plantingId: string): Written<'removals'> => ({
  caseId,
  plantingId,
  startedOn: '2026-07-12',
  plants: 2,
  reported: '',
  done: [{ step: 'wear', at: '2026-07-12T08:00:00.000Z', by: 'Wren' }],
  photos: [],
  endedOn: null,
  note: '',
});

export const groundEvent = (placeId: string): Written<'groundEvents'> => ({
  placeId,
  happenedOn: '2026-07-10',
  kind: 'cleaned',
  condition: 'allium-white-rot',
  person: 'Wren',
  things: ['spade', 'boots'],
  disinfectant: 'Bleach, 1 part in 10',
  minutes: 10,
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
  photos: [],
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
