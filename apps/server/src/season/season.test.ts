import type { OwnSeason, SeasonState } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { ApiClient } from '../demo/apiClient';
import { refused, startGarden, startTestServer } from '../testServer';
import type { TestServer } from '../testServer';
import { directStrategies, threadedStrategies } from './strategies';
import type { Strategies } from './strategies';

let server: TestServer;
let script: ApiClient;
/** what a strategy waits for before it is worked out; nothing unless a test says so */
let gate: Promise<unknown> = Promise.resolve();
/** what a strategy says of how far it is, before it is worked out */
let telling: (heard: (share: number) => void) => Promise<void> = () => Promise.resolve();
let worked: string[] = [];
beforeAll(async () => {
  const strategies: Strategies = {
    ...directStrategies,
    run: async (task, signal, heard) => {
      worked.push(task.strategy.name);
      await telling(heard ?? (() => undefined));
      await Promise.race([gate, new Promise((_, reject) => signal.addEventListener('abort', () => reject(new Error('given up'))))]);
      return directStrategies.run(task, signal);
    },
  };
  server = await startTestServer({ strategies });
  script = new ApiClient(server.address);
}, 60_000);
afterAll(() => server.stop());
beforeEach(() => {
  gate = Promise.resolve();
  telling = () => Promise.resolve();
  worked = [];
});

const path = '/api/v1/calc/season';
const stage = (id: string, degreeDays: number, substages: number) => ({ id, lowerC: 10, degreeDays, substages, mortalityPerDay: 0.05 });
const spray = (...days: number[]) => days.map((day) => ({ day, killByStage: { nymph: 0.9, adult: 0.9 }, halfLifeDays: 3 }));
const question = (change: Partial<OwnSeason['scenario']> = {}, runs = 20) => ({
  scenario: {
    days: 40,
    temperatureC: Array.from({ length: 40 }, () => 22),
    noise: 0.3,
    pest: {
      stages: [stage('egg', 60, 5), stage('nymph', 80, 6), stage('adult', 200, 3)],
      eggsPerAdultDay: 3,
      femaleShare: 0.5,
      initial: { adult: 10 },
    },
    damage: { perDay: { nymph: 0.02, adult: 0.02 }, most: 500 },
    ...change,
  },
  strategies: [
    { name: 'leave it', treatments: [] },
    { name: 'twice', treatments: spray(12, 22), costPerTreatment: 6, hoursPerTreatment: 0.5 },
  ],
  runs,
  seed: 5,
});
const begin = async (body: unknown = question()) => (await script.send<{ job: string }>('post', path, body)).job;
const ask = (job: string) => script.send<SeasonState>('get', job);
async function ended(job: string): Promise<SeasonState> {
  for (let tries = 0; tries < 400; tries++) {
    const state = await ask(job);
    if (state.state !== 'waiting' && state.state !== 'running') return state;
    await new Promise((resolve) => setTimeout(resolve, 25));
  }
  throw new Error('It was not worked out in ten seconds.');
}

test('a season is taken with 202, worked out, and says what each strategy comes to', async () => {
  const answer = await fetch(server.address + path, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(question()),
  });
  expect(answer.status).toBe(202);
  const { job } = (await answer.json()) as { job: string };
  expect(job).toMatch(/^\/api\/v1\/calc\/season\/[\w-]{36}$/);
  const { state, progress, result } = await ended(job);
  expect([state, progress]).toEqual(['done', 1]);
  const [none, twice] = result!.strategies;
  expect([none!.sprays, twice!.sprays, twice!.hours]).toEqual([0, 2, 1]);
  expect(none!.best + twice!.best).toBeCloseTo(1, 9);
  expect(twice!.best).toBeGreaterThan(0.9);
  expect(Object.keys(none!.bands)).toEqual(['egg', 'nymph', 'adult']);
  expect(none!.bands['adult']).toHaveLength(40);
  const last = none!.bands['adult']!.at(-1)!;
  expect(last.day).toBe(39);
  expect(last.p10 < last.p50 && last.p50 < last.p90).toBe(true);
});

test('without chance, one run says the same three times, and again the same', async () => {
  const [once, again] = [await ended(await begin(question({ noise: 0 }, 1))), await ended(await begin(question({ noise: 0 }, 1)))];
  expect(again).toEqual(once);
  for (const { p10, p50, p90 } of once.result!.strategies[1]!.bands['nymph']!) expect([p10, p90]).toEqual([p50, p50]);
});

test('it is worked out one after the other; what waits and what runs can be given up, and the next goes on', async () => {
  let open: (value?: unknown) => void = () => undefined;
  gate = new Promise((resolve) => (open = resolve));
  const [first, second, third] = [await begin(), await begin(), await begin()];
  expect((await ask(second)).state).toBe('waiting');
  expect(await script.send<SeasonState>('delete', second)).toMatchObject({ state: 'cancelled' });
  while ((await ask(first)).state !== 'running') await new Promise((resolve) => setTimeout(resolve, 10));
  expect(await script.send<SeasonState>('delete', first)).toMatchObject({ state: 'cancelled' });
  open();
  expect((await ended(third)).state).toBe('done');
  expect(worked).toEqual(['leave it', 'leave it', 'twice']);
  expect([(await ask(first)).state, (await ask(second)).state]).toEqual(['cancelled', 'cancelled']);
  // What is done stays done.
  expect(await script.send<SeasonState>('delete', third)).toMatchObject({ state: 'done' });
});

