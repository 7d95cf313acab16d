import fc from 'fast-check';
import loadHighs from 'highs';
import { addDays } from '../../timing/index.js';
import { highsSolver } from './highsSolver';
import { Placings } from './placings';
import { PlanPrices } from './planPrices';
import { planRounds } from './planRounds';
import type { PlanAnswer } from './planRounds';
import type { PlanProduct, PlanQuestion, PlanRound, SlotWeather } from './planQuestion';
import { OpenPlan } from './solvePlan';
import { exhaustivePlan } from './testPlan';

const solver = highsSolver(await loadHighs());
const start = '2026-07-01';
const day = (days: number) => addDays(start, days);
const effort = { seconds: 10, allSeconds: 10, clock: () => 0 };
const plan = (rounds: readonly Partial<PlanRound>[], change: Partial<PlanQuestion> = {}): PlanAnswer =>
  planRounds(
    { start, days: 6, rules: {}, weather: [], ...change, rounds: rounds.map((one, i) => ({ ...round(`r${i}`), ...one })) },
    solver,
    effort,
  );
const product = (id: string, change: Partial<PlanProduct> = {}): PlanProduct => ({
  id,
  group: id,
  efficacy: 0.8,
  cost: 1,
  minutes: 10,
  ...change,
});
const round = (id: string): PlanRound => ({ id, case: 'mite', dailyLoss: 2, value: 100, products: [product('soap')] });
const placed = ({ schedule }: PlanAnswer) =>
  schedule.map(({ round: id, date, slot, product: by }) => `${id} ${date.slice(8)} ${slot} ${by}`);
// Morning or evening is all the same where neither is forbidden.
const onDays = (answer: PlanAnswer) => placed(answer).map((one) => one.replace(/ (?:morning|evening)/, ''));
const dry = { temperatureC: 18, windKmh: 5, rainMm: 0 };
const wet = { ...dry, rainMm: 2 };

test('one round is done at once, and its loss is worked out by hand', () => {
  const answer = plan([{ products: [product('soap', { minutes: 10 })] }], { rules: { minutePrice: 0.5 } });
  // (1 − 0.8) · 100 + 1 + 10 · 0.5
  expect(answer).toMatchObject({ optimal: true, notPlaced: [], schedule: [{ date: start }] });
  expect([answer.objective, answer.schedule[0]!.loss]).toEqual([expect.closeTo(26), expect.closeTo(26)]);
  expect(answer.bound).toBeCloseTo(26);
});

test('where there is nothing to do nothing is done; where the solver has no time, what was found until then, and no more is claimed', () => {
  expect(plan([])).toEqual({ schedule: [], notPlaced: [], objective: 0, bound: 0, optimal: true, moves: [], conflicts: [] });
  const noTime = () => ({ status: 'open' as const });
  const rounds = Array.from({ length: 9 }, (_, i) => ({ ...round(`r${i}`), case: `case ${i}` }));
  const question = { start, days: 6, rounds, rules: { minutesPerDay: 10 }, weather: [] };
  const [hasty, patient] = [noTime, solver].map((by) => planRounds(question, by, { ...effort, movesFor: [] })) as [PlanAnswer, PlanAnswer];
  expect([hasty.optimal, hasty.schedule.length, patient.optimal]).toEqual([false, 6, true]);
  expect(hasty.bound).toBeLessThanOrEqual(patient.objective);
  expect(hasty.objective).toBeGreaterThanOrEqual(patient.objective);
});

test('rain moves it, and what the days cost is told', () => {
  const weather = [
    { date: day(0), slot: 'morning' as const, ...wet },
    { date: day(0), slot: 'evening' as const, ...dry },
    { date: day(1), slot: 'morning' as const, ...wet },
    { date: day(1), slot: 'evening' as const, ...dry },
  ];
  const answer = plan([{ products: [product('soap', { rainFastHours: 4 })] }], { weather });
  expect(placed(answer)).toEqual(['r0 01 evening soap']);
  expect(answer.schedule[0]!.why).toEqual(['rain']);
  expect(answer.moves.find(({ date, slot }) => date === day(2) && slot === 'morning')).toMatchObject({ extraLoss: 4 });
  expect(answer.moves.find(({ date, slot }) => date === day(1) && slot === 'morning')).toMatchObject({ lines: ['rain'] });
  // With eight hours until it holds, the wet morning after is too near.
  expect(placed(plan([{ products: [product('soap', { rainFastHours: 8 })] }], { weather }))).toEqual(['r0 02 evening soap']);
});

