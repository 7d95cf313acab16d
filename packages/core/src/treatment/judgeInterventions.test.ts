import fc from 'fast-check';
import { expectedLoss } from './expectedLoss';
import type { InterventionFacts, Stance } from './interventionFacts';
import { judgeInterventions } from './judgeInterventions';
import { condition, situation, spray, treatment } from './testSituation';

const stances: readonly Stance[] = ['hands', 'organic', 'softest', 'protect'];
const wash: InterventionFacts = { ...spray, id: 'wash', name: 'Wash', rung: 'hand', order: 'clean', reach: 'physical' };
const feed: InterventionFacts = { ...spray, id: 'feed', name: 'Feed', rung: 'culture', order: 'feed', reach: 'systemic' };
const water: InterventionFacts = { ...spray, id: 'water', name: 'Water', rung: 'culture', order: 'water', reach: 'whole-plant' };

test('loss worked by hand: half of a plant of 4 left, 0.1 of money, a minute at 0.2', () => {
  expect(expectedLoss(spray, [treatment('spray', { efficacy: [40, 60] })], 1, 'organic')).toBeCloseTo(4 * 0.5 + 0.1 + 0.2, 12);
});

test('a cause that it does not act on counts as not helped', () => {
  const one = [treatment('spray', { efficacy: [100, 100] })];
  expect(expectedLoss(spray, one, 2, 'organic')).toBeCloseTo(2 + 0.1 + 0.2, 12);
});

test('loss falls with efficacy and rises with money, minutes and harm, in every stance', () => {
  fc.assert(
    fc.property(fc.constantFrom(...stances), fc.integer({ min: 0, max: 90 }), (stance, efficacy) => {
      const loss = (change: Partial<InterventionFacts>, more = 0) =>
        expectedLoss({ ...spray, ...change }, [treatment('spray', { efficacy: [efficacy + more, efficacy + more] })], 1, stance);
      expect(loss({}, 10)).toBeLessThan(loss({}));
      expect(loss({ costPerPlant: 1 })).toBeGreaterThan(loss({}));
      expect(loss({ minutesPerPlant: 9 })).toBeGreaterThan(loss({}));
      expect(loss({ bees: 'serious' })).toBeGreaterThan(loss({ bees: 'slight' }));
    }),
  );
});

test('harm weighs most where hands are the rule and least where the crop is', () => {
  const harm = (stance: Stance) =>
    expectedLoss({ ...spray, helpers: 'serious' }, [treatment('spray')], 1, stance) - expectedLoss(spray, [treatment('spray')], 1, stance);
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
  expect(plan).toEqual([{ intervention: 'spray', name: 'Spray', step: 'spray', covers: ['aphid', 'mite'] }]);
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

test('what must be said loudly is an alert, once for each kind', () => {
  const { alerts } = judgeInterventions([{ ...spray, bees: 'serious', preHarvestDays: 9, temperatureC: { min: 5, max: 20 } }], {
    ...situation,
    inFlower: true,
    daysToHarvest: 2,
    temperatureC: 25,
  });
  expect(alerts.map(({ code }) => code)).toEqual(['bees', 'harvest', 'heat']);
});
