import fc from 'fast-check';
import { endpoints } from '@field-nurse/contract';
import type { PlanResult } from '@field-nurse/contract';
import type { ApiClient } from '../demo/apiClient';
import { refused, somebody, startTestServer } from '../testServer';
import type { TestServer } from '../testServer';

let server: TestServer;
let client: ApiClient;
beforeAll(async () => {
  server = await startTestServer();
  client = await somebody(server, 'adviser');
}, 60_000);
afterAll(() => server.stop());

const calc = <T = Record<string, unknown>>(name: string, body: unknown) => client.send<T>('post', `/api/v1/calc/${name}`, body);
const rate = { amount: 20, unit: 'ml', per: { amount: 1, unit: 'l' } };

test('a differential from lay words and any name of the plant', async () => {
  const { ranked } = await calc<{ ranked: { condition: string }[] }>('differential', { host: 'toms', text: 'black bottom on the fruit' });
  expect(ranked[0]).toMatchObject({ condition: 'blossom-end-rot' });
});

interface Told {
  readonly read: readonly { readonly sign: string; readonly state: string; readonly sure: number }[];
  readonly unread: readonly string[];
  readonly ranked: readonly { readonly condition: string; readonly probability: number }[];
  readonly nextLooks: readonly unknown[];
  readonly settled: boolean;
  readonly alerts: readonly { readonly code: string }[];
}

describe('words that say little, or too much', () => {
  const ask = (text: string) => calc<Told>('differential', { host: 'tomato', text, month: 7 });

  test.each(['it looks sad', '😭🍅', '…', 'help!!!', ''])(
    '“%s”: nothing is read, nothing is taken for settled, and looks are proposed',
    async (text) => {
      const { read, ranked, nextLooks, settled, alerts } = await ask(text);
      expect(read).toEqual([]);
      expect(settled).toBe(false);
      expect(nextLooks.length).toBeGreaterThan(2);
      expect(ranked[0]!.probability).toBeLessThan(0.2);
      expect(alerts.map(({ code }) => code)).toContain('too-little-seen');
    },
  );

  test('three languages mixed: what is English is read, the rest is given back', async () => {
    const { read, unread } = await ask('la planta está triste, sticky leaves und Blätter sind gelb');
    expect(read.filter(({ sure }) => sure > 0.4).map(({ sign }) => sign)).toEqual(['sticky-leaves']);
    expect(unread).toEqual(expect.arrayContaining(['planta', 'triste', 'gelb']));
  });

  test('markup is words like others', async () => {
    const { read } = await ask('<script>alert(1)</script><b>sticky leaves</b>');
    expect(read.map(({ sign }) => sign)).toEqual(['sticky-leaves']);
  });

  test('fifteen hundred words are read in a moment; three thousand are refused with the limit', async () => {
    const words = (count: number) => 'my old tomato has sticky leaves. '.repeat(count / 6);
    const began = Date.now();
    const { read } = await ask(words(1500));
    expect(read.map(({ sign }) => sign)).toEqual(['sticky-leaves']);
    expect(Date.now() - began).toBeLessThan(4000);
    expect(await refused(ask(words(3000)))).toMatch(/400.*too_big.*10000|400.*10000.*too_big/);
  });

  test('the same sign there and not there is refused with its place', async () => {
    const findings = (['seen', 'absent'] as const).map((state) => ({ sign: 'leaf-webbing', state }));
    expect(await refused(calc('differential', { host: 'tomato', findings }))).toMatch(/400.*findings.*both there and not there/);
  });
});

test('options: every one that acts on the causes is there, the ruled-out ones with their reasons', async () => {
  const { options } = await calc<{ options: { id: string; verdict: string; reasons: { weight: string }[] }[] }>('options', {
    host: 'leek',
    conditions: ['Leek and garlic rust'],
    setting: 'outdoor',
    stance: 'organic',
  });
  for (const id of ['watch', 'harvest-now', 'sulphur', 'difenoconazole', 'tebuconazole', 'resistant-variety'])
    expect(options.map((one) => one.id)).toContain(id);
  for (const { verdict, reasons } of options) expect(reasons.some(({ weight }) => weight === 'ruled-out')).toBe(verdict === 'ruled-out');
});

test('a mix, and its refusals in codes', async () => {
  expect(await calc('mix', { rate, make: { amount: 5, unit: 'l' } })).toMatchObject({ product: { amount: 100, unit: 'ml' } });
  const above = calc('mix', { rate: { ...rate, amount: 30 }, make: { amount: 1, unit: 'l' }, labelMax: { amount: 20, unit: 'ml' } });
  expect(await refused(above)).toMatch(/422.*label-max/);
  expect(await refused(calc('mix', { rate }))).toMatch(/400.*nothing-to-treat/);
});

test('progress of a series', async () => {
  const points = [
    { date: '2026-07-01', severity: 10 },
    { date: '2026-07-03', severity: 20 },
  ];
  expect(await calc('progress', { points })).toMatchObject({ audpc: 30, audps: 60, fit: null });
  expect(await refused(calc('progress', { points: [...points].reverse() }))).toContain('dates must ascend');
});

