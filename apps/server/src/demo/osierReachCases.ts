import type { Written } from '@field-nurse/contract';
import type { PlantingKey } from './osierReach.js';

// What ailed the plants of Osier Reach, what was done, and how it went.

type Found = readonly [sign: string, state?: 'seen' | 'absent'];

export interface CaseSketch {
  readonly planting: PlantingKey;
  readonly opened: string;
  readonly words: string;
  readonly found: readonly Found[];
  readonly taken: readonly { on: string; for: readonly string[]; why?: string }[];
  readonly stage?: string;
  readonly hidden?: Written<'cases'>['hidden'];
  readonly helpers?: boolean;
  readonly decided?: readonly { on: string; intervention: string; lookAgain: string; note?: string }[];
  readonly applied?: readonly {
    at: string;
    intervention: string;
    plants: number;
    productG?: number;
    /** picked off or squashed */
    collected?: number;
    waterL?: number;
    kit?: string;
    part: string;
    by?: string;
    temperatureC?: number;
    windKmh?: number;
    sky?: string;
    why: string;
  }[];
  /** sent to the plant clinic */
  readonly sample?: { registered: string; sent: string; for: readonly string[]; material: Written<'clinicSamples'>['material'] };
  /** what is compared: treated and left alone, by strips along the planting */
  readonly parts?: readonly { name: string; intervention: string | null; plants: number; strips: readonly number[] }[];
  readonly looks?: readonly {
    on: string;
    /** which of the parts, counted from 0; which single plant */
    part?: number;
    plant?: number;
    severity: number;
    count?: number;
    /** on each plant, in the order of looking */
    counts?: readonly number[];
    growth: Written<'assessments'>['newGrowth'];
    next?: string;
    note?: string;
  }[];
  readonly closed?: { on: string; outcome: NonNullable<Written<'cases'>['outcome']>; note: string };
}

/** Looks at single plants on a day. @param severities - percent by the number of the plant */
const follow = (on: string, severities: Readonly<Record<number, number>>) =>
  Object.entries(severities).map(([plant, severity]) => ({ on, plant: Number(plant), severity, growth: 'clean' as const }));

