import type { PlannedApplication, Planting, Product, TreatmentPlan } from '@field-nurse/contract';
import { addDays } from '@field-nurse/core/timing';
import type { WeatherHour } from '@field-nurse/core/timing';
import { shelfNow } from '../gardens/shelf-now';
import { reference } from '../testing/reference';
import { plantingRecord, today } from '../testing/test-garden';
import { sulphurPlan, sulphurRound } from '../testing/test-plan';
import { shelfOfGarden, sulphurPack } from '../testing/test-shelf';
import type { GardenToPlan } from './garden-to-plan';
import { planGarden } from './plan-garden';

// The garden's records become a question to the planner: here what stands in it.

const growing: Planting = { ...plantingRecord, events: [] };
const ask = (change: Partial<GardenToPlan> = {}) =>
  planGarden(reference, {
    now: `${today}T07:30:00Z`,
    timeZone: 'Europe/London',
    seasonStart: '01-01',
    plans: [sulphurPlan],
    planned: [],
    plantings: [growing],
    applied: [],
    shelf: shelfNow({ ...shelfOfGarden, applications: [] }, today),
    testSprays: [],
    workTimes: [],
    weather: [],
    ...change,
  });
const applied = (intervention: string, daysAgo: number, plantingId = 'leeks') => ({
  plantingId,
  caseId: 'rust',
  intervention,
  appliedOn: addDays(today, -daysAgo),
});
const barredOf = (change: Partial<GardenToPlan>) => ask(change).question.rounds[0]!.products[0]!.barred;

test('rounds of a plan, with what the label of the pack at hand says of rain, warmth, wind and waits', () => {
  const { question, ways } = ask();
  expect(question).toMatchObject({ start: today, days: 28, rules: { stock: { 'sulphur-pack': 1000 } } });
  expect(question.rounds.map(({ id, place, after }) => [id, place, after?.minDays])).toEqual([
    ['sulphur-plan 1', 'bed', undefined],
    ['sulphur-plan 2', 'bed', 7],
  ]);
  const [product] = question.rounds[0]!.products;
  expect(product).toMatchObject({
    rainFastHours: 4,
    minC: 5,
    maxC: 28,
    maxWindKmh: 15,
    reEntryHours: 12,
    pack: 'sulphur-pack',
    barred: [],
  });
  expect(product!.efficacy).toBeGreaterThan(0.3);
  expect(ways).toEqual([expect.objectContaining({ productId: 'sulphur-pack', preHarvestDays: 3, forbidden: {} })]);
  expect(question.rules.seasonMax).toEqual({ 'sulphur leeks': 6 });
});

test('each day is put to the law of the label: the interval after what was done, and the harvest', () => {
  expect(barredOf({ applied: [applied('sulphur', 5)] })).toEqual([{ from: today, until: addDays(today, 1) }]);
  const picked: Planting = { ...growing, events: [{ kind: 'harvest', on: addDays(today, 4), until: addDays(today, 6) }] };
  expect(barredOf({ plantings: [picked] })).toEqual([{ from: addDays(today, 2), until: addDays(today, 6) }]);
  const { ways } = ask({ applied: [applied('sulphur', 5)] });
  expect(ways[0]!.forbidden[today]).toEqual(['The card asks for 7 days between two, and the last was 5 days before.']);
  const rose: Planting = { ...growing, host: 'tomato' };
  expect(ask({ plantings: [rose] }).ways[0]!.forbidden[today]).toContain('The label has no line for this plant.');
});

test('what was done this season counts for its maximum and for what comes next in turn, once', () => {
  const twice: TreatmentPlan = { ...sulphurPlan, id: 'other', caseId: null };
  const { done } = ask({ plans: [sulphurPlan, twice], applied: [applied('sulphur', 20), applied('sulphur', 250)] }).question.rules;
  expect(done).toEqual([{ case: 'rust', product: 'sulphur leeks', date: addDays(today, -20) }]);
});

test('on one planting the interval holds between plans, and what may not meet stays apart; on another it does not', () => {
  const oil: TreatmentPlan = { ...sulphurPlan, id: 'oil-plan', caseId: null, interventions: ['horticultural-oil'] };
  const again: TreatmentPlan = { ...sulphurPlan, id: 'again', caseId: null };
  const elsewhere: TreatmentPlan = { ...sulphurPlan, id: 'elsewhere', caseId: null, plantingId: 'onions' };
  const { rounds } = ask({
    plans: [sulphurPlan, again, oil, elsewhere],
    plantings: [growing, { ...growing, id: 'onions', host: 'onion' }],
  }).question;
  const apart = (plan: string) =>
    Object.fromEntries(rounds.find(({ id }) => id === `${plan} 1`)!.products[0]!.apart!.map(({ from, days }) => [from, days]));
  expect(apart('sulphur-plan')).toEqual({
    'sulphur-pack sulphur-plan': 7,
    'sulphur-pack again': 7,
    'horticultural-oil oil-plan': 30,
  });
  expect(apart('oil-plan')).toMatchObject({ 'sulphur-pack sulphur-plan': 30 });
  expect(apart('elsewhere')).toEqual({ 'sulphur-pack elsewhere': 7 });
});

