import type { Written } from '@field-nurse/contract';
import type { demoPlaces, PlantingKey } from './osierReach.js';

// What the people of Osier Reach found on their rounds and in their traps, up to the morning of 18 July 2026.

type PlaceKey = keyof typeof demoPlaces;

/** A reading: the day, how many, and what else was in it. */
type Reading = readonly [on: string, count: number, others?: readonly { readonly what: string; readonly count: number }[]];

export interface TrapSketch {
  readonly at: PlaceKey;
  readonly name: string;
  readonly kind: Written<'traps'>['kind'];
  readonly target: string | null;
  readonly what: string;
  readonly spots: Written<'traps'>['spots'];
  readonly pauses?: Written<'traps'>['pauses'];
  readonly note?: string;
  readonly read: readonly Reading[];
}

export const demoTraps: readonly TrapSketch[] = [
  {
    at: 'wall',
    name: 'Moth trap in the cordons',
    kind: 'pheromone',
    target: 'codling-moth',
    what: 'codling moths',
    spots: [{ from: '2026-05-10', name: 'third cordon, head height', x: 7.4, y: 1 }],
    note: 'New lure every five weeks.',
    read: [
      ['2026-05-17', 0],
      ['2026-05-24', 0],
      ['2026-05-31', 1],
      ['2026-06-07', 7],
      ['2026-06-14', 5],
      ['2026-06-21', 3],
      ['2026-06-28', 2],
      ['2026-07-05', 1],
      ['2026-07-12', 2],
    ],
  },
  {
    at: 'long',
    name: 'Leek moth trap',
    kind: 'pheromone',
    target: 'leek-moth',
    what: 'leek moths',
    spots: [
      { from: '2026-05-20', name: 'east end', x: 18.2, y: 3.5 },
      { from: '2026-06-17', name: 'west end, out of the wind', x: 1.8, y: 3.5 },
    ],
    read: [
      ['2026-05-27', 2],
      ['2026-06-03', 4],
      ['2026-06-10', 6],
      ['2026-06-17', 3],
      ['2026-06-24', 12],
      ['2026-07-01', 9],
      ['2026-07-08', 3],
      ['2026-07-15', 4],
    ],
  },
  {
    at: 'tunnel',
    name: 'Card by the tunnel door',
    kind: 'sticky-card',
    target: 'glasshouse-whitefly',
    what: 'whitefly',
    spots: [{ from: '2026-05-20', name: 'south door', x: 22.8, y: 6 }],
    read: [
      ['2026-05-27', 2, [{ what: 'thrips', count: 1 }]],
      ['2026-06-03', 5],
      ['2026-06-10', 6, [{ what: 'thrips', count: 3 }]],
      ['2026-06-17', 4],
      ['2026-06-24', 4],
      ['2026-07-01', 3],
      ['2026-07-08', 4],
      ['2026-07-15', 3],
    ],
  },
  {
    at: 'tunnel',
    name: 'Card at the far end',
    kind: 'sticky-card',
    target: 'glasshouse-whitefly',
    what: 'whitefly',
    spots: [{ from: '2026-05-20', name: 'north end, over the basil', x: 33.2, y: 6 }],
    read: [
      ['2026-05-27', 0],
      ['2026-06-10', 1],
      ['2026-06-24', 0],
      ['2026-07-08', 1],
      ['2026-07-15', 0],
    ],
  },
  {
    at: 'bench',
    name: 'Card over the seed trays',
    kind: 'sticky-card',
    target: 'fungus-gnat',
    what: 'small black flies',
    spots: [{ from: '2026-06-19', name: 'a hand above the trays', x: 38.5, y: 4.6 }],
    read: [
      ['2026-06-26', 11],
      ['2026-07-03', 5],
      ['2026-07-10', 1],
      ['2026-07-16', 0],
    ],
  },
  {
    at: 'berries',
    name: 'Board by the path',
    kind: 'slug',
    target: 'slugs',
    what: 'slugs',
    spots: [{ from: '2026-06-01', name: 'east edge', x: 6.6, y: 10 }],
    read: [
      ['2026-06-08', 5],
      ['2026-06-15', 2],
      ['2026-06-22', 1],
      ['2026-07-06', 0],
      ['2026-07-13', 6],
      ['2026-07-16', 3],
    ],
  },
  {
    at: 'cutting',
    name: 'Pots on the dahlia canes',
    kind: 'slug',
    target: 'earwig',
    what: 'earwigs',
    spots: [{ from: '2026-07-14', name: 'twelve pots, straw inside', x: 28, y: 12.6 }],
    read: [
      ['2026-07-15', 26],
      ['2026-07-17', 18],
    ],
  },
  {
    at: 'shed',
    name: 'Box by the seed bins',
    kind: 'snap',
    target: null,
    what: 'mice',
    spots: [{ from: '2026-07-08', name: 'along the west wall', x: 18.4, y: 14 }],
    read: [
      ['2026-07-09', 1],
      ['2026-07-11', 0],
      ['2026-07-14', 1],
      ['2026-07-16', 0],
    ],
  },
  {
    at: 'leanTo',
    name: 'Box behind the bench',
    kind: 'snap',
    target: null,
    what: 'mice',
    spots: [{ from: '2026-02-02', name: 'along the back wall', x: 40.2, y: 7.4 }],
    pauses: [{ from: '2026-04-01', until: null }],
    note: 'Closed box, two doors. Set from November to March.',
    read: [
      ['2026-02-03', 1],
      ['2026-02-04', 0],
      ['2026-02-06', 1],
      ['2026-03-02', 0],
    ],
  },
];

