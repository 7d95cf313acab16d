import type { WeatherAnswer } from '@field-nurse/contract';
import { hourMs } from '@field-nurse/core/timing';
import type { WeatherHour } from '@field-nurse/core/timing';
import { pino } from 'pino';
import { openDb } from '../db/client';
import { settings } from '../testRecords';
import { startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';
import { noClinics } from '../clinic/clinics';
import { directCalculator } from '../calc/calculator';
import { startJobs } from '../jobs';
import { noMail } from '../mail/mail';
import { StationFault } from './stations';
import type { Stations } from './stations';

// The queue in PostgreSQL, with a station that fails before it answers.

const now = new Date('2026-07-18T09:30:00Z');
const hour: WeatherHour = { at: '', temperatureC: 15, humidityPercent: 70, rainMm: 0, windKmh: 5, leafWetMinutes: null };
let failures = 1;
const stations: Stations = {
  list: () => Promise.resolve([{ id: 'weir', name: 'Weir', simulated: true }]),
  observations: (_, from, to) => {
    if (failures-- > 0) return Promise.reject(new StationFault('silent'));
    const start = Math.ceil(Math.max(from.getTime(), to.getTime() - 24 * hourMs) / hourMs) * hourMs;
    const count = Math.floor((to.getTime() - start) / hourMs);
    return Promise.resolve(Array.from({ length: count }, (_, i) => ({ ...hour, at: new Date(start + i * hourMs).toISOString() })));
  },
  forecast: () => Promise.resolve({ issuedAt: now.toISOString(), hours: [{ ...hour, at: '2026-07-18T10:00:00.000Z' }] }),
};

let server: TestServer;
let garden: TestGarden;
beforeAll(async () => {
  server = await startTestServer({ stations });
  garden = await startGarden(server);
}, 60_000);
afterAll(() => server.stop());

const depsOf = () => ({
  pool: server.pool,
  db: openDb(server.pool),
  library: server.library,
  photoFiles: server.photoFiles,
  calculator: directCalculator(server.library),
  stations,
  clinics: noClinics,
  now: () => now,
  log: pino({ level: 'silent' }),
});

async function until<T>(look: () => Promise<T | undefined>): Promise<T> {
  for (let tries = 0; tries < 200; tries++) {
    const found = await look();
    if (found !== undefined) return found;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error('It did not come to pass in ten seconds.');
}

test('a garden with a station is read by itself; a reading that failed stands in the queue and is tried again', async () => {
  await garden.owner.send('put', `/api/v1/gardens/${garden.garden}`, { ...settings, weatherStation: 'weir' });
  const deps = depsOf();
  const runner = await startJobs(deps, noMail);
  try {
    const weather = () =>
      garden.viewer.send<WeatherAnswer>(
        'get',
        `/api/v1/gardens/${garden.garden}/weather?from=2026-07-17T00:00:00Z&to=2026-07-18T10:00:00Z`,
      );
    const failed = await until(async () => (await weather()).station?.failedAt ?? undefined);
    expect(failed).toBe(now.toISOString());
    const jobs = await server.pool.query<{ attempts: number; last_error: string; id: string }>(
      `select id, attempts, last_error from graphile_worker.jobs where task_identifier = 'read-station'`,
    );
    expect(jobs.rows).toMatchObject([{ attempts: 1, last_error: expect.stringContaining('silent') as string }]);
    // Its turn would come in some seconds: it is called for now.
    await server.pool.query(`select graphile_worker.reschedule_jobs($1::bigint[], run_at := now())`, [[jobs.rows[0]!.id]]);
    const read = await until(async () => ((await weather()).hours.length > 0 ? weather() : undefined));
    expect(read.station).toMatchObject({ name: 'Weir', failedAt: null, readAt: now.toISOString() });
    expect(read.forecast?.hours).toHaveLength(1);
  } finally {
    await runner.stop();
  }
}, 30_000);

test('a second server over the same queue starts beside the first, and both stop', async () => {
  const deps = depsOf();
  const runners = [await startJobs(deps, noMail), await startJobs(deps, noMail)];
  await Promise.all(runners.map((runner) => runner.stop()));
  const { rows } = await server.pool.query<{ count: string }>(`select count(*) from weather_sources where kind = 'station'`);
  expect(rows[0]!.count).toBe('1');
}, 30_000);