test('rain that is only likely costs what it would wash off; less likely than not, it bars nothing', () => {
  const sky = (rainChance: number, rainMm = 0) => ({ ...dry, rainMm, rainChance });
  const spray = (weather: readonly SlotWeather[], rainChance?: number) =>
    plan([{ products: [product('soap', { rainFastHours: 4 })] }], { weather, rules: { rainChance } });
  const halves = (...skies: ReturnType<typeof sky>[]) =>
    skies.map((one, i) => ({ date: day(Math.floor(i / 2)), slot: i % 2 ? ('evening' as const) : ('morning' as const), ...one }));
  // It takes 80 of 100 away: a chance of a quarter costs 20, a day's wait 2.
  const answer = spray(halves(sky(0.25), sky(0.25), sky(0), sky(0)), 0.25);
  expect(onDays(answer)).toEqual(['r0 02 soap']);
  expect(answer.objective).toBeCloseTo(2 + 20 + 1);
  expect(answer.moves.find(({ date, slot }) => date === start && slot === 'morning')?.extraLoss).toBeCloseTo(18);
  expect(onDays(spray(halves(sky(0.4, 5)), 0.5))).toEqual(['r0 01 soap']);
  expect(spray(halves(sky(0.5, 5)), 0.5).moves[0]).toMatchObject({ lines: ['rain'] });
  // What rain does nothing to is done at once.
  expect(onDays(plan([{}], { weather: halves(sky(0.4, 5)), rules: { rainChance: 0.9 } }))).toEqual(['r0 01 soap']);
});

test.each<[string, Partial<PlanRound>, string]>([
  [
    'in flower what harms bees a little is done in the evening',
    { flowers: { from: start, until: day(5) }, products: [product('soap', { bees: 'slight' })] },
    'r0 01 evening soap',
  ],
  [
    'what harms them much waits until the flowers are over',
    { flowers: { from: start, until: day(2) }, products: [product('oil', { bees: 'serious' })] },
    'r0 04 oil',
  ],
  [
    'what is picked soon waits until it is picked',
    { harvests: [day(1)], products: [product('soap', { preHarvestDays: 3 })] },
    'r0 03 soap',
  ],
  ['what works better is worth its price', { products: [product('soap'), product('oil', { efficacy: 0.9, cost: 5 })] }, 'r0 01 oil'],
])('%s', (_, change, expected) => {
  expect([placed(plan([change])), onDays(plan([change]))]).toContainEqual([expected]);
});

test('rounds of a case follow each other and change their mode of action', () => {
  const products = [product('soap', { efficacy: 0.9 }), product('oil', { efficacy: 0.7 })];
  const rounds = [
    { products },
    { products, after: { round: 'r0', minDays: 2, maxDays: 3 } },
    { products, after: { round: 'r1', minDays: 1 } },
  ];
  expect(onDays(plan(rounds))).toEqual(['r0 01 soap', 'r1 03 oil', 'r2 04 soap']);
  const done = [{ case: 'mite', product: 'soap', group: 'soap', date: day(-7) }];
  expect(onDays(plan(rounds, { rules: { done } }))).toEqual(['r0 01 oil', 'r1 03 soap', 'r2 04 oil']);
});

test('a closed place, a short day and an empty bottle keep rounds apart, or out', () => {
  const rounds = [
    { case: 'a', place: 'tunnel', products: [product('soap', { reEntryHours: 24 })] },
    { case: 'b', place: 'tunnel' },
  ];
  expect(placed(plan(rounds))).toEqual(['r1 01 morning soap', 'r0 01 evening soap']);
  expect(
    plan(
      rounds.map((one) => ({ ...one, place: undefined })),
      { rules: { minutesPerDay: 15 } },
    ).schedule.map(({ date }) => date),
  ).toEqual([day(0), day(1)]);
  const short = plan(
    [
      { case: 'a', products: [product('soap', { amount: 30 })] },
      { case: 'b', products: [product('soap', { amount: 30 })] },
    ],
    { rules: { stock: { soap: 40 } } },
  );
  expect([short.schedule.length, short.notPlaced]).toEqual([1, [{ round: 'r1', why: ['costs-more'] }]]);
});

