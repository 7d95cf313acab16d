import type { Assessment } from '@field-nurse/contract';
import type { SeasonAction, TriedSeason, TriedStrategy } from '@field-nurse/core/season';
import { treatmentQuestion } from '@field-nurse/core/treatment';
import { reference } from '../testing/reference';
import { assessment, planting, summary, today } from '../testing/test-garden';
import { sulphurPlan, sulphurRound } from '../testing/test-plan';
import { amountOn, countsSince } from './counts-per-plant';
import { rowsOf, withNumber } from './model-numbers';
import { movedRound, plannedRounds, setStrategy } from './own-strategies';
import { knownDays, seasonAsked } from './season-asked';
import type { SeasonFacts } from './season-asked';
import { deciderWord, differences, hoursWord, moneyWord, timesWord, verdictWords } from './season-words';
import { endedPlans, plansOf } from './take-strategy';

const look = (change: Partial<Assessment>): Assessment => ({ ...assessment, partId: null, plant: null, ...change });
const action = (id: string, everyDays = 7): SeasonAction => ({
  ...{
    id,
    effect: {},
    reachesSheltered: false,
    sparesHelpers: 1,
    harmsBees: 0,
    harmsHelpers: 0,
    isSpray: true,
    cost: 1,
    minutes: 1,
    everyDays,
  },
});
const tried = (change: Partial<TriedSeason>): TriedSeason => ({
  ...{
    id: 'a',
    name: 'A',
    band: [],
    kept: { p10: 0.5, p50: 0.6, p90: 0.7 },
    treatments: 3,
    sprays: 3,
    looks: 4,
    money: 10,
    hours: 2,
    cost: 50,
  },
  ...{ costs: [50], bees: 0, helpers: 0, resistant: 0, doneOn: [] },
  ...change,
});
const about = { planting: 'leeks', caseId: 'rust', condition: 'leek-rust', today };
const ids = () => {
  let next = 0;
  return () => `new-${++next}`;
};

describe('what a look counted, on one plant', () => {
  test('of a disease the share of leaf; of a pest what was counted on plants, leaves or shoots', () => {
    expect(amountOn(look({ severity: 12 }), 'disease', 'blades')).toBe(0.12);
    expect(amountOn(look({ counts: [2, 4], countedOn: 'plant' }), 'pest', 'bush')).toBe(3);
    expect(amountOn(look({ counts: [2, 4], countedOn: 'leaf' }), 'pest', 'climber')).toBe(120);
    expect(amountOn(look({ counts: [], count: 30, plantsLooked: 10, countedOn: 'plant' }), 'pest', 'bush')).toBe(3);
    expect(amountOn(look({ counts: [], count: null }), 'pest', 'bush')).toBeUndefined();
  });

  test('one for each day, in order, from a day on', () => {
    const looks = [
      look({ assessedOn: '2026-07-10', severity: 20 }),
      look({ assessedOn: '2026-07-03', severity: 5 }),
      look({ assessedOn: '2026-06-01' }),
    ];
    expect(countsSince(looks, '2026-07-01', today, 'disease', 'blades')).toEqual([
      { day: 2, amount: 0.05 },
      { day: 9, amount: 0.2 },
    ]);
  });
});

