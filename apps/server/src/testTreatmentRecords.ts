import type { Written } from '@field-nurse/contract';

// Records of shelf, plan and log for tests.

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
