import fc from 'fast-check';
import { expectedLoss, pricesOf } from './expectedLoss';
import type { InterventionFacts, Stance } from './interventionFacts';
import { judgeInterventions } from './judgeInterventions';
import { condition, situation, spray, treatment } from './testSituation';

const prices = pricesOf(situation);
const stances: readonly Stance[] = ['hands', 'organic', 'softest', 'protect'];
const wash: InterventionFacts = { ...spray, id: 'wash', name: 'Wash', rung: 'hand', order: 'clean', reach: 'physical' };
const feed: InterventionFacts = { ...spray, id: 'feed', name: 'Feed', rung: 'culture', order: 'feed', reach: 'systemic' };
const water: InterventionFacts = { ...spray, id: 'water', name: 'Water', rung: 'culture', order: 'water', reach: 'whole-plant' };

test('living helpers for one plant cost their whole pack, for many each its share', () => {
  const helpers = { ...spray, order: 'release' as const, costPerPlant: 0.6 };
  const cost = (plants: number) =>
    expectedLoss(helpers, [1], 'organic', { ...prices, plants }) - expectedLoss({ ...helpers, costPerPlant: 0 }, [1], 'organic', prices);
  expect([cost(1), cost(4), cost(100)].map((money) => Math.round(money * 100) / 100)).toEqual([12, 3, 0.6]);
});

test('loss worked by hand: half of a plant of 4 left, 0.1 of money, a minute at 0.2', () => {
  expect(expectedLoss(spray, [0.5], 'organic', prices)).toBeCloseTo(4 * 0.5 + 0.1 + 0.2, 12);
});

test('a cause that it does not act on counts as not helped', () => {
  expect(expectedLoss(spray, [1, 0], 'organic', prices)).toBeCloseTo(2 + 0.1 + 0.2, 12);
});

test('loss falls with efficacy and rises with money, minutes and harm, in every stance', () => {
  fc.assert(
    fc.property(fc.constantFrom(...stances), fc.integer({ min: 0, max: 90 }), (stance, efficacy) => {
      const loss = (change: Partial<InterventionFacts>, more = 0) =>
        expectedLoss({ ...spray, ...change }, [(efficacy + more) / 100], stance, prices);
      expect(loss({}, 10)).toBeLessThan(loss({}));
      expect(loss({ costPerPlant: 1 })).toBeGreaterThan(loss({}));
      expect(loss({ minutesPerPlant: 9 })).toBeGreaterThan(loss({}));
      expect(loss({ bees: 'serious' })).toBeGreaterThan(loss({ bees: 'slight' }));
    }),
  );
});

test('harm weighs most where hands are the rule and least where the crop is', () => {
  const harm = (stance: Stance) =>
    expectedLoss({ ...spray, helpers: 'serious' }, [0.5], stance, prices) - expectedLoss(spray, [0.5], stance, prices);
  expect(stances.map(harm)).toEqual([...stances.map(harm)].sort((a, b) => b - a));
});

test('what fits stands before what needs care, and that before what is out; within a verdict the least loss first', () => {
  const { options } = judgeInterventions(
    [
      { ...spray, id: 'dear', costPerPlant: 3 },
      { ...spray, id: 'out', restricted: true },
      { ...spray, id: 'windy', rainFastHours: 9 },
      spray,
    ],
    {
      ...situation,
      forecast: { rainInHours: 1 },
      conditions: [
        condition(
          'aphid',
          ['dear', 'out', 'windy', 'spray'].map((intervention) => treatment(intervention)),
        ),
      ],
    },
  );
  expect(options.map(({ id, verdict }) => `${id} ${verdict}`)).toEqual(['spray fits', 'dear fits', 'windy care', 'out ruled-out']);
});

test('what acts on none of the causes is not an option; all that act are, the ruled-out ones too', () => {
  const { options } = judgeInterventions([spray, wash], situation);
  expect(options.map(({ id }) => id)).toEqual(['spray']);
});

test('a plan covers every cause, water before feed, cleaning before spray', () => {
  const { plan } = judgeInterventions([spray, feed, water, wash], {
    ...situation,
    conditions: [
      condition('hunger', [treatment('feed')]),
      condition('aphid', [treatment('spray')]),
      condition('thirst', [treatment('water')]),
      condition('soot', [treatment('wash')]),
    ],
  });
  expect(plan.map(({ intervention }) => intervention)).toEqual(['water', 'wash', 'spray', 'feed']);
  expect(plan.flatMap(({ covers }) => covers).sort()).toEqual(['aphid', 'hunger', 'soot', 'thirst']);
});

test('one step that covers two causes is taken once', () => {
  const { plan } = judgeInterventions([spray], {
    ...situation,
    conditions: [condition('aphid', [treatment('spray')]), condition('mite', [treatment('spray')])],
  });
  expect(plan).toEqual([{ intervention: 'spray', name: 'Spray', step: 'spray', covers: ['aphid', 'mite'], inTurnWith: [] }]);
});

