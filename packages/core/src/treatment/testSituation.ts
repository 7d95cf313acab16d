import type { InterventionFacts, Situation, TreatableCondition, Effect } from './interventionFacts.js';

/** A plain soft spray on leaves, for tests to change. */
export const spray: InterventionFacts = {
  id: 'spray',
  name: 'Spray',
  rung: 'soft',
  reach: 'contact',
  organic: true,
  restricted: false,
  bees: 'none',
  helpers: 'none',
  settings: ['outdoor', 'greenhouse', 'indoor', 'hydroponic'],
  onEaten: true,
  reEntryHours: 0,
  preHarvestDays: 0,
  preHarvestOn: [],
  daysBeforeFlower: 0,
  kills: [],
  dont: false,
  nextSeason: false,
  animals: 'none',
  water: 'none',
  onlyHosts: [],
  undoes: [],
  minutesPerPlant: 1,
  costPerPlant: 0.1,
  harmsHosts: [],
  apartFrom: [],
  needsHelpers: false,
  order: 'spray',
  disputes: [],
};

export const treatment = (intervention: string, rest: Partial<Effect> = {}): Effect => ({
  intervention,
  stages: ['nymph', 'adult'],
  efficacy: [50, 80],
  evidence: 'strong',
  ...rest,
});

export const condition = (id: string, treat: readonly Effect[]): TreatableCondition => ({
  id,
  name: id,
  reportable: 'no',
  stages: [
    { id: 'colony', kind: 'nymph' },
    { id: 'winter-eggs', kind: 'egg' },
  ],
  treat,
  disputes: [],
});

/** Leeks outdoors, to be eaten, on an organic ground, with one condition that the spray acts on. */
export const situation: Situation = {
  host: { id: 'leek', family: 'alliums' },
  conditions: [condition('aphid', [treatment('spray')])],
  setting: 'outdoor',
  inFlower: false,
  edible: true,
  daysToHarvest: 60,
  helpersSeen: false,
  earlier: [],
  stance: 'organic',
  region: {
    id: 'neutral',
    authority: 'the plant-health authority',
    notifiable: [],
    notListed: [],
    soldHere: [],
    forbidden: [],
    restricted: [],
  },
  notListed: [],
};
