import type { InterventionFacts, Situation, Effect } from './interventionFacts';
import { judgeInterventions } from './judgeInterventions';
import { condition, situation, spray, treatment } from './testSituation';

interface Change {
  readonly spray?: Partial<InterventionFacts>;
  readonly situation?: Partial<Situation>;
  readonly treatment?: Partial<Effect>;
  readonly others?: readonly InterventionFacts[];
}

/** The verdict on the spray, with the codes of its reasons. */
function judge(change: Change): string[] {
  const intervention = { ...spray, ...change.spray };
  const here = { ...situation, conditions: [condition('aphid', [treatment('spray', change.treatment)])], ...change.situation };
  const option = judgeInterventions([intervention, ...(change.others ?? [])], here).options.find(({ id }) => id === 'spray')!;
  return [option.verdict, ...option.reasons.map(({ code }) => code)];
}

/** Eggs with this chance, by what was seen. */
const chances = (eggs: number): Partial<Situation> => ({
  stageChances: new Map([
    [
      'aphid',
      new Map([
        ['winter-eggs', eggs],
        ['colony', 1 - eggs],
      ]),
    ],
  ]),
});
const oil: InterventionFacts = { ...spray, id: 'oil', name: 'Oil' };
const neutral = situation.region;

test.each<[string, Change, string[]]>([
  ['nothing stands against it', {}, ['fits']],

  ['a suspect to be reported closes all', { situation: { region: { ...neutral, notifiable: ['aphid'] } } }, ['ruled-out', 'notifiable']],
  [
    'the region forbids it',
    { situation: { region: { ...neutral, forbidden: [{ intervention: 'spray', why: 'banned' }] } } },
    ['ruled-out', 'forbidden-here'],
  ],
  [
    'the region restricts it',
    { situation: { region: { ...neutral, restricted: [{ intervention: 'spray', why: 'licence' }] } } },
    ['ruled-out', 'restricted'],
  ],
  ['the card restricts it', { spray: { restricted: true } }, ['ruled-out', 'restricted']],

  ['hands only: nothing is sprayed', { situation: { stance: 'hands' } }, ['ruled-out', 'stance']],
  ['hands only: hands are used', { situation: { stance: 'hands' }, spray: { rung: 'hand' } }, ['fits']],
  ['organic: not what certifiers refuse', { spray: { organic: false } }, ['ruled-out', 'stance']],
  [
    'softest first: synthetic comes last',
    { situation: { stance: 'softest' }, spray: { rung: 'synthetic', organic: false } },
    ['care', 'softer-first'],
  ],
  ['protect the crop: synthetic is open', { situation: { stance: 'protect' }, spray: { rung: 'synthetic', organic: false } }, ['fits']],

  ['in flower: what kills bees is out', { situation: { inFlower: true }, spray: { bees: 'serious' } }, ['ruled-out', 'bees']],
  [
    'in flower: what harms bees a little waits for dusk',
    { situation: { inFlower: true }, spray: { bees: 'slight' } },
    ['care', 'bees-care'],
  ],
  ['in flower indoors: no bee comes', { situation: { inFlower: true, setting: 'indoor' }, spray: { bees: 'slight' } }, ['fits']],
  [
    'in flower indoors: what kills bees stays out',
    { situation: { inFlower: true, setting: 'indoor' }, spray: { bees: 'serious' } },
    ['ruled-out', 'bees'],
  ],
  ['nobody knows when it flowers', { spray: { bees: 'serious', daysBeforeFlower: 3 } }, ['care', 'bees-unknown']],
  ['flowers too soon', { spray: { bees: 'serious', daysBeforeFlower: 3 }, situation: { flowersInDays: 2 } }, ['ruled-out', 'bees']],
  ['flowers within two weeks', { spray: { bees: 'serious', daysBeforeFlower: 3 }, situation: { flowersInDays: 3 } }, ['care', 'bees-soon']],
  ['flowers later: bees are elsewhere', { spray: { bees: 'serious' }, situation: { flowersInDays: 14 } }, ['fits']],

  ['helps next time only', { spray: { nextSeason: true } }, ['care', 'next-season']],
  ['nobody should do it', { spray: { dont: true } }, ['ruled-out', 'dont']],
  ['sold to professionals', { spray: { sold: 'professional' } }, ['care', 'check-sold']],
  ['sold to gardeners in places', { spray: { sold: 'varies' } }, ['care', 'check-sold']],
  ['sold to gardeners here', { spray: { sold: 'varies' }, situation: { region: { ...neutral, soldHere: ['spray'] } } }, ['fits']],
  ['sold to gardeners', { spray: { sold: 'amateur' } }, ['fits']],
  ['meant for another plant', { spray: { onlyHosts: ['sweetcorn'] } }, ['ruled-out', 'other-plant']],
  ['meant for its family', { spray: { onlyHosts: ['alliums'] } }, ['fits']],
  ['acts here on another plant only', { treatment: { hosts: ['sweetcorn'] } }, ['ruled-out', 'other-plant']],
  ['in another season', { spray: { months: [8, 9] }, situation: { month: 4 } }, ['ruled-out', 'out-of-season']],
  ['acts in another season', { treatment: { months: [8, 9] }, situation: { month: 4 } }, ['ruled-out', 'out-of-season']],
  ['indoors there is no season', { spray: { months: [8] }, situation: { month: 4, setting: 'indoor' } }, ['fits']],
  ['only on bare wood, and it is in leaf', { spray: { when: 'dormant' }, situation: { bare: false } }, ['ruled-out', 'not-bare']],
  ['only on bare wood, and nobody knows', { spray: { when: 'dormant' } }, ['care', 'bare-unknown']],
  ['on bare wood', { spray: { when: 'dormant' }, situation: { bare: true } }, ['fits']],
  ['only in leaf, and it is bare', { spray: { when: 'in-leaf' }, situation: { bare: true } }, ['ruled-out', 'not-bare']],
  ['for seedlings only', { treatment: { age: ['seedling'] }, situation: { age: 'grown' } }, ['ruled-out', 'age']],
  ['poisons the pond', { spray: { water: 'serious' }, situation: { waterNear: true } }, ['ruled-out', 'water']],
  ['care near a pond', { spray: { water: 'care' }, situation: { waterNear: true } }, ['care', 'water']],
  ['cats come near', { spray: { animals: 'serious' }, situation: { animalsNear: true } }, ['care', 'animals']],
  ['soil too cold', { spray: { soilC: { min: 12, max: 30 } }, situation: { temperatureC: 9 } }, ['care', 'soil-cold']],
  ['more picking than a day holds', { spray: { rung: 'hand', minutesPerPlant: 2 }, situation: { plants: 400 } }, ['care', 'many-plants']],
  [
    'kills what was set out a month ago',
    {
      spray: { kills: [{ what: 'animals', days: 5 }] },
      others: [{ ...spray, id: 'wasps', name: 'Wasps', release: 'animals' }],
      situation: { earlier: [{ intervention: 'wasps', daysAgo: 30, thisSeason: true }] },
    },
    ['care', 'releases'],
  ],
  [
    'set out after a spray that still kills',
    {
      spray: { release: 'animals' },
      others: [{ ...spray, id: 'oil', name: 'Oil', kills: [{ what: 'animals', days: 5 }] }],
      situation: { earlier: [{ intervention: 'oil', daysAgo: 4, thisSeason: true }] },
    },
    ['ruled-out', 'apart'],
  ],

  ['not for what is eaten', { spray: { onEaten: false } }, ['ruled-out', 'not-on-eaten']],
  ['not eaten: allowed', { spray: { onEaten: false }, situation: { edible: false } }, ['fits']],
  ['harvest on the last day that counts', { spray: { preHarvestDays: 7 }, situation: { daysToHarvest: 7 } }, ['care', 'harvest-guess']],
  ['harvest a day too soon', { spray: { preHarvestDays: 7 }, situation: { daysToHarvest: 6 } }, ['ruled-out', 'harvest']],
  ['harvest not said', { spray: { preHarvestDays: 7 }, situation: { daysToHarvest: undefined } }, ['care', 'harvest-close']],

  ['picking now: too early', { spray: { harvestWithinDays: 21 } }, ['ruled-out', 'not-ripe']],
  ['picking now: near enough', { spray: { harvestWithinDays: 21 }, situation: { daysToHarvest: 21 } }, ['fits']],
  ['picking now: not said', { spray: { harvestWithinDays: 21 }, situation: { daysToHarvest: undefined } }, ['care', 'ripe-unknown']],
  ['picking now: nothing to eat', { spray: { harvestWithinDays: 21 }, situation: { edible: false } }, ['ruled-out', 'nothing-to-pick']],

  ['at the warm limit', { spray: { temperatureC: { min: 5, max: 27 } }, situation: { temperatureC: 27 } }, ['fits']],
  ['above the warm limit', { spray: { temperatureC: { min: 5, max: 27 } }, situation: { temperatureC: 27.1 } }, ['ruled-out', 'too-hot']],
  [
    'hot later today',
    { spray: { temperatureC: { min: 5, max: 27 } }, situation: { temperatureC: 18, forecast: { maxC: 30 } } },
    ['ruled-out', 'too-hot'],
  ],
  ['too cold now', { spray: { temperatureC: { min: 5, max: 27 } }, situation: { temperatureC: 4 } }, ['ruled-out', 'too-cold']],
  ['temperature not said', { spray: { temperatureC: { min: 5, max: 27 } } }, ['fits']],

  ['not for plants indoors', { spray: { settings: ['outdoor'] }, situation: { setting: 'indoor' } }, ['ruled-out', 'setting']],

  ['acts on the stage there is, by its kind', { situation: { stage: 'adult' } }, ['fits']],
  ['acts on the stage there is, by its own name', { situation: { stage: 'colony' } }, ['fits']],
  ['wasted on the stage there is', { situation: { stage: 'winter-eggs' } }, ['ruled-out', 'stage']],
  ['one stage only, and none is known', { treatment: { stages: ['egg'] } }, ['fits']],
  ['by what was seen hardly that stage', { treatment: { stages: ['egg'] }, situation: chances(0.1) }, ['care', 'stage-doubtful']],
  ['by what was seen mostly that stage', { treatment: { stages: ['egg'] }, situation: chances(0.8) }, ['fits']],
  ['acts on one stage by its own name', { treatment: { stages: ['winter-eggs'] }, situation: { stage: 'winter-eggs' } }, ['fits']],
  ['any stage will do', { treatment: { stages: ['any'] }, situation: { stage: 'egg' } }, ['fits']],
  ['tending the plant asks for no stage', { spray: { rung: 'culture' }, treatment: { stages: ['egg'] } }, ['fits']],

  ['hidden in a rolled leaf', { situation: { hidden: 'rolled-leaf' } }, ['ruled-out', 'shielded']],
  ['under wax, and it wets wax', { situation: { hidden: 'wax' } }, ['care', 'shielded']],
  ['under wax, and it must be eaten', { situation: { hidden: 'wax' }, spray: { reach: 'stomach' } }, ['ruled-out', 'shielded']],
  ['in a mine, and it goes through the leaf', { situation: { hidden: 'mine' }, spray: { reach: 'translaminar' } }, ['fits']],
  ['in the stem, and the plant carries it', { situation: { hidden: 'stem' }, spray: { reach: 'systemic' } }, ['fits']],

  [
    'used two days ago, seven apart',
    { spray: { repeatDays: [7, 10] }, situation: { earlier: [{ intervention: 'spray', daysAgo: 2, thisSeason: true }] } },
    ['ruled-out', 'too-soon'],
  ],
  [
    'used a week ago, seven apart',
    { spray: { repeatDays: [7, 10] }, situation: { earlier: [{ intervention: 'spray', daysAgo: 7, thisSeason: true }] } },
    ['fits'],
  ],
  [
    'the most of a season is used up',
    {
      spray: { seasonMax: 2 },
      situation: {
        earlier: [
          { intervention: 'spray', daysAgo: 40, thisSeason: true },
          { intervention: 'spray', daysAgo: 80, thisSeason: true },
        ],
      },
    },
    ['ruled-out', 'season-max'],
  ],
  [
    'oil lay near, by its own card',
    {
      spray: { apartFrom: [{ intervention: 'oil', days: 30, why: 'burns' }] },
      situation: { earlier: [{ intervention: 'oil', daysAgo: 29, thisSeason: true }] },
      others: [oil],
    },
    ['ruled-out', 'apart'],
  ],
  [
    'oil lay near, by the other card',
    {
      situation: { earlier: [{ intervention: 'oil', daysAgo: 3, thisSeason: true }] },
      others: [{ ...oil, apartFrom: [{ intervention: 'spray', days: 30, why: 'burns' }] }],
    },
    ['ruled-out', 'apart'],
  ],
  [
    'oil lay long enough ago',
    {
      spray: { apartFrom: [{ intervention: 'oil', days: 30, why: 'burns' }] },
      situation: { earlier: [{ intervention: 'oil', daysAgo: 30, thisSeason: true }] },
      others: [oil],
    },
    ['fits'],
  ],
  [
    'the same mode of action this month',
    {
      spray: { modeOfAction: { scheme: 'IRAC', group: '5' } },
      situation: { earlier: [{ intervention: 'oil', daysAgo: 20, thisSeason: true }] },
      others: [{ ...oil, modeOfAction: { scheme: 'IRAC', group: '5' } }],
    },
    ['care', 'rotate'],
  ],
  [
    'multi-site groups need no rotation',
    {
      spray: { modeOfAction: { scheme: 'FRAC', group: 'M02' } },
      situation: { earlier: [{ intervention: 'oil', daysAgo: 20, thisSeason: true }] },
      others: [{ ...oil, modeOfAction: { scheme: 'FRAC', group: 'M02' } }],
    },
    ['fits'],
  ],

  ['burns this plant', { spray: { harmsHosts: [{ host: 'leek', harm: 'serious', why: 'burns' }] } }, ['ruled-out', 'host-burns']],
  ['marks this family', { spray: { harmsHosts: [{ host: 'alliums', harm: 'slight', why: 'marks' }] } }, ['care', 'host-marks']],

  ['kills the helpers that were seen', { situation: { helpersSeen: true }, spray: { helpers: 'serious' } }, ['care', 'helpers']],
  ['needs helpers, and there are some', { situation: { helpersSeen: true }, spray: { needsHelpers: true } }, ['fits', 'helpers-at-work']],
  ['needs helpers, and none were seen', { spray: { needsHelpers: true } }, ['care', 'no-helpers']],

  ['a strong wind', { situation: { forecast: { windKmh: 16 } } }, ['ruled-out', 'wind']],
  ['a fresh wind', { situation: { forecast: { windKmh: 11 } } }, ['care', 'wind']],
  ['dead calm on a warm evening', { situation: { forecast: { windKmh: 1, maxC: 26 } } }, ['care', 'still-air']],
  ['no wind under glass', { situation: { forecast: { windKmh: 16 }, setting: 'greenhouse' } }, ['fits']],
  ['rain before it is dry', { spray: { rainFastHours: 4 }, situation: { forecast: { rainInHours: 3 } } }, ['care', 'rain']],
  ['rain when it is dry', { spray: { rainFastHours: 4 }, situation: { forecast: { rainInHours: 4 } } }, ['fits']],

  ['weak evidence', { treatment: { evidence: 'weak' } }, ['care', 'weak-evidence']],
  ['folk practice', { treatment: { evidence: 'folk' } }, ['care', 'weak-evidence']],
  ['leaving it asks for no proof', { spray: { rung: 'none' }, treatment: { evidence: 'weak' } }, ['fits']],
  ['leaving it, with frost to come', { spray: { rung: 'none' }, situation: { daysToFrost: 9 } }, ['fits', 'frost-near']],
])('%s', (_, change, expected) => {
  expect(judge(change)).toEqual(expected);
});

test('one of two causes: combine it', () => {
  const conditions = [condition('aphid', [treatment('spray')]), condition('rust', [])];
  expect(judge({ situation: { conditions } })).toEqual(['care', 'covers-part']);
});

test('a hard rule stays hard, however well the option would do', () => {
  const best = judge({
    spray: { preHarvestDays: 7, costPerPlant: 0, minutesPerPlant: 0 },
    treatment: { efficacy: [99, 100] },
    situation: { daysToHarvest: 1 },
  });
  expect(best[0]).toBe('ruled-out');
});

test('what acts on several causes is as well proved as on the worst of them', () => {
  const { options } = judgeInterventions([spray], {
    ...situation,
    conditions: [condition('aphid', [treatment('spray')]), condition('mite', [treatment('spray', { evidence: 'folk' })])],
  });
  expect(options[0]).toMatchObject({ evidence: 'folk', verdict: 'care' });
});