test('nobody’s day is longer than it is: work goes to whoever has the time, and waits where two have half of it each', () => {
  const people = [
    { id: 'wren', minutesPerDay: 60 },
    { id: 'ash', minutesPerDay: 60, minutesOn: { [day(0)]: 30 } },
  ];
  const long = { products: [product('soap', { minutes: 50 })] };
  const answer = plan(
    [
      { case: 'a', ...long },
      { case: 'b', ...long },
      { case: 'c', products: [product('oil', { minutes: 30 })] },
    ],
    { rules: { people } },
  );
  // Of 90 minutes on the first day 80 would be enough for two; only 50 + 30 can be shared out.
  expect(answer.schedule.map(({ date, person }) => [date, person])).toEqual([
    [day(0), 'wren'],
    [day(0), 'ash'],
    [day(1), expect.any(String)],
  ]);
  const alone = plan([{ ...long, person: 'ash' }], { rules: { people } });
  expect(alone.schedule).toEqual([expect.objectContaining({ date: day(1), person: 'ash', why: ['minutes'] })]);
  expect(plan([{ products: [product('soap', { minutes: 61 })] }], { rules: { people } }).conflicts).toEqual([
    { round: 'r0', rounds: ['r0'], lines: ['minutes'] },
  ]);
});

test('one tank is one person’s where the hours allow it, and who was told does it', () => {
  const people = [
    { id: 'wren', minutesPerDay: 60 },
    { id: 'ash', minutesPerDay: 60 },
  ];
  const of = (minutes: number) => ({ products: [product('soap', { minutes })], latest: day(0), only: 'morning' as const });
  const whoDoes = (rounds: Parameters<typeof plan>[0]) => plan(rounds, { rules: { people } }).schedule.map(({ person }) => person);
  const together = whoDoes([
    { case: 'a', ...of(20) },
    { case: 'b', ...of(20) },
    { case: 'c', products: [product('oil', { minutes: 30 })], latest: day(0), only: 'morning' },
  ]);
  expect(together[0]).toBe(together[1]);
  // Too long for one: then each of the two has a part.
  expect(
    new Set(
      whoDoes([
        { case: 'a', ...of(40) },
        { case: 'b', ...of(40) },
      ]),
    ).size,
  ).toBe(2);
  const expected = { date: day(0), slot: 'morning' as const, moveLoss: 1, person: 'ash' };
  expect(
    whoDoes([
      { case: 'a', ...of(20) },
      { case: 'b', ...of(20), expected },
    ]),
  ).toEqual(['ash', 'ash']);
  // Who is no longer here can't be told.
  expect(whoDoes([{ case: 'a', ...of(20), expected: { ...expected, person: 'tam' } }])[0]).toMatch(/wren|ash/);
});

test('one pack for several, one season for all of a kind, days between what may not meet, and days that a label forbids', () => {
  const both = (change: Partial<PlanProduct>, rules: Partial<PlanQuestion['rules']> = {}) =>
    plan(
      [
        { case: 'a', products: [product('soap on beans', change)] },
        { case: 'b', products: [product('soap on roses', change)] },
      ],
      { rules },
    );
  expect(both({ pack: 'can', amount: 2 }, { stock: { can: 3 } }).schedule).toHaveLength(1);
  expect(both({ season: 'soap' }, { seasonMax: { soap: 1 } }).schedule).toHaveLength(1);
  expect(both({ apart: ['soap on beans', 'soap on roses'].map((from) => ({ from, days: 3 })) }).schedule.map(({ date }) => date)).toEqual([
    day(0),
    day(3),
  ]);
  const forbidden = both({ barred: [{ from: day(0), until: day(2) }] });
  expect(forbidden.schedule.map(({ date, why }) => [date, why])).toEqual([
    [day(3), ['label']],
    [day(3), ['label']],
  ]);
  expect(placed(plan([{ only: 'evening' }]))).toEqual(['r0 01 evening soap']);
});

test('what can’t be done says which lines collide', () => {
  const answer = plan([
    { latest: day(1), products: [product('soap', { preHarvestDays: 14 })], harvests: [day(3)] },
    { after: { round: 'r0', minDays: 2 }, latest: day(0), products: [product('oil')] },
  ]);
  expect(answer.conflicts).toEqual([
    { round: 'r0', rounds: ['r0'], lines: ['harvest', 'latest'] },
    { round: 'r1', rounds: ['r0', 'r1'], lines: ['after', 'harvest'] },
    { round: 'r1', rounds: ['r0', 'r1'], lines: ['after', 'latest'] },
  ]);
  expect(answer.notPlaced.map(({ why }) => why)).toEqual([
    ['harvest', 'latest'],
    ['after', 'harvest', 'latest'],
  ]);
  const bought = plan([{ products: [product('soap', { amount: 5 })] }], { rules: { stock: { soap: 4 } } });
  expect(bought.conflicts).toEqual([{ round: 'r0', rounds: ['r0'], lines: ['stock'] }]);
});

