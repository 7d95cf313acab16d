import type { Written } from '@field-nurse/contract';
import type { PlantingKey } from './osierReach.js';
import type { demoShelf } from './osierReachShelf.js';

// What is planned at Osier Reach, and who has time for it.

interface PlanSketch {
  readonly planting: PlantingKey;
  readonly against: readonly string[];
  readonly interventions: readonly string[];
  readonly starts: string;
  readonly rounds: number;
  readonly betweenDays: number;
  readonly placed: readonly {
    readonly on: string;
    readonly slot: Written<'plannedApplications'>['slot'];
    readonly intervention: string;
    readonly pack?: keyof typeof demoShelf;
    readonly person: string;
    readonly held?: boolean;
  }[];
}

export const demoPlans: readonly PlanSketch[] = [
  {
    planting: 'potatoes',
    against: ['late-blight'],
    interventions: ['copper'],
    starts: '2026-07-18',
    rounds: 3,
    betweenDays: 7,
    placed: [
      { on: '2026-07-21', slot: 'evening', intervention: 'copper', pack: 'copper', person: 'Wren Sallow' },
      { on: '2026-07-28', slot: 'evening', intervention: 'copper', pack: 'copper', person: 'Wren Sallow' },
    ],
  },
  {
    planting: 'leeks',
    against: ['leek-rust'],
    interventions: ['sulphur'],
    starts: '2026-07-18',
    rounds: 2,
    betweenDays: 10,
    placed: [
      { on: '2026-07-22', slot: 'evening', intervention: 'sulphur', pack: 'sulphur', person: 'Tam Reedmace' },
      { on: '2026-08-02', slot: 'evening', intervention: 'sulphur', pack: 'sulphur', person: 'Tam Reedmace', held: true },
    ],
  },
  {
    planting: 'monstera',
    against: ['thrips'],
    interventions: ['wipe-leaves'],
    starts: '2026-07-18',
    rounds: 3,
    betweenDays: 7,
    placed: [{ on: '2026-07-18', slot: 'evening', intervention: 'wipe-leaves', person: 'Isa Marrow' }],
  },
];

export const demoWorkTimes: readonly Written<'workTimes'>[] = [
  {
    person: 'Wren Sallow',
    minutesPerDay: 180,
    exceptions: [
      { on: '2026-07-19', minutes: 0 },
      { on: '2026-07-20', minutes: 0 },
    ],
    endedOn: null,
  },
  { person: 'Tam Reedmace', minutesPerDay: 120, exceptions: [{ on: '2026-07-19', minutes: 0 }], endedOn: null },
  { person: 'Isa Marrow', minutesPerDay: 60, exceptions: [], endedOn: null },
];

/** What they spray with, and what was measured of it in spring. */
export const demoSprayers: readonly Written<'sprayers'>[] = [
  {
    name: 'Back sprayer',
    holdsL: 12,
    newFlowLPerMin: 0.8,
    calibrations: [
      { on: '2025-04-06', litres: 1.65, seconds: 120, metres: 40, widthM: 1.2, plants: null },
      { on: '2026-04-11', litres: 1.84, seconds: 120, metres: 40, widthM: 1.2, plants: null },
    ],
    endedOn: null,
  },
  {
    name: 'Hand sprayer',
    holdsL: 1.5,
    newFlowLPerMin: null,
    calibrations: [{ on: '2026-05-02', litres: 0.9, seconds: null, metres: null, widthM: null, plants: 30 }],
    endedOn: null,
  },
];

/** What was learnt, and what is to be done otherwise. */
export const demoLessons: readonly Written<'lessons'>[] = [
  {
    writtenOn: '2025-08-09',
    text: 'Mesh on the cabbages from planting day, and shut it after weeding.',
    condition: 'cabbage-white',
    host: 'cabbage',
    dueOn: null,
    doneOn: null,
  },
  {
    writtenOn: '2026-06-24',
    text: 'Straw under the strawberries by 20 May.',
    condition: 'grey-mould',
    host: 'strawberry',
    dueOn: '2027-05-20',
    doneOn: null,
  },
  {
    writtenOn: '2026-07-16',
    text: 'Seed garlic from another grower: ours carries the grains.',
    condition: 'allium-white-rot',
    host: 'garlic',
    dueOn: '2026-09-20',
    doneOn: null,
  },
];

/** What was picked. */
export const demoHarvests: readonly (Omit<Written<'harvests'>, 'plantingId'> & { readonly planting: string })[] = [
  ...(
    [
      ['strawberries', '2026-06-12', 3.2, 0.4],
      ['strawberries', '2026-06-17', 4.1, 0.2],
      ['strawberries', '2026-06-24', 2.6, 0.1],
      ['cucumbers', '2026-07-06', 2.2, null],
      ['cucumbers', '2026-07-13', 3.4, null],
      ['beans', '2026-07-10', 1.8, 0.1],
      ['beans', '2026-07-16', 2.4, 0.1],
    ] as const
  ).map(([planting, pickedOn, kg, wasteKg]) => ({ planting, pickedOn, kg, pieces: null, wasteKg, by: 'Wren Sallow', note: '' })),
];