test('steps that must lie days apart are not put into one plan', () => {
  const { plan } = judgeInterventions([{ ...spray, apartFrom: [{ intervention: 'feed', days: 3, why: 'burns' }] }, feed], {
    ...situation,
    conditions: [condition('aphid', [treatment('spray')]), condition('hunger', [treatment('feed', { efficacy: [10, 20] })])],
  });
  expect(plan.map(({ intervention }) => intervention)).toEqual(['spray']);
});

test('a second step on the same cause is taken when it pays, and not when it hardly helps', () => {
  const plan = (efficacy: readonly number[]) =>
    judgeInterventions([spray, wash], {
      ...situation,
      conditions: [condition('aphid', [treatment('spray'), treatment('wash', { efficacy })])],
    }).plan.map(({ intervention }) => intervention);
  expect(plan([40, 60])).toEqual(['wash', 'spray']); // spray leaves 0.35 of 4: half of that is worth 0.7, and washing costs 0.3
  expect(plan([10, 20])).toEqual(['spray']); // 0.15 of 1.4 is 0.21
});

test('a weak step that reaches both causes does not keep a strong one away', () => {
  const weak = treatment('wash', { efficacy: [10, 20] });
  const { plan } = judgeInterventions([spray, wash], {
    ...situation,
    conditions: [condition('aphid', [treatment('spray', { efficacy: [80, 90] }), weak]), condition('rust', [weak])],
  });
  expect(plan.map(({ intervention }) => intervention)).toEqual(['wash', 'spray']);
});

test('leaving it alone is the whole plan when nothing else pays', () => {
  const watch: InterventionFacts = {
    ...spray,
    id: 'watch',
    name: 'Watch',
    rung: 'none',
    costPerPlant: 0,
    minutesPerPlant: 0,
    order: 'wait',
  };
  const { plan } = judgeInterventions([{ ...spray, costPerPlant: 9 }, watch], {
    ...situation,
    conditions: [condition('aphid', [treatment('spray'), treatment('watch', { efficacy: [0, 10] })])],
  });
  expect(plan.map(({ intervention }) => intervention)).toEqual(['watch']);
});

test('nothing that is ruled out enters a plan', () => {
  const { plan } = judgeInterventions([{ ...spray, restricted: true }], situation);
  expect(plan).toEqual([]);
});

test('questions on which growers differ are asked once, and only about what is open', () => {
  const dispute = { id: 'rinse', question: 'Rinse?', schools: [], default: 'no', why: 'dry' };
  const both = [
    { ...spray, disputes: [dispute] },
    { ...wash, disputes: [dispute] },
  ];
  const here = { ...situation, conditions: [condition('aphid', [treatment('spray'), treatment('wash')])] };
  expect(judgeInterventions(both, here).disputes).toEqual([dispute]);
  expect(judgeInterventions([{ ...both[0]!, restricted: true }], here).disputes).toEqual([]);
});

describe('where growers differ, what was chosen counts', () => {
  const strip = { id: 'strip', question: 'Strip?', default: '', why: '' };
  const schools = [
    { view: 'Strip them', reason: '', does: ['wash'], steps: ['Then bin the leaves.'] },
    { view: 'Leave them', reason: '', leaves: ['wash'] },
    { view: 'By the bed', reason: '', steps: ['The whole bed.'] },
  ];
  const sick = { ...condition('aphid', [treatment('spray'), treatment('wash')]), disputes: [{ ...strip, schools }] };
  const judged = (view?: string) =>
    judgeInterventions([spray, { ...wash, costPerPlant: 50 }], {
      ...situation,
      conditions: [sick],
      ...(view && { schools: [{ question: 'strip', view }] }),
    }).options.map(({ id, verdict, besides }) => [id, verdict, ...besides]);

  test('nothing chosen: by what is lost', () =>
    expect(judged()).toEqual([
      ['spray', 'fits'],
      ['wash', 'fits'],
    ]));
  test('what it takes first stands first, with its step', () =>
    expect(judged('Strip them')).toEqual([
      ['wash', 'fits', 'Then bin the leaves.'],
      ['spray', 'fits'],
    ]));
  test('what it goes without is out', () =>
    expect(judged('Leave them')).toEqual([
      ['spray', 'fits'],
      ['wash', 'ruled-out'],
    ]));
  test('what it goes without for one trouble stays for another', () => {
    const other = condition('mite', [treatment('wash')]);
    const { options } = judgeInterventions([wash], {
      ...situation,
      conditions: [sick, other],
      schools: [{ question: 'strip', view: 'Leave them' }],
    });
    expect(options[0]?.verdict).not.toBe('ruled-out');
  });
  test('a step without a name goes with sprays', () =>
    expect(judged('By the bed')).toEqual([
      ['spray', 'fits', 'The whole bed.'],
      ['wash', 'fits'],
    ]));
  test('words that the library does not know any more say nothing', () => expect(judged('Perhaps')).toEqual(judged()));
});