test.each([
  [[{ after: { round: 'none', minDays: 1 } }], /not among them/],
  [[{ after: { round: 'r1', minDays: 1 } }, { after: { round: 'r0', minDays: 1 } }], /follows itself/],
])('an order that leads nowhere is refused', (rounds, message) => {
  expect(() => plan(rounds)).toThrow(message);
});

describe('against a search of everything', () => {
  const days = 3;
  const date = fc.integer({ min: -1, max: days }).map(day);
  const maybe = <T>(one: fc.Arbitrary<T>) => fc.option(one, { nil: undefined, freq: 2 });
  const someProduct = fc.record({
    id: fc.constantFrom('soap', 'oil', 'neem'),
    group: maybe(fc.constantFrom('x', 'y')),
    efficacy: fc.constantFrom(0.2, 0.5, 0.9),
    cost: fc.integer({ min: 0, max: 9 }),
    minutes: fc.integer({ min: 0, max: 30 }),
    amount: maybe(fc.integer({ min: 1, max: 5 })),
    preHarvestDays: maybe(fc.integer({ min: 0, max: 3 })),
    reEntryHours: maybe(fc.constantFrom(4, 12, 24)),
    rainFastHours: maybe(fc.constantFrom(0, 4, 8)),
    maxWindKmh: maybe(fc.constant(15)),
    minC: maybe(fc.constant(10)),
    bees: maybe(fc.constantFrom('none', 'slight', 'serious')),
    pack: maybe(fc.constantFrom('soap', 'can')),
    season: maybe(fc.constantFrom('soap', 'fat')),
    apart: maybe(fc.tuple(fc.record({ from: fc.constantFrom('soap', 'oil', 'neem'), days: fc.integer({ min: 1, max: 3 }) }))),
    barred: maybe(fc.tuple(fc.record({ from: date, until: date }))),
  });
  const someRound = fc.record({
    case: fc.constantFrom('a', 'b'),
    place: maybe(fc.constantFrom('bed', 'tunnel')),
    earliest: maybe(date),
    latest: maybe(date),
    dailyLoss: fc.integer({ min: 0, max: 5 }),
    value: fc.integer({ min: 0, max: 60 }),
    dropLoss: maybe(fc.integer({ min: 0, max: 60 })),
    flowers: maybe(fc.constant({ from: day(0), until: day(1) })),
    harvests: maybe(fc.array(date, { maxLength: 2 })),
    products: fc.array(someProduct, { minLength: 1, maxLength: 2 }),
    only: maybe(fc.constantFrom('morning', 'evening')),
    expected: maybe(fc.record({ date, slot: fc.constantFrom('morning', 'evening'), moveLoss: fc.integer({ min: 0, max: 8 }) })),
    person: fc.option(fc.constantFrom('wren', 'ash'), { nil: undefined, freq: 1 }),
    after: maybe(fc.record({ minDays: fc.integer({ min: 0, max: 2 }), maxDays: maybe(fc.integer({ min: 1, max: 2 })) })),
  });
  const questionOf = (maxLength: number): fc.Arbitrary<PlanQuestion> =>
    fc.record({
      start: fc.constant(start),
      startSlot: maybe(fc.constantFrom('morning', 'evening')),
      days: fc.constant(days),
      rounds: fc
        .array(someRound, { minLength: 1, maxLength })
        .map((rounds) =>
          rounds.map((one, i) => ({ ...one, id: `r${i}`, after: one.after && i > 0 ? { ...one.after, round: `r${i - 1}` } : undefined })),
        ),
      rules: fc.record({
        minutePrice: maybe(fc.constant(0.1)),
        minutesPerDay: maybe(fc.constantFrom(20, 40)),
        people: maybe(
          fc.constantFrom(
            [{ id: 'wren', minutesPerDay: 30, minutesOn: { [start]: 0 } }],
            [
              { id: 'wren', minutesPerDay: 25 },
              { id: 'ash', minutesPerDay: 20, minutesOn: { [start]: 60 } },
            ],
          ),
        ),
        rotate: maybe(fc.boolean()),
        rainChance: maybe(fc.constantFrom(0.3)),
        seasonMax: maybe(fc.constantFrom<Record<string, number>>({ soap: 1 }, { oil: 1, soap: 2, fat: 1 })),
        stock: maybe(fc.constantFrom<Record<string, number>>({ soap: 4, can: 3 }, { oil: 3 })),
        done: maybe(
          fc.array(
            fc.record({
              case: fc.constantFrom('a', 'b'),
              product: fc.constantFrom('soap', 'oil'),
              group: maybe(fc.constantFrom('x', 'y')),
              date,
            }),
            { maxLength: 2 },
          ),
        ),
      }),
      weather: fc
        .array(
          fc.record({
            date: fc.integer({ min: 0, max: days - 1 }).map(day),
            slot: fc.constantFrom('morning', 'evening'),
            temperatureC: fc.constantFrom(5, 18),
            windKmh: fc.constantFrom(5, 25),
            rainMm: fc.constantFrom(0, 0, 3),
            rainChance: fc.constantFrom(undefined, 0.2, 0.7),
          }),
          { maxLength: 4 },
        )
        .map((hours) => [...new Map(hours.map((one) => [`${one.date} ${one.slot}`, one])).values()]),
    });
  const question = questionOf(3);

  test('300 small plans lose as little, are proven so, and their moves cost what they cost', () => {
    fc.assert(
      fc.property(question, fc.nat(), (asked, pick) => {
        const moved = asked.rounds[pick % asked.rounds.length]!.id;
        const answer = planRounds(asked, solver, { ...effort, movesFor: [moved] });
        expect(answer.objective).toBeCloseTo(exhaustivePlan(asked), 6);
        expect([answer.optimal, Math.abs(answer.bound - answer.objective) < 1e-6]).toEqual([true, true]);
        const move = answer.moves[pick % Math.max(1, answer.moves.length)];
        if (!move) return;
        const held = exhaustivePlan(asked, (puts) =>
          puts.some((put) => asked.rounds[put.round]!.id === move.round && put.date === move.date && put.slot === move.slot),
        );
        if (move.lines) expect(held).toBe(Infinity);
        else expect(move.extraLoss).toBeCloseTo(held - answer.objective, 6);
      }),
      { numRuns: 300, seed: 7 },
    );
  });

  test('the solver comes to the same where it does all the work, also of more rounds than can be tried', () => {
    let together = 0;
    fc.assert(
      fc.property(questionOf(7), (asked) => {
        const by = (isSearched: boolean) => new OpenPlan(asked, solver, undefined, isSearched).best(() => 10);
        const [searched, solved] = [by(true), by(false)];
        expect([searched.status, solved.status]).toEqual(['optimal', 'optimal']);
        if ('placed' in searched && 'placed' in solved) expect(solved.objective).toBeCloseTo(searched.objective, 6);
        together += asked.rounds.length > 4 ? 1 : 0;
      }),
      { numRuns: 300, seed: 11 },
    );
    expect(together).toBeGreaterThan(80);
  });

  test('prices never claim more than is true: of all plans, and of those with a given placing', () => {
    fc.assert(
      fc.property(question, fc.nat(), (asked, pick) => {
        const placings = new Placings(asked).open();
        const losses = placings.map(({ loss }) => loss);
        const prices = new PlanPrices(asked, placings, () => true);
        const best = exhaustivePlan(asked);
        const priced = prices.seek(losses, best + 5, undefined, () => false);
        expect(priced.bound).toBeLessThanOrEqual(best + 1e-6);
        const i = pick % Math.max(1, placings.length);
        const one = placings[i];
        if (!one) return;
        const withOne = exhaustivePlan(asked, (puts) =>
          puts.some(
            (put) =>
              put.round === one.round &&
              put.product === one.product &&
              put.date === day(one.day) &&
              put.slot === (one.evening ? 'evening' : 'morning'),
          ),
        );
        expect(priced.with[i]).toBeLessThanOrEqual(withOne + 1e-6);
      }),
      { numRuns: 200, seed: 3 },
    );
  });
});

test('more than can be weighed against each other is fitted in, with a bound, and nobody waits', () => {
  const many = (rounds: number): PlanQuestion => ({
    start,
    days: 60,
    weather: [],
    rules: { people: [{ id: 'wren', minutesPerDay: 30 }] },
    rounds: Array.from({ length: rounds }, (_, r) => ({
      ...round(`r${r}`),
      case: `case ${r}`,
      place: 'bed',
      products: Array.from({ length: 6 }, (__, p) => product(`p${p}`, { minutes: 20 + p, apart: [{ from: `p${p}`, days: 2 }] })),
    })),
  });
  const began = performance.now();
  const answer = planRounds(many(40), solver, { seconds: 2, allSeconds: 2, clock: () => performance.now(), movesFor: ['r3'] });
  expect(performance.now() - began).toBeLessThan(20_000);
  expect(answer.optimal).toBe(false);
  expect(answer.schedule.length).toBeGreaterThan(20);
  expect(answer.bound).toBeLessThanOrEqual(answer.objective);
  const days = new Set(answer.schedule.map(({ date }) => date));
  expect(days.size).toBe(answer.schedule.length);
});