export interface RoundSketch {
  readonly at: string;
  readonly by: string;
  /** places that were walked; all of them where none is named */
  readonly places?: readonly PlaceKey[];
}

/** Rounds on which every planting without an open case was looked at, and nothing found but what stands in `demoFinds`. */
export const demoRounds: readonly RoundSketch[] = [
  { at: '2026-06-19T06:30:00.000Z', by: 'Wren Sallow' },
  { at: '2026-06-26T06:40:00.000Z', by: 'Tam Reedmace' },
  { at: '2026-07-03T06:30:00.000Z', by: 'Wren Sallow' },
  { at: '2026-07-10T06:20:00.000Z', by: 'Isa Marrow' },
  { at: '2026-07-15T17:10:00.000Z', by: 'Tam Reedmace', places: ['tunnel', 'bench', 'sill', 'cabbages', 'tide'] },
];

/** What was found at single stops: the round by its number, the planting, and the stop's own fields. */
export const demoFinds: readonly {
  readonly round: number;
  readonly planting: PlantingKey;
  readonly stop: Partial<Written<'stops'>>;
}[] = [
  {
    round: 2,
    planting: 'cabbages',
    stop: { found: true, signs: ['small-round-holes'], damage: 'old', note: 'Old holes from before the mesh.' },
  },
  {
    round: 4,
    planting: 'kale',
    stop: {
      found: true,
      eggs: true,
      target: 'cabbage-white',
      measure: 'plants-percent',
      sample: [0, 0, 1, 0, 0, 0, 0, 0, 0, 0, 0, 0],
      decision: 'leave',
      note: 'One batch of yellow eggs at a gap in the mesh, squashed.',
    },
  },
  { round: 3, planting: 'sweetPeas', stop: { helpers: 4, note: 'Hoverfly grubs at the tips.' } },
];

/** A plant that came in from elsewhere. */
export const demoArrival = {
  planting: 'fuchsias' as PlantingKey,
  quarantine: { from: '2026-07-04', days: 21, looks: 3, releasedOn: null },
};

export const demoLeafMeasurements: readonly (Omit<Written<'leafMeasurements'>, 'plantingId'> & { readonly planting: PlantingKey })[] = [
  ['roses', '2026-06-29T08:10:00.000Z', 35, 0.4, 17.2, 1.1, 21],
  ['roses', '2026-07-09T08:00:00.000Z', 20, 0.2, 11.8, 0.9, 14],
  ['cabbages', '2026-07-03T06:52:00.000Z', 15, 6.1, 0.3, 0.6, 0],
  ['leeks', '2026-06-30T07:20:00.000Z', 25, 0, 12.4, 1.4, 44],
  ['kale', '2026-07-15T17:30:00.000Z', 10, 7.9, 0.2, 0.7, 0],
].map(([planting, measuredAt, eyed, eaten, discoloured, uncertainty, spots]) => ({
  planting: planting as PlantingKey,
  measuredAt: measuredAt as string,
  eyedPercent: eyed as number,
  eatenPercent: eaten as number,
  discolouredPercent: discoloured as number,
  uncertainty: uncertainty as number,
  spots: spots as number,
  areaMm2: null,
  photos: [],
  by: planting === 'roses' ? 'Wren Sallow' : 'Isa Marrow',
  note: '',
}));

export const demoThresholds: readonly Written<'thresholds'>[] = [
  {
    condition: 'black-bean-aphid',
    measure: 'plants-percent',
    act: 25,
    why: 'Four summers here: the ladybirds come before one plant in four.',
    endedOn: null,
  },
];