export const demoCases: readonly CaseSketch[] = [
  {
    planting: 'leeks',
    opened: '2026-06-22',
    words: 'orange dust in stripes on the leaves, and pale windows with green crumbs in the folds, a small cream grub in two of them',
    found: [['rust-pustules'], ['leaf-strips-windows'], ['green-black-droppings'], ['grub-in-shoot'], ['black-varnish-dots', 'absent']],
    taken: [{ on: '2026-06-22', for: ['leek-rust', 'leek-moth'], why: 'Orange dust and a grub: two troubles at once.' }],
    stage: 'larva',
    decided: [
      {
        on: '2026-06-23',
        intervention: 'hand-pick',
        lookAgain: '2026-06-30',
        note: 'Squash in the fold; mesh for the August flight.',
      },
    ],
    applied: [
      {
        at: '2026-06-23T07:10:00Z',
        intervention: 'hand-pick',
        plants: 220,
        part: 'inner leaves',
        by: 'Tam Reedmace',
        sky: 'overcast',
        collected: 43,
        why: '31 grubs and 12 cocoons squashed',
      },
      {
        at: '2026-07-03T07:30:00Z',
        intervention: 'sulphur',
        plants: 220,
        productG: 60,
        waterL: 20,
        kit: 'knapsack sprayer, hollow cone',
        part: 'both sides of the leaves',
        temperatureC: 16,
        windKmh: 6,
        sky: 'cloud',
        why: 'rust on a tenth of the leaf',
      },
    ],
    looks: [
      { on: '2026-06-22', severity: 9, count: 31, growth: 'marked' },
      { on: '2026-06-30', severity: 12, count: 12, growth: 'marked' },
      { on: '2026-07-09', severity: 10, count: 4, growth: 'clean' },
      { on: '2026-07-16', severity: 8, count: 2, growth: 'clean', next: '2026-07-26' },
    ],
  },
  {
    planting: 'leeksUntreated',
    opened: '2026-06-22',
    words: 'orange dust here as well, kept untreated to compare',
    found: [['rust-pustules']],
    taken: [{ on: '2026-06-22', for: ['leek-rust'] }],
    decided: [{ on: '2026-06-23', intervention: 'watch', lookAgain: '2026-06-30', note: 'Trial row.' }],
    looks: [
      { on: '2026-06-22', severity: 8, growth: 'marked' },
      { on: '2026-06-30', severity: 14, growth: 'marked' },
      { on: '2026-07-09', severity: 19, growth: 'marked' },
      { on: '2026-07-16', severity: 22, growth: 'marked', next: '2026-07-26' },
    ],
  },
  {
    planting: 'garlic',
    opened: '2025-06-10',
    words: 'plants going yellow and keeling over in one corner, white fluff at the base with black pinheads',
    found: [['white-fluff-bulb-base'], ['yellow-old-leaves'], ['wilted'], ['bulb-soft-smelly', 'absent']],
    taken: [{ on: '2025-06-10', for: ['allium-white-rot'] }],
    decided: [
      {
        on: '2025-06-11',
        intervention: 'remove-with-soil',
        lookAgain: '2025-06-24',
        note: 'All of it, with the soil; bed closed to the family.',
      },
    ],
    applied: [
      {
        at: '2025-06-11T08:00:00Z',
        intervention: 'remove-with-soil',
        plants: 140,
        part: 'whole plants and a spade of soil',
        by: 'Wren Sallow',
        why: 'no cure; keep the grains in one bed',
      },
    ],
    looks: [{ on: '2025-06-10', severity: 35, growth: 'none' }],
    closed: { on: '2025-06-24', outcome: 'removed', note: 'Bed marked: no alliums until 2040.' },
  },
  {
    planting: 'potatoes',
    opened: '2026-07-13',
    words: 'dark wet blotches on the tips after the rainy week, white fringe underneath in the morning',
    found: [['wet-dark-blotches'], ['white-fringe-under-blotch'], ['ringed-brown-spots', 'absent']],
    taken: [{ on: '2026-07-13', for: ['late-blight'] }],
    stage: 'lesion',
    decided: [{ on: '2026-07-13', intervention: 'copper', lookAgain: '2026-07-16', note: 'If a tenth of leaf goes, cut the haulm.' }],
    applied: [
      {
        at: '2026-07-13T18:20:00Z',
        intervention: 'copper',
        plants: 90,
        productG: 27,
        waterL: 9,
        part: 'both sides of the leaves to run-off',
        temperatureC: 18,
        windKmh: 8,
        sky: 'dry, rain due in two days',
        why: 'first blotches; wet spell ahead',
      },
    ],
    looks: [
      { on: '2026-07-13', severity: 2, counts: [3, 1, 0, 4, 2, 1, 0, 3, 2, 1], growth: 'clean' },
      { on: '2026-07-16', severity: 4, counts: [4, 2, 1, 5, 3, 2, 0, 4, 3, 2], growth: 'clean', next: '2026-07-18' },
    ],
  },
  {
    planting: 'potatoesUntreated',
    opened: '2026-07-13',
    words: 'the same blotches; untreated row',
    found: [['wet-dark-blotches'], ['white-fringe-under-blotch']],
    sample: { registered: '2026-07-14', sent: '2026-07-14', for: ['late-blight'], material: 'leaves' },
    taken: [{ on: '2026-07-13', for: ['late-blight'] }],
    decided: [{ on: '2026-07-13', intervention: 'watch', lookAgain: '2026-07-16', note: 'Trial row: haulm is cut at ten percent.' }],
    looks: [
      { on: '2026-07-13', severity: 2, counts: [2, 4, 1, 0, 3, 2, 1, 3, 2, 1], growth: 'clean' },
      { on: '2026-07-16', severity: 9, counts: [9, 14, 6, 3, 12, 8, 5, 11, 9, 7], growth: 'marked', next: '2026-07-18' },
    ],
  },
  {
    planting: 'cucumbers',
    opened: '2026-06-27',
    words: 'fine pale dots on the leaves by the door, webs under the worst ones, dry and hot in here',
    found: [['leaf-stippling'], ['leaf-webbing'], ['moving-specks'], ['black-varnish-dots', 'absent'], ['sticky-leaves', 'absent']],
    taken: [{ on: '2026-06-27', for: ['spider-mite'] }],
    helpers: true,
    decided: [
      { on: '2026-06-28', intervention: 'phytoseiulus', lookAgain: '2026-07-04', note: 'No soap or sulphur in the tunnel from now on.' },
    ],
    applied: [
      {
        at: '2026-06-28T17:00:00Z',
        intervention: 'phytoseiulus',
        plants: 18,
        part: 'worst leaves first',
        by: 'Isa Marrow',
        temperatureC: 24,
        sky: 'in the tunnel',
        why: 'speckling on one leaf in six',
      },
      {
        at: '2026-07-02T07:00:00Z',
        intervention: 'raise-humidity',
        plants: 18,
        part: 'paths and undersides',
        by: 'Isa Marrow',
        why: 'hot dry week',
      },
    ],
    looks: [
      { on: '2026-06-27', severity: 18, count: 40, growth: 'marked' },
      { on: '2026-07-04', severity: 24, count: 52, growth: 'marked' },
      ...follow('2026-07-04', { 2: 20, 6: 26, 9: 30, 11: 22, 15: 24 }),
      { on: '2026-07-10', severity: 21, count: 19, growth: 'marked', note: 'Predators on most leaves.' },
      { on: '2026-07-15', severity: 19, count: 6, growth: 'clean', next: '2026-07-19' },
      ...follow('2026-07-15', { 2: 14, 6: 17, 9: 29, 11: 13, 15: 16 }),
    ],
  },
  {
    planting: 'tomatoes',
    opened: '2026-07-06',
    words: 'older leaves yellow between the veins, veins stay green, nothing moving on them',
    found: [
      ['yellow-between-veins-old'],
      ['moving-specks', 'absent'],
      ['leaf-stippling', 'absent'],
      ['yellow-between-veins-new', 'absent'],
    ],
    sample: { registered: '2026-07-06', sent: '2026-07-06', for: ['magnesium-shortage'], material: 'leaves' },
    taken: [{ on: '2026-07-06', for: ['magnesium-shortage'] }],
    decided: [{ on: '2026-07-06', intervention: 'magnesium-feed', lookAgain: '2026-07-16' }],
    applied: [
      {
        at: '2026-07-06T19:00:00Z',
        intervention: 'magnesium-feed',
        plants: 36,
        productG: 72,
        waterL: 3.6,
        part: 'leaves, until wet',
        temperatureC: 19,
        sky: 'in the tunnel',
        why: 'green veins on yellow, beside swelling fruit',
      },
    ],
    looks: [
      { on: '2026-07-06', severity: 15, growth: 'clean' },
      { on: '2026-07-16', severity: 13, growth: 'clean', next: '2026-07-26' },
    ],
  },
  {
    planting: 'beans',
    opened: '2026-06-18',
    words: 'blackfly on the tips of the end plants, ants running up, and small grey alligators with orange marks among them',
    found: [['black-soft-insects'], ['ants-running'], ['helper-larvae']],
    taken: [{ on: '2026-06-18', for: ['black-bean-aphid'], why: 'With ladybird larvae at work on them.' }],
    helpers: true,
    decided: [
      { on: '2026-06-18', intervention: 'leave-to-helpers', lookAgain: '2026-06-24', note: 'Act if it reaches one plant in four.' },
    ],
    looks: [
      { on: '2026-06-18', severity: 6, count: 120, growth: 'marked' },
      { on: '2026-06-24', severity: 7, count: 60, growth: 'marked' },
      { on: '2026-07-01', severity: 3, count: 4, growth: 'clean' },
      { on: '2026-07-08', severity: 2, count: 0, growth: 'clean' },
    ],
    closed: { on: '2026-07-08', outcome: 'left-alone', note: 'The ladybirds did it in three weeks.' },
  },
  {
    planting: 'strawberries',
    opened: '2026-06-08',
    words: 'furry grey fruit where they lie on each other after the wet weekend',
    found: [['fruit-grey-soft'], ['grey-fur-mould'], ['slime-trail', 'absent']],
    taken: [{ on: '2026-06-08', for: ['grey-mould'] }],
    decided: [{ on: '2026-06-08', intervention: 'open-for-air', lookAgain: '2026-06-12' }],
    applied: [
      {
        at: '2026-06-08T10:00:00Z',
        intervention: 'open-for-air',
        plants: 64,
        part: 'old leaves off, straw under',
        by: 'Tam Reedmace',
        why: 'crowded and damp',
      },
      {
        at: '2026-06-10T09:00:00Z',
        intervention: 'pick-off-leaves',
        plants: 64,
        part: 'every furry fruit',
        by: 'Tam Reedmace',
        collected: 58,
        why: '58 fruits binned',
      },
    ],
    looks: [
      { on: '2026-06-08', severity: 14, count: 58, growth: 'unknown' },
      { on: '2026-06-12', severity: 8, count: 17, growth: 'clean' },
      { on: '2026-06-17', severity: 2, count: 1, growth: 'clean' },
      { on: '2026-06-22', severity: 0, count: 0, growth: 'clean' },
    ],
    closed: { on: '2026-06-24', outcome: 'recovered', note: 'Straw earlier next year: by 20 May.' },
  },
  {
    planting: 'apples',
    opened: '2026-07-11',
    words: 'hole in apples with brown crumbs, a grub at the core',
    found: [['fruit-hole-frass'], ['fruit-scabs', 'absent']],
    taken: [{ on: '2026-07-11', for: ['codling-moth'] }],
    stage: 'larva',
    decided: [
      {
        on: '2026-07-11',
        intervention: 'hand-pick',
        lookAgain: '2026-07-18',
        note: 'Bored fruit off each week. Trap caught 7 in the first week of June: virus spray next year from 10 June.',
      },
    ],
    applied: [
      {
        at: '2026-07-11T16:00:00Z',
        intervention: 'hand-pick',
        plants: 9,
        collected: 14,
        part: '14 bored fruits',
        by: 'Wren Sallow',
        why: 'take the brood away',
      },
    ],
    looks: [{ on: '2026-07-11', severity: 6, count: 14, growth: 'unknown', next: '2026-07-18' }],
  },
  {
    planting: 'dahlias',
    opened: '2026-07-14',
    words: 'ragged petals every morning, pincers on the tail of what fell out when I shook one',
    found: [['petals-eaten'], ['earwigs-hiding'], ['slime-trail', 'absent']],
    taken: [{ on: '2026-07-14', for: ['earwig'] }],
    decided: [{ on: '2026-07-14', intervention: 'earwig-pots', lookAgain: '2026-07-18' }],
    applied: [
      {
        at: '2026-07-15T19:30:00Z',
        intervention: 'earwig-pots',
        plants: 42,
        part: '12 pots on canes',
        by: 'Isa Marrow',
        why: 'blooms for cutting are marked',
      },
    ],
    parts: [
      { name: 'Pots', intervention: 'earwig-pots', plants: 21, strips: [2, 3, 6] },
      { name: 'No pots', intervention: null, plants: 21, strips: [1, 4, 5] },
    ],
    looks: [
      { on: '2026-07-14', part: 0, severity: 12, counts: [3, 1, 4, 2, 3, 1, 0], growth: 'unknown' },
      { on: '2026-07-14', part: 1, severity: 10, counts: [2, 3, 0, 4, 1, 2, 0], growth: 'unknown' },
      { on: '2026-07-17', part: 0, severity: 9, counts: [1, 0, 2, 1, 1, 0, 1], growth: 'unknown' },
      { on: '2026-07-17', part: 1, severity: 12, counts: [3, 2, 4, 1, 2, 3, 2], growth: 'unknown', next: '2026-07-20' },
    ],
  },
  {
    planting: 'roses',
    opened: '2026-06-29',
    words: 'black spots with feathery edges, yellow around them, bottom leaves dropping off',
    found: [['black-fringed-spots'], ['leaf-drop'], ['yellow-old-leaves'], ['rust-pustules', 'absent']],
    taken: [{ on: '2026-06-29', for: ['rose-black-spot'] }],
    decided: [{ on: '2026-06-29', intervention: 'pick-off-leaves', lookAgain: '2026-07-09' }],
    applied: [
      {
        at: '2026-06-30T10:00:00Z',
        intervention: 'pick-off-leaves',
        plants: 4,
        part: 'spotted leaves and all that lay below',
        why: 'June spots on most shoots',
      },
    ],
    looks: [
      { on: '2026-06-29', severity: 17, growth: 'marked' },
      { on: '2026-07-09', severity: 12, growth: 'clean', next: '2026-07-19' },
    ],
  },
  {
    planting: 'monstera',
    opened: '2026-05-12',
    words: 'pale silvery patches on the window side, leaves look scorched',
    found: [['leaf-silvering'], ['bleached-patches'], ['black-varnish-dots'], ['thin-slivers']],
    taken: [
      { on: '2026-05-12', for: ['sun-scorch'], why: 'Window side, bright week.' },
      {
        on: '2026-06-02',
        for: ['thrips'],
        why: 'New leaf marked in the shade too; black dots, and slivers on white paper. Scorch was wrong.',
      },
    ],
    stage: 'adult',
    decided: [
      { on: '2026-05-12', intervention: 'shade', lookAgain: '2026-05-26' },
      { on: '2026-06-02', intervention: 'wipe-leaves', lookAgain: '2026-06-09' },
      { on: '2026-06-16', intervention: 'cucumeris', lookAgain: '2026-06-23' },
    ],
    applied: [
      { at: '2026-05-12T09:00:00Z', intervention: 'shade', plants: 1, part: 'moved back from the glass', why: 'taken for scorch' },
      { at: '2026-06-02T10:00:00Z', intervention: 'wipe-leaves', plants: 1, part: 'every leaf, both sides', why: 'thrips' },
      { at: '2026-06-09T10:00:00Z', intervention: 'wipe-leaves', plants: 1, part: 'every leaf, both sides', why: 'thrips' },
      {
        at: '2026-06-16T10:00:00Z',
        intervention: 'cucumeris',
        plants: 1,
        part: 'two sachets',
        by: 'Isa Marrow',
        temperatureC: 21,
        why: 'new leaf still marked',
      },
    ],
    looks: [
      { on: '2026-05-12', severity: 12, growth: 'clean' },
      { on: '2026-05-26', severity: 19, growth: 'marked' },
      { on: '2026-06-02', severity: 25, count: 18, growth: 'marked' },
      { on: '2026-06-16', severity: 24, count: 9, growth: 'marked' },
      { on: '2026-06-30', severity: 22, count: 3, growth: 'clean' },
      { on: '2026-07-14', severity: 18, count: 0, growth: 'clean', next: '2026-07-21' },
    ],
  },
  {
    planting: 'hoya',
    opened: '2026-07-12',
    words: 'brown lumps along the stems and veins, sticky sill below, some soot',
    found: [['brown-shell-bumps'], ['sticky-leaves'], ['black-sooty-film'], ['cottony-tufts', 'absent']],
    taken: [{ on: '2026-07-12', for: ['soft-scale'] }],
    hidden: 'wax',
    looks: [{ on: '2026-07-12', severity: 22, count: 35, growth: 'marked', next: '2026-07-18' }],
  },
  {
    planting: 'trays',
    opened: '2026-06-26',
    words: 'little black flies around the trays, green slime on the compost',
    found: [['black-flies-soil'], ['green-algae-compost'], ['seedlings-toppled', 'absent']],
    taken: [{ on: '2026-06-26', for: ['fungus-gnat'] }],
    decided: [{ on: '2026-06-26', intervention: 'gnat-nematodes', lookAgain: '2026-07-03' }],
    applied: [
      {
        at: '2026-06-27T18:00:00Z',
        intervention: 'gnat-nematodes',
        plants: 14,
        part: 'compost, moist',
        by: 'Isa Marrow',
        temperatureC: 19,
        why: 'eleven on a card in a week',
      },
    ],
    looks: [
      { on: '2026-06-26', severity: 5, count: 11, growth: 'clean' },
      { on: '2026-07-03', severity: 3, count: 5, growth: 'clean' },
      { on: '2026-07-10', severity: 0, count: 0, growth: 'clean' },
      { on: '2026-07-16', severity: 0, count: 0, growth: 'clean' },
    ],
    closed: { on: '2026-07-16', outcome: 'recovered', note: 'Watering from below from now on.' },
  },
  {
    planting: 'cabbages2025',
    opened: '2025-07-22',
    words: 'ragged holes, green droppings in the heart, and yellow eggs in batches under the leaves',
    found: [['large-ragged-holes'], ['green-black-droppings'], ['yellow-egg-cluster'], ['slime-trail', 'absent']],
    taken: [{ on: '2025-07-22', for: ['cabbage-white'] }],
    stage: 'larva',
    decided: [{ on: '2025-07-22', intervention: 'hand-pick', lookAgain: '2025-07-26', note: 'The mesh had stood open for a week.' }],
    applied: [
      {
        at: '2025-07-22T18:00:00Z',
        intervention: 'hand-pick',
        plants: 50,
        collected: 212,
        part: 'eggs and caterpillars, undersides first',
        by: 'Tam Reedmace',
        why: '31 plants of 50 had them',
      },
    ],
    looks: [
      { on: '2025-07-22', severity: 9, count: 88, growth: 'marked' },
      { on: '2025-07-26', severity: 9, count: 14, growth: 'clean' },
      { on: '2025-08-02', severity: 6, count: 0, growth: 'clean' },
      { on: '2025-08-09', severity: 4, count: 0, growth: 'clean' },
    ],
    closed: { on: '2025-08-09', outcome: 'recovered', note: 'Next year: mesh on from planting, and shut it.' },
  },
  {
    planting: 'courgettes2025',
    opened: '2025-08-03',
    words: 'white powder on the upper side of the big leaves',
    found: [['white-powder-top'], ['grey-down-under', 'absent']],
    taken: [{ on: '2025-08-03', for: ['powdery-mildew'] }],
    decided: [{ on: '2025-08-03', intervention: 'bicarbonate', lookAgain: '2025-08-10' }],
    applied: [
      {
        at: '2025-08-03T18:00:00Z',
        intervention: 'bicarbonate',
        plants: 12,
        productG: 12,
        waterL: 2.4,
        part: 'both sides',
        temperatureC: 20,
        windKmh: 5,
        why: 'first patches',
      },
      {
        at: '2025-08-11T18:00:00Z',
        intervention: 'bicarbonate',
        plants: 12,
        productG: 12,
        waterL: 2.4,
        part: 'both sides',
        temperatureC: 19,
        windKmh: 9,
        why: 'patches came back',
      },
    ],
    looks: [
      { on: '2025-08-03', severity: 7, growth: 'clean' },
      { on: '2025-08-10', severity: 12, growth: 'clean' },
      { on: '2025-08-18', severity: 11, growth: 'clean' },
      { on: '2025-09-01', severity: 30, growth: 'marked', note: 'Old plants; left alone from here.' },
    ],
    closed: { on: '2025-09-02', outcome: 'left-alone', note: 'Crop was made. Start by 20 July next year.' },
  },
];