test('what has nothing to be taken in turn with may come again; of two modes of action each has its group', () => {
  const groups = (interventions: string[]) =>
    ask({ plans: [{ ...sulphurPlan, interventions }], shelf: [] }).question.rounds[0]!.products.map(({ group }) => group);
  expect(groups(['pyrethrins'])).toEqual([undefined]);
  expect(groups(['pyrethrins', 'sulphur'])).toEqual(['IRAC 3A', undefined]);
});

test('packs that are past their date or used up are no way to do it; without a pack typical figures stand in', () => {
  const shelf = (change: Partial<Product>, amount = 1000) =>
    shelfNow(
      {
        ...shelfOfGarden,
        products: [{ ...sulphurPack, ...change }],
        stockMoves: [{ ...shelfOfGarden.stockMoves[0]!, amount }],
        applications: [],
      },
      today,
    );
  const ways = (of: GardenToPlan['shelf']) => ask({ shelf: of }).ways.map(({ productId }) => productId);
  expect(ways(shelf({}))).toEqual(['sulphur-pack']);
  expect(ways(shelf({ bestBefore: '2026-07-01' }))).toEqual([null]);
  expect(ways(shelf({}, 0))).toEqual([null]);
});

test('under a roof neither rain nor wind nor warmth outside counts', () => {
  const [product] = ask({ plantings: [{ ...growing, setting: 'greenhouse' }] }).question.rounds[0]!.products;
  expect(product).not.toHaveProperty('rainFastHours');
  expect(product).not.toHaveProperty('maxWindKmh');
  expect(product).not.toHaveProperty('maxC');
});

test.each([
  ['07:30', today, undefined],
  ['13:10', today, 'evening'],
  ['20:30', addDays(today, 1), undefined],
])('at %s in UTC it begins with what is left of the day', (clock, start, startSlot) => {
  const { question } = ask({ now: `${today}T${clock}:00Z` });
  expect([question.start, question.startSlot]).toEqual([start, startSlot]);
});

test('weather by half-days from today on, and everybody’s hours', () => {
  const hour = (at: string): WeatherHour => ({ at, temperatureC: 18, humidityPercent: 60, rainMm: 0, windKmh: 7, leafWetMinutes: null });
  const morning = (day: string) => ['05', '06', '07', '08', '09'].map((clock) => hour(`${day}T${clock}:00:00Z`));
  const { question } = ask({
    weather: [addDays(today, -1), today, addDays(today, 40)].flatMap(morning),
    workTimes: [
      { id: 'w', version: 1, person: 'Wren', minutesPerDay: 90, exceptions: [{ on: today, minutes: 0 }], endedOn: null },
      { id: 'x', version: 1, person: 'Tam', minutesPerDay: 90, exceptions: [], endedOn: '2026-07-01' },
    ],
  });
  expect(question.weather).toEqual([{ date: today, slot: 'morning', temperatureC: 18, windKmh: 7, rainMm: 0, rainChance: 0 }]);
  expect(question.rules.rainChance).toBeCloseTo(6 / 22);
  expect(question.rules.people).toEqual([{ id: 'Wren', minutesPerDay: 90, minutesOn: { [today]: 0 } }]);
});

test('a round that was put somewhere by hand stays with its pack; a plan of a plant that is not here is left out', () => {
  const held: PlannedApplication = { ...sulphurRound, held: true };
  expect(ask({ planned: [held] }).question.rounds[0]).toMatchObject({ earliest: today, latest: today, only: 'evening' });
  expect(ask({ plantings: [] }).question.rounds).toEqual([]);
});

describe('test leaves', () => {
  const leaves = {
    id: 'leaves',
    version: 1,
    plantingId: 'leeks',
    caseId: 'rust',
    intervention: 'sulphur',
    productId: null,
    sprayedOn: today,
    lookOn: addDays(today, 2),
    outcome: 'waiting' as const,
    note: '',
  };

  test('those that wait are looked at before anything is sprayed', () => {
    expect(barredOf({ testSprays: [leaves] })).toEqual([{ from: today, until: addDays(today, 1) }]);
    expect(ask({ testSprays: [leaves] }).ways[0]!.forbidden[today]).toEqual(['The test leaves are looked at first, on 20 Jul.']);
  });

  test('what marked them is not used at all; on another planting nothing is known', () => {
    expect(barredOf({ testSprays: [{ ...leaves, outcome: 'marked' }] })).toEqual([{ from: today, until: addDays(today, 27) }]);
    expect(barredOf({ testSprays: [{ ...leaves, outcome: 'marked', plantingId: 'roses' }] })).toEqual([]);
    expect(barredOf({ testSprays: [{ ...leaves, outcome: 'clean' }] })).toEqual([]);
  });
});

test('of one case what is cut comes before what is sprayed; of another it need not', () => {
  const cut: TreatmentPlan = { ...sulphurPlan, id: 'cut-plan', interventions: ['pick-off-leaves'], rounds: 1 };
  const after = (plans: TreatmentPlan[]) => ask({ plans }).question.rounds.find(({ id }) => id === 'sulphur-plan 1')!.after?.round;
  expect(after([sulphurPlan, cut])).toBe('cut-plan 1');
  expect(after([sulphurPlan, { ...cut, caseId: 'other' }])).toBeUndefined();
  expect(after([sulphurPlan, { ...cut, caseId: null }])).toBeUndefined();
});
