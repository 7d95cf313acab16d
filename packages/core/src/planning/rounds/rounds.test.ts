import { addDays } from '../../timing/index.js';
import { changesOfPlan, halfDays, roundsToPlace, usualRounds } from './index';
import type { PlanToPlace, WayOfPlan } from './index';
import type { PlanQuestion } from '../plan/index.js';

const today = '2026-07-18';
const day = (days: number) => addDays(today, days);
const soap: WayOfPlan = { id: 'soap', group: undefined, efficacy: 0.8, cost: 1, minutes: 20, forbiddenOn: () => [] };
const plan = (change: Partial<PlanToPlace> = {}): PlanToPlace => ({
  id: 'p',
  case: 'c',
  place: 'bed',
  startsOn: day(-3),
  rounds: 3,
  betweenDays: 5,
  value: 90,
  onset: 'days',
  ways: [soap],
  known: [],
  ...change,
});
const known = (ordinal: number, change: Partial<PlanToPlace['known'][number]> = {}): PlanToPlace['known'][number] => ({
  ordinal,
  state: 'planned',
  date: day(2),
  slot: 'evening',
  way: 'soap',
  held: false,
  ...change,
});

test('rounds follow each other at the plan’s interval, and share what is at stake', () => {
  const rounds = roundsToPlace([plan()], today, 28);
  expect(rounds.map(({ id, earliest, after }) => [id, earliest, after])).toEqual([
    ['p 1', today, undefined],
    ['p 2', today, { round: 'p 1', minDays: 5 }],
    ['p 3', today, { round: 'p 2', minDays: 5 }],
  ]);
  for (const { value, dailyLoss } of rounds) expect([value, dailyLoss]).toEqual([30, expect.closeTo(1.8)]);
});

test('what was done moves the next; what is not needed is passed over', () => {
  const done = plan({ known: [known(1, { state: 'done', date: day(-1) }), known(2, { state: 'not-needed' })] });
  expect(roundsToPlace([done], today, 28)).toEqual([expect.objectContaining({ id: 'p 3', earliest: day(4) })]);
});

test('a round that was put somewhere by hand, or is under way, stays; one whose day has passed is free; the others are not moved for nothing', () => {
  const ways = [soap, { ...soap, id: 'oil' }];
  const [held] = roundsToPlace([plan({ ways, known: [known(1, { held: true })] })], today, 28);
  expect(held).toMatchObject({ earliest: day(2), latest: day(2), only: 'evening', products: [{ id: 'soap' }] });
  const [begun] = roundsToPlace([plan({ known: [known(1, { state: 'under-way', date: today })] })], today, 28);
  expect(begun).toMatchObject({ latest: today, only: 'evening' });
  const [late] = roundsToPlace([plan({ known: [known(1, { held: true, date: day(-2) })] })], today, 28);
  expect(late).toMatchObject({ earliest: today });
  expect(late).not.toHaveProperty('latest');
  const [free] = roundsToPlace([plan({ known: [known(1)] })], today, 28);
  expect(free!.expected).toMatchObject({ date: day(2), slot: 'evening' });
  expect(free!.expected!.moveLoss).toBeCloseTo(0.3);
});

test('sprays follow what is cut of the same case, until something of it is done', () => {
  const cut = plan({ id: 'cut', rounds: 1 });
  const spray = plan({ id: 'spray', follows: 'cut' });
  const afterOf = (plans: Parameters<typeof roundsToPlace>[0]) =>
    Object.fromEntries(roundsToPlace(plans, today, 28).map(({ id, after }) => [id, after?.round]));
  expect(afterOf([cut, spray])).toMatchObject({ 'spray 1': 'cut 1', 'spray 2': 'spray 1' });
  const done = { ordinal: 1, state: 'done' as const, date: today, slot: 'morning' as const, way: 'soap', held: false };
  expect(afterOf([{ ...cut, known: [done] }, spray])['spray 1']).toBeUndefined();
  expect(afterOf([cut, { ...spray, known: [done] }])['spray 2']).toBeUndefined();
  expect(afterOf([spray])['spray 1']).toBeUndefined();
});

test('what was decided is left out only where it can’t be: that loses more than doing it last, and dearly', () => {
  const [round] = roundsToPlace([plan({ ways: [{ ...soap, cost: 90, minutes: 30 }] })], today, 28, 0.2);
  const worst = round!.dailyLoss * 27 + (1 - soap.efficacy) * round!.value + 90 + 30 * 0.2;
  expect(round!.dropLoss).toBeGreaterThan(worst);
});

