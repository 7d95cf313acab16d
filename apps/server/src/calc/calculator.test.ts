import { writeFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { compiledLibrary, refused, startTestServer } from '../testServer';
import type { TestServer } from '../testServer';
import { ApiClient } from '../demo/apiClient';
import { pooledCalculator } from './calculator';
import type { Calculator } from './calculator';

// The threads themselves, over their own copy of the library, as the built server has them.

let folder: string;
let server: TestServer;
let calculator: Calculator;
const settings = () => ({
  workerFile: join(import.meta.dirname, 'worker.ts'),
  libraryFile: join(folder, 'library.json'),
  threads: 1,
  execArgv: ['--import', 'tsx'],
});
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'field-nurse-library-'));
  writeFileSync(join(folder, 'library.json'), JSON.stringify(compiledLibrary()));
  // A busy machine may be slow: the deadline has a test of its own.
  calculator = pooledCalculator({ ...settings(), deadlineMs: 120_000 });
  server = await startTestServer({ calculator });
}, 60_000);
afterAll(async () => {
  await server.stop();
  await calculator.close();
  rmSync(folder, { recursive: true });
});

const calc = <T = Record<string, unknown>>(name: string, body: unknown) =>
  new ApiClient(server.address).send<T>('post', `/api/v1/calc/${name}`, body);
/** What once kept the whole server for minutes. */
const heavy = { test: 'negative-binomial', p0: 200, p1: 400, plants: 1000, seen: [] };
const worstFindings = () => server.library.signs.slice(0, 60).map(({ id: sign }) => ({ sign, state: 'seen' as const }));

test('a calculation comes back as it went out of core, and so do its refusals', async () => {
  const rate = { amount: 20, unit: 'ml', per: { amount: 1, unit: 'l' } };
  expect(await calc('mix', { rate, make: { amount: 5, unit: 'l' } })).toMatchObject({ product: { amount: 100, unit: 'ml' } });
  const above = calc('mix', { rate: { ...rate, amount: 30 }, make: { amount: 1, unit: 'l' }, labelMax: { amount: 20, unit: 'ml' } });
  expect(await refused(above)).toMatch(/422.*label-max/);
  expect(await refused(calc('differential', { host: 'triffid' }))).toMatch(/400.*unknown-name/);
  expect(await refused(calc('sample', { test: 'binomial', p0: 0.4, p1: 0.3, seen: [] }))).toMatch(/400.*out-of-range/);
});

test('entries of a garden’s own count', async () => {
  const own = [{ kind: 'hosts' as const, entry: { ...server.library.hosts[0]!, id: 'glimmerwort', name: 'Glimmerwort', names: [] } }];
  const ask = { host: 'glimmerwort' };
  expect(await calculator.calculate('differential', ask)).toMatchObject({ refused: { code: 'unknown-name' } });
  expect(await calculator.calculate('differential', ask, own)).toMatchObject({ answer: { host: { id: 'glimmerwort' } } });
});

test('while the worst that is allowed is worked out, the server answers everybody else', async () => {
  const burst = [
    ...Array.from({ length: 4 }, () => calc('sample', heavy)),
    calc('differential', { host: 'tomato', findings: worstFindings() }),
  ];
  let answered = 0;
  let done = false;
  const all = Promise.all(burst).finally(() => (done = true));
  while (!done) {
    await new ApiClient(server.address).send('get', '/api/health');
    answered++;
  }
  await all;
  // It is not for tests to measure time: were the threads one with the server, not one of these would have come between.
  expect(answered).toBeGreaterThan(10);
});

test('what takes too long is ended, and the next one is answered', async () => {
  const short = pooledCalculator({ ...settings(), deadlineMs: 1 });
  try {
    const endless = { test: 'iwao', p1: 2000, a: 100, b: 20, alpha: 0.001, plants: 1000, seen: [] as number[] } as const;
    await expect(short.calculate('sample', endless)).rejects.toMatchObject({ status: 422, code: 'too-long' });
  } finally {
    await short.close();
  }
  expect(await calc('progress', { points: [{ date: '2026-07-01', severity: 10 }] })).toMatchObject({ audpc: 0 });
});

test('who goes away is not worked for', async () => {
  const gone = new AbortController();
  const asked = calculator.calculate('sample', { ...heavy, test: 'negative-binomial', seen: [] }, [], gone.signal);
  setTimeout(() => gone.abort(), 20);
  await expect(asked).rejects.toMatchObject({ code: 'gone' });
});

test('more than can wait is refused at once, with when to try again', async () => {
  const small = pooledCalculator({ ...settings(), mostWaiting: 2, deadlineMs: 120_000 });
  try {
    const asked = Array.from({ length: 8 }, () => small.calculate('progress', { points: [{ date: '2026-07-01', severity: 10 }] }));
    const answers = await Promise.allSettled(asked);
    const refusals = answers.flatMap((one) => (one.status === 'rejected' ? [one.reason as unknown] : []));
    expect(refusals.length).toBeGreaterThan(0);
    for (const one of refusals) expect(one).toMatchObject({ status: 503, code: 'busy', details: { retryAfter: 1 } });
    expect(answers.some(({ status }) => status === 'fulfilled')).toBe(true);
  } finally {
    await small.close();
  }
});

test.each([
  [
    'more signs than anybody sees',
    () => ({ host: 'tomato', findings: server.library.signs.slice(0, 61).map(({ id: sign }) => ({ sign, state: 'seen' })) }),
  ],
  ['a letter without end', () => ({ host: 'tomato', text: 'spots '.repeat(2000) })],
])('%s: refused by the contract', async (_, body) => {
  expect(await refused(calc('differential', body()))).toMatch(/400.*too_big/);
});

test.each([
  { test: 'negative-binomial', p0: 1, p1: 100_000, seen: [] },
  { test: 'negative-binomial', p1: 4, seen: [] },
  { test: 'iwao', seen: [] },
  { test: 'binomial', p0: 0.1, p1: 1.5, seen: [] },
  { test: 'binomial', seen: [2] },
  { test: 'freedom', alpha: 1e-9, seen: [] },
  { test: 'poisson', seen: [] },
])('a question of another shape is refused by the contract: %j', async (question) => {
  expect(await refused(calc('sample', question))).toMatch(/400.*"invalid"/);
});