describe('the season that is asked for', () => {
  const facts = (change: Partial<SeasonFacts> = {}): SeasonFacts => ({
    condition: 'leek-rust',
    kind: 'disease',
    actAt: 0.02,
    host: reference.hosts.find(({ id }) => id === 'leek')!,
    planting,
    options: treatmentQuestion({
      ...{ on: today, conditions: ['leek-rust'], planting, tests: [], applied: [], weather: null, shelf: [] },
      case: { stage: null, hidden: null, helpersSeen: false, stance: null, schools: [], findings: [] },
      garden: { ...summary, seasonStart: '01-01' },
    })!,
    ...{ looks: [], applied: [], known: [], today, seasonFrom: '2026-01-01', from: 'today', ahead: 91, isHere: true },
    ...{ seen: null, plantValue: null, hourPrice: null, model: null },
    ...change,
  });

  test('without a look it begins today, with as much as it pays to act on; without a case with none', () => {
    expect(seasonAsked(facts()).asked).toMatchObject({ start: today, days: 91, seen: 0.02, decidesFrom: 0, done: [] });
    expect(seasonAsked(facts({ isHere: false })).asked.seen).toBe(0);
    expect(seasonAsked(facts({ seen: 0.3 })).asked.seen).toBe(0.3);
  });

  test('with looks it begins at the first of late, knows what was done since, and ways differ from today', () => {
    const { asked, looks } = seasonAsked(
      facts({
        looks: [look({ assessedOn: '2026-07-08', severity: 4 }), look({ assessedOn: '2026-07-15', severity: 9 })],
        applied: [
          { intervention: 'sulphur', appliedOn: '2026-07-09' },
          { intervention: 'sulphur', appliedOn: '2026-06-01' },
        ],
      }),
    );
    expect(asked).toMatchObject({
      start: '2026-07-08',
      days: 101,
      decidesFrom: 10,
      seen: 0.04,
      done: [{ day: 1, intervention: 'sulphur' }],
    });
    expect(looks).toHaveLength(2);
  });

  test('from its beginning it is tried as if nobody had done anything', () => {
    const { asked, looks } = seasonAsked(facts({ from: 'beginning', looks: [look({ assessedOn: '2026-07-08' })] }));
    expect(asked).toMatchObject({ start: planting.plantedOn, decidesFrom: 0, seen: 0, done: [] });
    expect(looks).toEqual([]);
  });

  test('it ends with the last picking', () => {
    const picked = { ...planting, harvest: { from: '2026-08-01', until: '2026-08-20' }, nextHarvestOn: '2026-08-01' };
    expect(seasonAsked(facts({ planting: picked })).asked).toMatchObject({ days: 34, harvestDay: 14 });
  });

  test('days without warmth are left out; wet leaves that nobody measured are as long as usual', () => {
    const day = { day: '2026-07-01', minC: 10, maxC: 20, rainMm: null, wetHours: null, maxWindKmh: null, missing: 0 };
    expect(knownDays([day, { ...day, day: '2026-07-02', maxC: null }])).toEqual([{ day: '2026-07-01', meanC: 15, rainMm: 0, wetHours: 5 }]);
  });
});

describe('rounds of one’s own', () => {
  test('the garden’s plan: where rounds stand, and else one after the other; what is done or ended is left out', () => {
    const at = { planting: 'leeks', condition: 'leek-rust', today };
    expect(plannedRounds([sulphurPlan], [{ ...sulphurRound, plannedFor: '2026-07-20' }], at)).toEqual([
      { day: 2, action: 'sulphur' },
      { day: 7, action: 'sulphur' },
    ]);
    expect(plannedRounds([sulphurPlan], [{ ...sulphurRound, state: 'done' }], at)).toEqual([{ day: 7, action: 'sulphur' }]);
    expect(plannedRounds([{ ...sulphurPlan, endedOn: today }], [], at)).toEqual([]);
    expect(plannedRounds([sulphurPlan], [], { ...at, planting: 'beans' })).toEqual([]);
  });

  test('moved, never out of the season', () => {
    const rounds = [{ day: 3, action: 'a' }];
    expect([movedRound(rounds, 0, -5, 20), movedRound(rounds, 0, 99, 20)].map(([one]) => one!.day)).toEqual([0, 19]);
    expect(setStrategy('own-mix', 'Mine', rounds, [action('a'), action('b')]).actions.map(({ id }) => id)).toEqual(['a']);
  });
});