test('days that a label forbids are told in stretches', () => {
  const forbidden = new Set([0, 1, 4].map(day));
  const [first] = roundsToPlace([plan({ ways: [{ ...soap, forbiddenOn: (on) => (forbidden.has(on) ? ['interval'] : []) }] })], today, 28);
  expect(first!.products[0]!.barred).toEqual([
    { from: day(0), until: day(1) },
    { from: day(4), until: day(4) },
  ]);
});

test('a change says where it stood, and which lines it would break there', () => {
  const question: PlanQuestion = {
    start: today,
    days: 28,
    rounds: roundsToPlace([plan({ ways: [{ ...soap, rainFastHours: 4 }] })], today, 28),
    rules: {},
    weather: [{ date: day(2), slot: 'evening', temperatureC: 18, windKmh: 4, rainMm: 3 }],
  };
  const stood = { round: 'p 1', date: day(2), slot: 'evening' as const, product: 'soap' };
  const to = { round: 'p 1', date: day(3), slot: 'morning' as const, product: 'soap' };
  expect(changesOfPlan(question, [stood], [to, { ...to, round: 'p 2' }])).toEqual([
    { round: 'p 1', from: stood, to, why: ['rain'] },
    { round: 'p 2', from: undefined, to: { ...to, round: 'p 2' }, why: [] },
  ]);
  expect(changesOfPlan(question, [to], [to])).toEqual([]);
});

test('hours become half-days: work hours for warmth and wind, all twelve for rain; the small hours belong to the evening before', () => {
  const hour = (at: string, rainMm = 0, temperatureC: number | null = 20) => ({
    at,
    temperatureC,
    humidityPercent: null,
    rainMm,
    windKmh: 6,
    leafWetMinutes: null,
  });
  const clock = (from: number, until: number) => Array.from({ length: until - from }, (_, i) => String(from + i).padStart(2, '0'));
  const hours = [
    ...clock(6, 18).map((at) => hour(`2026-07-18T${at}:00:00Z`, 0, Number(at) < 11 ? 16 : 28)),
    ...clock(18, 24).map((at) => hour(`2026-07-18T${at}:00:00Z`)),
    hour('2026-07-19T03:00:00Z', 2),
    hour('2026-07-19T09:00:00Z'),
  ];
  const now = '2026-07-18T12:00:00Z';
  // One half-day measured, dry: 0.3 of twenty elsewhere make 6 of 21; a quarter of a day ahead, 95 % of the forecast counts.
  const usual = 6 / 21;
  const skill = Math.exp(-0.25 / 5);
  expect(halfDays(hours, 'UTC', now)).toEqual({
    halfDays: [
      { date: '2026-07-18', slot: 'morning', temperatureC: 16, windKmh: 6, rainMm: 0, rainChance: 0 },
      { date: '2026-07-18', slot: 'evening', temperatureC: 20, windKmh: 6, rainMm: 2, rainChance: skill + usual * (1 - skill) },
    ],
    usualRain: usual,
  });
  // Made a day earlier, it is worth a day less.
  const older = Math.exp(-1.25 / 5);
  expect(halfDays(hours, 'UTC', now, '2026-07-17T12:00:00Z').halfDays[1]!.rainChance).toBeCloseTo(older + usual * (1 - older), 12);
  expect(halfDays([hour('2026-07-18T07:00:00Z', 0.1)], 'UTC', now).halfDays).toEqual([]);
});

test.each([
  ['what is done once is done once', { actsOn: ['any'], stages: [] }, 1],
  ['where every stage is reached, twice', { repeatDays: [7, 14], actsOn: ['any'], stages: [{ id: 'egg', kind: 'egg' }] }, 2],
  ['where eggs live through it, three times', { repeatDays: [5, 7], actsOn: ['larva'], stages: [{ id: 'egg', kind: 'egg' }] }, 3],
  [
    'where some sit hidden, three times',
    { repeatDays: [5, 7], actsOn: ['nymph'], stages: [{ id: 'x', kind: 'adult', hidden: 'mine' }] },
    3,
  ],
  ['never more than the label still allows', { repeatDays: [5, 7], actsOn: ['larva'], stages: [{ id: 'egg', kind: 'egg' }], left: 2 }, 2],
])('%s', (_, facts, rounds) => expect(usualRounds(facts)).toBe(rounds));
