import type { GardenContents, Session, WeatherAnswer, WeatherSource } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { Pool } from 'pg';
import { demoPassword } from '../demo/osierReach';
import { bed, fresh } from '../testRecords';
import { emptyDatabase, startTestServer, wholeGarden } from '../testServer';
import type { TestServer } from '../testServer';
import { ApiClient } from '../demo/apiClient';
import { migrateDatabase } from './migrate';

// The demo garden as version 0.1.0 kept it: an owner who updates finds everything where it was.

let server: TestServer;
let contents: GardenContents;
let path: string;
let client: ApiClient;
const migrations = join(import.meta.dirname, 'migrations');
beforeAll(async () => {
  const url = await emptyDatabase();
  const old = new Pool({ connectionString: url, max: 1 });
  await old.query(gunzipSync(readFileSync(join(import.meta.dirname, 'dumps/version-0.1.0.sql.gz'))).toString());
  await old.end();
  server = await startTestServer({ url });
  client = new ApiClient(server.address);
  await client.send('get', '/api/v1/session');
  const session = await client.send<Session>('post', '/api/v1/session', { email: 'wren@osier-reach.example', password: demoPassword });
  path = `/api/v1/gardens/${session.gardens[0]!.id}`;
  contents = await wholeGarden(client, path);
}, 60_000);
afterAll(() => server.stop());

const rows = async (query: string) => (await server.pool.query<Record<string, unknown>>(query)).rows;

test('every record is there, and holds to the contract of today', () => {
  const { places, plantings, cases, applications, assessments, stops } = contents;
  const counts = [places.length, plantings.length, cases.length, applications.length, assessments.length, stops.length];
  expect(Math.min(...counts)).toBeGreaterThan(0);
  expect(cases).toHaveLength(17);
});

test('what was a field of a planting is an event, with its day; moved lists are rows', async () => {
  const at = (host: string) => contents.plantings.filter((one) => one.host === host).map(({ events }) => events);
  expect(at('rose')[0]).toMatchObject([{ kind: 'flowering', until: null }]);
  expect(at('chard')).toEqual([[{ kind: 'harvest', on: '2026-07-19', until: null }]]);
  expect(at('garlic')).toEqual([[{ kind: 'ended', on: '2025-06-24' }]]);
  const [{ first }] = (await rows(`select min(diagnosed_on)::text as first from case_diagnoses where condition = 'allium-white-rot'`)) as [
    { first: string },
  ];
  expect(first).toMatch(/^2025-/);
  const told = contents.cases.flatMap(({ diagnoses }) => diagnoses.flatMap(({ conditions }) => conditions));
  expect(await rows('select count(*)::int as n from case_diagnoses')).toEqual([{ n: told.length }]);
  expect(contents.cases.some(({ diagnoses }) => diagnoses.some(({ conditions }) => conditions.length === 2))).toBe(true);
  const signs = contents.stops.flatMap((stop) => stop.signs);
  expect(signs).toContain('small-round-holes');
  expect(await rows('select count(*)::int as n from stop_signs')).toEqual([{ n: signs.length }]);
});

test('an application is an event with its target, its grams, its card as it was and who logged it', async () => {
  const sulphur = contents.applications.find(({ intervention, productG }) => intervention === 'sulphur' && productG === 60)!;
  const wren = await rows(`select id from people where email = 'wren@osier-reach.example'`);
  expect(sulphur).toMatchObject({
    targets: [{ plants: 220, notPickedBefore: '2026-07-04', coveredPart: 'both sides of the leaves' }],
    card: { source: 'typical', preHarvestDays: 1, reEntryHours: 24, repeatDays: [7], seasonMax: null },
    brokenLines: [],
    personId: wren[0]!['id'],
  });
});

test('the hours that the garden had read are its station’s; the forecast is kept as it was issued', async () => {
  const [held] = await rows(`select count(*)::int as n, min(at)::text as first, max(at)::text as last from station_hours`);
  expect(held!['n']).toBeGreaterThan(0);
  expect(await rows('select count(*)::int as n from weather_hours')).toEqual([{ n: 0 }]);
  expect(await rows('select asked_from::text as first from weather_stations')).toEqual([{ first: held!['first'] }]);
  const sources = await client.send<WeatherSource[]>('get', `${path}/weather/sources`);
  expect(sources).toMatchObject([{ kind: 'station', hours: held!['n'] }]);
  const [{ at }] = (await rows('select max(at) as at from station_hours')) as [{ at: Date }];
  const to = new Date(at.getTime() + 3_600_000).toISOString();
  const weather = await client.send<WeatherAnswer>(
    'get',
    `${path}/weather?from=${new Date(at.getTime() - 86_400_000).toISOString()}&to=${to}`,
  );
  expect(weather.hours.length).toBeGreaterThan(0);
  expect(weather.forecast?.hours.length).toBeGreaterThan(0);
  expect(weather.station?.name).toBe(sources[0]!.name);
});

test('changes are numbered without a gap, and go on; versions go on from where they were', async () => {
  const numbers = await rows('select sequence::int as n from changes order by sequence');
  expect(numbers.map(({ n }) => n)).toEqual(numbers.map((_, i) => i + 1));
  expect(await rows('select last_sequence::int as n from gardens')).toEqual([{ n: numbers.length }]);
  const [place] = contents.places;
  const { id, version, ...value } = place!;
  const stored = await client.send('put', `${path}/places/${id}`, {
    change: randomUUID(),
    version,
    value: { ...value, note: 'after the update' },
  });
  expect(stored).toMatchObject({ version: version + 1 });
  // One that had been added and taken back there: its two versions are spent.
  expect(await client.send('put', `${path}/places/00000000-0000-4000-8000-0000000000aa`, fresh(bed))).toMatchObject({ version: 3 });
});

test('what the quotas count was counted', async () => {
  const [garden] = await rows('select record_count, photo_count, photo_bytes::int from gardens');
  const held = Object.entries(contents).flatMap(([name, list]): unknown[] => (Array.isArray(list) && name !== 'pastCases' ? list : []));
  // The record of the test before is one more.
  expect(garden).toEqual({ record_count: held.length + 1, photo_count: 1, photo_bytes: 4 });
});

test('who was signed in still is, as a device that can be signed out', async () => {
  const devices = await rows(`select data ->> 'person' = person_id::text as same from sessions where device = 'a device signed in before'`);
  expect(devices.length).toBe(3);
  expect(devices.every(({ same }) => same)).toBe(true);
});

test('a change of before can still be taken back, in the shapes of today', async () => {
  const [change] = await rows(`select id, record_id from changes where subject = 'applications' order by sequence desc limit 1`);
  const undone = await client.send<{ record: object | null }>('post', `${path}/undo`, { change: randomUUID(), undoes: change!['id'] });
  expect(undone.record).toBeNull();
  const [entry] = await rows(
    `select after from changes where subject = 'plantings' and after -> 'events' is not null order by sequence limit 1`,
  );
  expect(Object.keys(entry!['after'] as object).sort()).toEqual(Object.keys(contents.plantings[0]!).sort());
});

test('several servers that start at once migrate once', async () => {
  const url = await emptyDatabase();
  await Promise.all([1, 2, 3].map(() => migrateDatabase(url, migrations)));
  const pool = new Pool({ connectionString: url, max: 1 });
  const { rows: done } = await pool.query('select from drizzle.__drizzle_migrations');
  await pool.query('update drizzle.__drizzle_migrations set created_at = created_at + 100000000000');
  await pool.end();
  expect(done.length).toBeGreaterThan(5);
  await expect(migrateDatabase(url, migrations)).rejects.toThrow('newer version');
});