test('progress goes on within a strategy, and ends at one', async () => {
  // Slower than anybody looks: each share is told on its own.
  let open: (value?: unknown) => void = () => undefined;
  telling = async (heard) => {
    await new Promise((resolve) => setTimeout(resolve, 300));
    heard(0.5);
    await new Promise((resolve) => (open = resolve));
  };
  const job = await begin({ ...question(), strategies: question().strategies.slice(0, 1) });
  let state = await ask(job);
  while (state.progress === 0) {
    await new Promise((resolve) => setTimeout(resolve, 20));
    state = await ask(job);
  }
  expect(state).toMatchObject({ state: 'running', progress: 0.5 });
  open();
  expect(await ended(job)).toMatchObject({ state: 'done', progress: 1 });
});

describe('a server that stopped in the middle', () => {
  const left = async (begun: number, silentSeconds: number) => {
    const id = randomUUID();
    await server.pool.query(
      `insert into season_jobs (id, question, state, begun, held_at) values ($1, $2, 'running', $3, now() - make_interval(secs => $4))`,
      [id, JSON.stringify(question()), begun, silentSeconds],
    );
    return `${path}/${id}`;
  };

  test('is begun again once it has been silent, and comes to the same', async () => {
    const again = await left(1, 31);
    expect((await ended(again)).result).toEqual((await ended(await begin())).result);
  });

  test('a second time it is given up, with a reason', async () => {
    expect(await ended(await left(2, 31))).toMatchObject({ state: 'failed', error: 'The server stopped twice while this was worked out.' });
  });

  test('one whose thread ends with it gives the season back, once', async () => {
    const ends = (times: number) => {
      let left = times;
      gate = {
        then: (go: () => void, stop: (error: Error) => void) => (left-- > 0 ? stop(new Error('Terminated')) : go()),
      } as unknown as Promise<void>;
    };
    ends(1);
    expect((await ended(await begin())).state).toBe('done');
    ends(2);
    expect(await ended(await begin())).toMatchObject({ state: 'failed', error: 'The server stopped twice while this was worked out.' });
  });

  test('one that is at work is left alone', async () => {
    const job = await left(1, 5);
    await ask(job);
    await new Promise((resolve) => setTimeout(resolve, 200));
    expect([(await ask(job)).state, worked]).toEqual(['running', []]);
    await script.send('delete', job);
  });
});

test('a pest that grows beyond all numbers fails with a reason', async () => {
  const { pest } = question().scenario;
  const wild = question(
    { days: 400, temperatureC: Array.from({ length: 400 }, () => 60), noise: 0, pest: { ...pest, eggsPerAdultDay: 1000 } },
    1,
  );
  expect(await ended(await begin(wild))).toMatchObject({ state: 'failed', error: expect.stringContaining('beyond all numbers') as string });
});

test.each([
  ['fewer days of warmth than days', { temperatureC: [20] }, /400.*a mean for each of the days/],
  [
    'a stage that is not there',
    { pest: { ...question().scenario.pest, initial: { moth: 3 } } },
    /400.*pest.initial.moth: there is no such stage/,
  ],
  [
    'a stage of seconds',
    { pest: { ...question().scenario.pest, stages: [stage('egg', 0.1, 100), stage('nymph', 80, 6), stage('adult', 200, 3)] } },
    /400.*more than 200/,
  ],
])('%s is refused at once', async (_, change, words) => {
  expect(await refused(script.send('post', path, question(change)))).toMatch(words);
});

test('a job that is not there, and more than can wait', async () => {
  expect(await script.status('get', `${path}/${randomUUID()}`)).toBe(404);
  expect(await script.status('delete', `${path}/${randomUUID()}`)).toBe(404);
  let open: (value?: unknown) => void = () => undefined;
  gate = new Promise((resolve) => (open = resolve));
  const jobs = await Promise.all(Array.from({ length: 50 }, () => begin(question({}, 1))));
  expect(await refused(begin())).toMatch(/429.*Try again in a minute/);
  for (const job of jobs) await script.send('delete', job);
  open();
});

