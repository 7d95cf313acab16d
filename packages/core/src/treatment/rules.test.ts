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
  ['not in flower: bees are elsewhere', { spray: { bees: 'serious' } }, ['fits']],

  ['not for what is eaten', { spray: { onEaten: false } }, ['ruled-out', 'not-on-eaten']],
  ['not eaten: allowed', { spray: { onEaten: false }, situation: { edible: false } }, ['fits']],
  ['harvest on the last day that counts', { spray: { preHarvestDays: 7 }, situation: { daysToHarvest: 7 } }, ['fits']],
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
  ['one stage only, and none is known', { treatment: { stages: ['egg'] } }, ['care', 'stage-unknown']],
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

  ['wind', { situation: { forecast: { windKmh: 16 } } }, ['care', 'wind']],
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