test('a sample, and what its test is worth', async () => {
  const answer = await calc<{ curves: { points: unknown[] } }>('sample', { test: 'binomial', p0: 0.1, p1: 0.3, seen: [1, 0, 1, 1] });
  expect(answer).toMatchObject({ decision: 'act', n: 4 });
  expect(answer.curves.points).toHaveLength(21);
  expect(await refused(calc('sample', { test: 'binomial', p0: 0.4, p1: 0.3, seen: [] }))).toMatch(/400.*0 < p0 < p1 < 1/);
  expect(await refused(calc('sample', { test: 'iwao', seen: [] }))).toMatch(/400.*"p1"/);
});

describe('heat, wetness, proof', () => {
  const days = ['01', '02', '03'].map((day, i) => ({ date: `2026-05-${day}`, min: 8 + i, max: 22 + i }));
  const wet = (count: number, fields: object) =>
    Array.from({ length: count }, (_, i) => ({ time: new Date(Date.UTC(2026, 4, 1, i)).toISOString(), temperatureC: 20, ...fields }));

  test('degree days by any method, from days or hours', async () => {
    const ask = { method: 'sine', lower: 10, days, biofix: '2026-05-02', stages: [{ name: 'flight', at: 10 }] };
    const answer = await calc<{ daily: { sum: number }[] }>('degree-days', ask);
    expect(endpoints.degreeDays.answer.safeParse(answer).error).toBeUndefined();
    expect(answer).toMatchObject({ daily: [{ sum: 0 }, {}, {}], reached: [{ name: 'flight', date: '2026-05-03' }], missing: 0 });
    const hourly = { method: 'hourly', lower: 10, hours: wet(24, {}).map(({ time, temperatureC }) => ({ time, temperatureC })) };
    expect(await calc('degree-days', hourly)).toMatchObject({ daily: [{ date: '2026-05-01', dd: 10, sum: 10 }] });
    expect(await refused(calc('degree-days', { ...ask, method: 'guess' }))).toMatch(/400.*method/);
    expect(await refused(calc('degree-days', { ...ask, days: [{ date: '2026-05-01', min: 9, max: 3 }] }))).toMatch(
      /400.*above the maximum/,
    );
    expect(await refused(calc('degree-days', { ...ask, days: [...days].reverse() }))).toContain('dates must ascend');
  });

  test('infection: of a disease of the library, or of a model', async () => {
    const answer = await calc('infection-risk', { disease: 'apple scab', hours: [...wet(7, { rh: 95 })] });
    expect(endpoints.infectionRisk.answer.safeParse(answer).error).toBeUndefined();
    expect(answer).toMatchObject({
      periods: [{ wetHours: 7, needed: 6, infected: true }],
      daily: [{ date: '2026-05-01', infected: true }],
    });
    const model = { tMin: 1, tOpt: 20, tMax: 30, wMin: 9 };
    expect(await calc('infection-risk', { model, hours: wet(5, { rainMm: 0, rh: 50 }) })).toMatchObject({ periods: [] });
    expect(await calc('infection-risk', { model, hours: wet(5, { wet: true, rh: 50 }) })).toMatchObject({ periods: [{ infected: false }] });
    expect(await refused(calc('infection-risk', { hours: [] }))).toMatch(/400.*one of the two/);
    expect(await refused(calc('infection-risk', { disease: 'clubroot', hours: [] }))).toMatch(/400.*no-model.*Apple scab/);
  });

  test('efficacy, and what counts can’t tell', async () => {
    const ask = { method: 'henderson-tilton', treated: { before: [120], after: [12] }, control: { before: [100], after: [150] } };
    const answer = await calc<{ percent: number }>('efficacy', ask);
    expect(endpoints.efficacy.answer.safeParse(answer).error).toBeUndefined();
    expect(answer.percent).toBeCloseTo(93.33, 2);
    expect(await refused(calc('efficacy', { ...ask, control: { before: [3], after: [0] } }))).toMatch(/400.*nothing was left/);
    expect(await refused(calc('efficacy', { ...ask, treated: { after: [] } }))).toMatch(/400.*after/);
  });

  test('freedom from looks and from samples', async () => {
    const looks = [
      { date: '2026-06-01', found: false, sensitivity: 0.5 },
      { date: '2026-06-08', found: 0, inspected: 30, of: 60, unitSensitivity: 0.8, designPrevalence: 0.05 },
    ];
    const answer = await calc<{ probability: number }>('freedom', { prior: 0.5, looks });
    expect(endpoints.freedom.answer.safeParse(answer).error).toBeUndefined();
    // Odds of one, times 0.5, times 0.6³.
    expect(answer.probability).toBeCloseTo(1 / (1 + 0.5 * 0.216), 9);
    expect(await calc('freedom', { prior: 0.5, looks: [{ ...looks[0], found: 3 }] })).toMatchObject({
      probability: 0,
      cleanLooksNeeded: null,
    });
    expect(await refused(calc('freedom', { prior: 0.5, looks: [{ ...looks[1], inspected: 61 }] }))).toMatch(/400.*than there are/);
    expect(await refused(calc('freedom', { prior: 2, looks: [] }))).toMatch(/400.*prior/);
  });
});