describe('a trouble of the library', () => {
  const ofLibrary = (change: object = {}, strategies: readonly object[] = [{ school: 'nothing' }, { school: 'organic' }]) => ({
    scenario: {
      condition: 'spider mite',
      host: 'cucumber',
      setting: 'greenhouse',
      start: '2026-06-01',
      days: 60,
      plants: 8,
      seen: 5,
      ...change,
    },
    strategies,
    runs: 15,
    seed: 2,
  });
  const broken = async (body: unknown) => refused(script.send('post', path, body));

  test('is tried with schools, rounds, calendar and looks; says what each comes to, and what decides', async () => {
    const { state, result, error } = await ended(
      await begin(
        ofLibrary({}, [
          { school: 'nothing' },
          { school: 'protect' },
          {
            name: 'Two rounds',
            rounds: [
              { day: 3, use: 'insecticidal soap' },
              { day: 10, use: 'insecticidal soap' },
            ],
          },
          { name: 'Each week', use: ['insecticidal soap'], everyDays: 7 },
          { name: 'Where there are many', use: ['phytoseiulus'], actAt: 20, lateDays: 7 },
        ]),
      ),
    );
    expect([state, error]).toEqual(['done', undefined]);
    expect(result!.strategies.map(({ name }) => name)).toEqual([
      'Do nothing',
      'Protect the crop',
      'Two rounds',
      'Each week',
      'Where there are many',
    ]);
    const [nothing, protect, two] = result!.strategies;
    expect(nothing).toMatchObject({ sprays: 0, money: 0, treatments: 0 });
    expect(protect!.kept!.p50).toBeGreaterThanOrEqual(nothing!.kept!.p50);
    expect(two!.treatments).toBe(2);
    expect(two!.bands['seen']).toHaveLength(60);
    expect(result!.strategies.reduce((sum, { best }) => sum + best, 0)).toBeCloseTo(1, 9);
    expect(result!.decides!.length).toBeGreaterThan(4);
  });

  test('meets a garden’s own days, for those who may read it', async () => {
    const { garden, owner, stranger } = await startGarden(server);
    expect(await refused(script.send('post', path, ofLibrary({ garden })))).toMatch(/401/);
    expect(await refused(stranger.send('post', path, ofLibrary({ garden })))).toMatch(/404/);
    expect((await owner.send<{ job: string }>('post', path, ofLibrary({ garden }))).job).toContain('/season/');
  });

  test.each([
    ['a name that is not known', ofLibrary({ condition: 'spyder mote' }), /400.*scenario.*condition/],
    ['a trouble without numbers', ofLibrary({ condition: 'slugs', host: 'lettuce' }), /400.*no-season.*model of your own/],
    [
      'something that is done once and for all',
      ofLibrary({}, [{ name: 'x', use: ['crop rotation'], everyDays: 7 }]),
      /400.*strategies.*use/,
    ],
    [
      'more leaf than there is',
      ofLibrary({ condition: 'late blight', host: 'potato', setting: 'outdoor', seen: 3 }),
      /400.*seen: must be from 0 to 1/,
    ],
    ['days that are no number', ofLibrary({ days: 'many' }), /400.*"days"/],
    ['a field that nobody knows', { ...ofLibrary(), scenario: { ...ofLibrary().scenario, colour: 'red' } }, /400.*colour/],
  ])('%s is refused with its field', async (_, body, words) => expect(await broken(body)).toMatch(words));

  test('of a model of one’s own, the field that is wrong is named as before', async () => {
    const { pest } = question().scenario;
    expect(await broken(question({ pest: { ...pest, femaleShare: 7 } }))).toMatch(/400.*femaleShare/);
  });
});

describe('in a thread of its own', () => {
  const settings = { workerFile: join(import.meta.dirname, 'worker.ts'), execArgv: ['--import', 'tsx'] };
  const task = (runs = 5) => {
    const { scenario, strategies, seed } = question();
    return { scenario, strategy: strategies[1]!, runs, seed };
  };
  const never = new AbortController().signal;

  test('it is the same; what cannot be says why', async () => {
    const threaded = threadedStrategies(settings);
    try {
      expect(await threaded.run(task(), never)).toEqual(await directStrategies.run(task(), never));
      const wild = { ...task(1), scenario: { ...task().scenario, temperatureC: Array.from({ length: 3000 }, () => 50) } };
      await expect(threaded.run({ ...wild, strategy: { name: 'x', treatments: [] } }, never)).rejects.toThrow('beyond all numbers');
    } finally {
      await threaded.close();
    }
  }, 30_000);

  test('it says how far it is, and never that it is further back', async () => {
    const threaded = threadedStrategies(settings);
    const heard: number[] = [];
    try {
      await threaded.run(task(20_000), never, (share) => heard.push(share));
    } finally {
      await threaded.close();
    }
    expect(heard[0]).toBeCloseTo(16 / 20_000, 12);
    expect(heard.length).toBeGreaterThan(100);
    expect(heard).toEqual([...heard].sort((a, b) => a - b));
    expect(heard.at(-1)).toBeLessThanOrEqual(1);
  }, 30_000);

  test('what takes too long, or is given up, ends', async () => {
    const threaded = threadedStrategies({ ...settings, deadlineMs: 1500 });
    try {
      await expect(threaded.run(task(100_000), never)).rejects.toThrow('Ask for fewer runs or days');
      await expect(threaded.run(task(100_000), AbortSignal.timeout(100))).rejects.toThrow(/abort/i);
    } finally {
      await threaded.close();
    }
  }, 30_000);
});