test('what must be said loudly is an alert, once for each kind', () => {
  const { alerts } = judgeInterventions([{ ...spray, bees: 'serious', preHarvestDays: 9, temperatureC: { min: 5, max: 20 } }], {
    ...situation,
    inFlower: true,
    daysToHarvest: 2,
    temperatureC: 25,
  });
  expect(alerts.map(({ code }) => code)).toEqual(['bees', 'harvest', 'heat']);
});

test('frost on a tender crop, or its end, takes the worth out of every treatment', () => {
  const tender = { ...situation, host: { ...situation.host, tender: true } };
  expect(pricesOf({ ...tender, daysToFrost: 9 }).plantValue).toBeCloseTo(0.16, 12);
  expect(pricesOf({ ...situation, daysToFrost: 9 }).plantValue).toBe(4);
  expect(pricesOf({ ...situation, daysToEnd: 0 }).plantValue).toBe(0);
  expect(pricesOf({ ...situation, worth: 'dear' }).plantValue).toBe(20);
  expect(pricesOf({ ...situation, host: { ...situation.host, kind: 'houseplant' } }).plantValue).toBe(20);
});

describe('what must be reported', () => {
  const report: InterventionFacts = { ...spray, id: 'call-authority', name: 'Report it', rung: 'none', order: 'wait', minutesPerPlant: 30 };
  const suspect = { ...condition('pox', [treatment('spray')]), reportable: 'nearly-everywhere' as const };

  test('stands first whatever it costs, and no plan is made', () => {
    const { options, plan, alerts } = judgeInterventions([spray, report], { ...situation, conditions: [suspect] });
    expect(options.map(({ id, verdict }) => `${id} ${verdict}`)).toEqual(['call-authority fits', 'spray ruled-out']);
    expect([plan, alerts.map(({ code }) => code)]).toEqual([[], ['notifiable']]);
  });

  test('in places only: everything waits for one question, and opens when the answer is no', () => {
    const inPlaces = { ...suspect, reportable: 'in-places' as const };
    const asked = judgeInterventions([spray, report], { ...situation, conditions: [inPlaces] });
    expect(asked.alerts.map(({ code }) => code)).toEqual(['ask-first']);
    const answered = judgeInterventions([spray, report], { ...situation, conditions: [inPlaces], notListed: ['pox'] });
    expect(answered.options.map(({ id, verdict }) => `${id} ${verdict}`)).toEqual(['spray fits']);
  });

  test('a region that does not list it lifts it', () => {
    const region = { ...situation.region, notListed: ['pox'] };
    expect(judgeInterventions([spray, report], { ...situation, region, conditions: [suspect] }).alerts).toEqual([]);
  });
});

describe('a plan never undoes itself', () => {
  const two = (one: Partial<InterventionFacts>, other: Partial<InterventionFacts>) => {
    const a = { ...spray, id: 'a', name: 'A', ...one };
    const b = { ...spray, id: 'b', name: 'B', ...other };
    return judgeInterventions([a, b], { ...situation, conditions: [condition('aphid', [treatment('a'), treatment('b')])] }).plan;
  };
  const ids = (plan: ReturnType<typeof two>) => plan.map(({ intervention }) => intervention);

  test('two that act on it are combined where nothing speaks against it', () => {
    expect(ids(two({}, {}))).toEqual(['a', 'b']);
  });

  test.each<[string, Partial<InterventionFacts>, Partial<InterventionFacts>]>([
    ['a killing spray and what was set out', { kills: [{ what: 'animals', days: 5 }] }, { release: 'animals' }],
    ['a fungicide and a friendly fungus', { kills: [{ what: 'microbes', days: 7 }] }, { release: 'microbes' }],
    ['two that must be kept days apart', { apartFrom: [{ intervention: 'b', days: 3, why: 'burns' }] }, {}],
    ['water and a dry spell', { undoes: ['b'] }, {}],
    ['two of one mode of action', { modeOfAction: { scheme: 'IRAC', group: '28' } }, { modeOfAction: { scheme: 'IRAC', group: '28' } }],
  ])('%s are not', (_, one, other) => {
    expect(two(one, other)).toHaveLength(1);
    expect(two(other, { ...one, undoes: one.undoes ? ['a'] : [], apartFrom: [] }).length).toBeLessThanOrEqual(2);
  });

  test('two that act alike are done in turn', () => {
    const [step] = two({ effect: 'smothers' }, { effect: 'smothers' });
    expect(step!.inTurnWith).toEqual(['B']);
  });
});