describe('taken into the plan', () => {
  const weekly: TriedStrategy = {
    id: 'w',
    name: 'Each week',
    actions: [action('sulphur')],
    when: { kind: 'calendar', from: 0, everyDays: 10, until: 90 },
  };

  test('what goes by the calendar is rounds that follow each other, at most as many as a plan holds', () => {
    const [plan, ...others] = plansOf(weekly, tried({ treatments: 9, doneOn: [0.9, 1] }), about, ids());
    expect(others).toEqual([]);
    expect(plan).toMatchObject({
      subject: 'treatmentPlans',
      value: { interventions: ['sulphur'], startsOn: today, rounds: 8, betweenDays: 10, against: ['leek-rust'], caseId: 'rust' },
    });
  });

  test('what goes by looks begins where most seasons need it; what is put up is a plan of its own', () => {
    const looked: TriedStrategy = { ...weekly, first: [action('fine-mesh')], when: { kind: 'threshold', from: 0, lookEvery: 7, actAt: 1 } };
    const doneOn = [1, ...Array.from({ length: 20 }, (_, day) => (day === 13 ? 0.8 : 0))];
    const [mesh, rounds] = plansOf(looked, tried({ treatments: 7, doneOn }), about, ids());
    expect(mesh).toMatchObject({ value: { interventions: ['fine-mesh'], rounds: 1, startsOn: today } });
    expect(rounds).toMatchObject({ value: { interventions: ['sulphur'], rounds: 4, startsOn: '2026-08-01' } });
  });

  test('rounds that were set stand on their days, held', () => {
    const set = setStrategy(
      'own-mix',
      'Mine',
      [
        { day: 9, action: 'sulphur' },
        { day: 2, action: 'sulphur' },
      ],
      [action('sulphur')],
    );
    const written = plansOf(set, tried({}), about, ids());
    expect(written).toHaveLength(3);
    expect(written[0]).toMatchObject({ id: 'new-1', value: { rounds: 2, betweenDays: 7, startsOn: '2026-07-20' } });
    expect(written[1]).toMatchObject({
      subject: 'plannedApplications',
      value: { planId: 'new-1', ordinal: 1, plannedFor: '2026-07-20', held: true },
    });
  });

  test('doing nothing plans nothing, and ends what was planned against it alone', () => {
    expect(
      plansOf({ id: 'leave', name: 'Do nothing', actions: [], when: { kind: 'never' } }, tried({ treatments: 0 }), about, ids()),
    ).toEqual([]);
    expect(endedPlans([sulphurPlan, { ...sulphurPlan, id: 'b', against: ['leek-rust', 'leek-moth'] }], about)).toMatchObject([
      { id: 'sulphur-plan', version: 1, value: { endedOn: today } },
    ]);
  });
});

describe('in words', () => {
  test('who is best, by how much, and why; and who keeps the most', () => {
    const [first, second] = [
      tried({ id: 'a', name: 'Organic' }),
      tried({ id: 'b', name: 'Protect the crop', cost: 62, money: 30, kept: { p10: 0.7, p50: 0.8, p90: 0.9 } }),
    ];
    const standings = [
      { id: 'a', best: 0.64, regret: 3 },
      { id: 'b', best: 0.36, regret: 9 },
    ];
    expect(verdictWords([first, second], standings)).toBe(
      '“Organic” costs least in 64 % of the seasons: 12 less in the mean than “Protect the crop”. It keeps 20 % less of the harvest and costs 20 less to buy. “Protect the crop” keeps the most of the harvest, 80 %.',
    );
    expect(differences(first, tried({}))).toBe('');
    expect(verdictWords([first], standings)).toBe('');
  });

  test('what decides, for whom it speaks', () => {
    expect(deciderWord({ what: 'helpers', pull: 0.5 }, 'A', 'B')).toBe('The more helpers come, the more speaks for “A”.');
    expect(deciderWord({ what: 'arrivals', pull: -0.5 }, 'A', 'B')).toBe('The more comes in, the more speaks for “B”.');
  });

  test('figures without needless digits', () => {
    expect([moneyWord(3.04), moneyWord(9.95), moneyWord(73.4)]).toEqual(['3', '9.9', '73']);
    expect([hoursWord(0), hoursWord(0.5), hoursWord(3.62)]).toEqual(['none', '30 min', '3.6 h']);
    expect([timesWord(0), timesWord(3.02), timesWord(12.4)]).toEqual(['none', '3', '12']);
  });
});

describe('the numbers of a model', () => {
  const aphid = reference.seasonModels.find(({ conditions }) => conditions.includes('green-aphid'))!;

  test('each has a name that says what it is, and can be changed without touching the library’s', () => {
    if (aphid.kind === 'ground') throw new Error('no pest');
    const rows = rowsOf(aphid);
    expect(rows.find(({ name }) => name === 'nymphs: heat it takes, degree days')).toMatchObject({ value: 133 });
    expect(rows.every(({ name }) => !/^[a-z]+[A-Z]/.test(name))).toBe(true);
    const row = rows.find(({ path }) => path.join('.') === 'stages.0.degreeDays')!;
    expect(withNumber(aphid, row.path, 150)).toMatchObject({ stages: [{ degreeDays: 150 }, {}] });
    expect(aphid).toMatchObject({ stages: [{ degreeDays: 133 }, {}] });
  });
});