describe('a plan', () => {
  const soap = { id: 'soap', group: 'soap', efficacy: 0.8, cost: 1, minutes: 20, rainFastHours: 4, preHarvestDays: 3 };
  const round = { id: 'first', case: 'mite', dailyLoss: 2, value: 100, products: [soap] };
  const ask = { start: '2026-07-01', days: 5, rounds: [round], rules: {}, weather: [] };
  const wet = ['morning', 'evening'].map((slot) => ({ date: '2026-07-01', slot, temperatureC: 18, windKmh: 4, rainMm: 3 }));

  test('moves with the rain, says what waiting costs, and holds to the contract', async () => {
    const answer = await calc<PlanResult>('plan', { ...ask, weather: wet });
    expect(endpoints.plan.answer.safeParse(answer).error).toBeUndefined();
    expect(answer).toMatchObject({ optimal: true, schedule: [{ date: '2026-07-02', why: [{ code: 'rain' }] }] });
    expect(answer.moves.find(({ date, slot }) => date === '2026-07-04' && slot === 'morning')?.extraLoss).toBeCloseTo(4);
  });

  test('that can’t be met says which lines collide', async () => {
    const late = { ...round, latest: '2026-07-01' };
    expect(await calc('plan', { ...ask, rounds: [late], weather: wet })).toMatchObject({
      schedule: [],
      conflicts: [{ round: 'first', lines: ['latest', 'rain'], text: 'Then it is too late. It would not stay dry long enough.' }],
    });
  });

  test('is refused in words where it makes no sense', async () => {
    const after = { round: 'none', minDays: 1 };
    expect(await refused(calc('plan', { ...ask, rounds: [{ ...round, after }] }))).toMatch(/400.*not among them/);
    expect(await refused(calc('plan', { ...ask, rounds: [round, round] }))).toContain('each id once');
    expect(await refused(calc('plan', { ...ask, days: 0 }))).toContain('days');
  });
});

test('an unknown name says which field holds it', async () => {
  expect(await refused(calc('differential', { host: 'triffid' }))).toMatch(/unknown-name.*host|host.*unknown-name/);
  expect(await refused(calc('options', { host: 'leek', conditions: ['gloom'], setting: 'outdoor', stance: 'organic' }))).toContain(
    '"conditions",0',
  );
});

test('answers hold to the contract', async () => {
  const differential = await calc('differential', { host: 'cucumber', text: 'webs and pale dots', month: 7, setting: 'greenhouse' });
  expect(endpoints.differential.answer.safeParse(differential).error).toBeUndefined();
  const options = await calc('options', { host: 'cucumber', conditions: ['spider-mite'], setting: 'greenhouse', stance: 'protect' });
  expect(endpoints.options.answer.safeParse(options).error).toBeUndefined();
  const mix = await calc('mix', { rate, make: { amount: 7, unit: 'l' }, sprayer: { amount: 5, unit: 'l' }, spoons: 'us' });
  expect(endpoints.mix.answer.safeParse(mix).error).toBeUndefined();
});

test('whatever is sent, the answer is never 500', async () => {
  const anything = fc.oneof(
    fc.jsonValue(),
    fc.record({ host: fc.string(), text: fc.string({ unit: 'grapheme' }), month: fc.integer(), findings: fc.jsonValue() }),
    fc.record({ rate: fc.record({ amount: fc.double(), unit: fc.constantFrom('ml', 'percent', 'm2', 'x') }), make: fc.jsonValue() }),
    fc.record({ points: fc.array(fc.record({ date: fc.constantFrom('2026-07-01', '2026-02-30', ''), severity: fc.double() })) }),
  );
  const names = fc.constantFrom(
    'differential',
    'options',
    'mix',
    'plan',
    'progress',
    'degree-days',
    'infection-risk',
    'efficacy',
    'freedom',
  );
  await fc.assert(
    fc.asyncProperty(names, anything, async (name, body) => {
      expect(await client.status('post', `/api/v1/calc/${name}`, body)).toBeLessThan(500);
    }),
    { numRuns: 60 },
  );
});

test('the library is read by name and by id', async () => {
  expect(await client.send('get', '/api/v1/library/hosts?q=spuds')).toMatchObject([{ id: 'potato' }]);
  expect(await client.send('get', '/api/v1/library/conditions/leek-rust')).toMatchObject({ name: 'Leek and garlic rust' });
  expect(await refused(client.send('get', '/api/v1/library/conditions/gloom'))).toContain('404');
});

test('the API describes itself, and an unknown address is a coded 404', async () => {
  const { openapi, paths } = await client.send<{ openapi: string; paths: Record<string, unknown> }>('get', '/api/openapi.json');
  expect(openapi).toBe('3.1.0');
  expect(Object.keys(paths).sort()).toEqual([...new Set(Object.values(endpoints).map(({ path }) => path))].sort());
  expect(await refused(client.send('get', '/api/v1/nothing'))).toContain('not-found');
});
