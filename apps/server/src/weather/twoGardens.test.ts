import type { WeatherAnswer, WeatherSource } from '@field-nurse/contract';
import { hourMs } from '@field-nurse/core/timing';
import { randomUUID } from 'node:crypto';
import { settings } from '../testRecords';
import { startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

// Two gardens of one owner: the weather of one is not that of the other.

let server: TestServer;
let garden: TestGarden;
const second = randomUUID();
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
  await garden.owner.send('post', '/api/v1/gardens', { id: second, settings });
}, 60_000);
afterAll(() => server.stop());

const start = Date.parse('2026-07-01T00:00:00.000Z');
const hours = (count: number, rainMm: number, from = 0) =>
  Array.from({ length: count }, (_, i) => ({ at: new Date(start + (from + i) * hourMs).toISOString(), rainMm }));
const add = (id: string, file: { id: string; name: string }, list: object[]) =>
  garden.owner.send<WeatherSource[]>('post', `/api/v1/gardens/${id}/weather/files`, { ...file, hours: list });
const rainOf = async (id: string) => {
  const query = 'from=2026-07-01T00:00:00Z&to=2026-07-02T00:00:00Z';
  return (await garden.owner.send<WeatherAnswer>('get', `/api/v1/gardens/${id}/weather?${query}`)).hours.map(({ rainMm }) => rainMm);
};
const file = (name: string) => ({ id: randomUUID(), name });

test('hours of one do not show in the other, though they are the same hours', async () => {
  await add(garden.garden, file('one.csv'), hours(3, 1));
  await add(second, file('two.csv'), hours(2, 5));
  expect(await rainOf(garden.garden)).toEqual([1, 1, 1]);
  expect(await rainOf(second)).toEqual([5, 5]);
});

test('a file of one can not be taken out through the other', async () => {
  const own = file('mine.csv');
  await add(garden.garden, own, hours(1, 9, 10));
  const other = `/api/v1/gardens/${second}/weather/files/kept`;
  expect(await garden.owner.status('post', other, { id: own.id, kept: false })).toBe(404);
  expect(await rainOf(garden.garden)).toEqual([1, 1, 1, 9]);
});

test('of two files the newer counts where they overlap, and the older where it does not', async () => {
  const [older, newer] = [file('older.csv'), file('newer.csv')];
  const place = randomUUID();
  await garden.owner.send('post', '/api/v1/gardens', { id: place, settings });
  await add(place, older, hours(4, 1));
  await server.pool.query(`update weather_sources set added_at = '2026-07-10T00:00:00Z' where id = $1`, [older.id]);
  await add(place, newer, hours(2, 7, 2));
  expect(await rainOf(place)).toEqual([1, 1, 7, 7]);
  await garden.owner.send('post', `/api/v1/gardens/${place}/weather/files/kept`, { id: newer.id, kept: false });
  expect(await rainOf(place)).toEqual([1, 1, 1, 1]);
});

test('what is sent again under one id replaces its own hours and no others', async () => {
  const place = randomUUID();
  const own = file('again.csv');
  await garden.owner.send('post', '/api/v1/gardens', { id: place, settings });
  await add(place, own, hours(3, 1));
  const [source] = await add(place, own, hours(1, 4, 1));
  expect(await rainOf(place)).toEqual([1, 4, 1]);
  expect(source).toMatchObject({ hours: 3, firstAt: hours(1, 0)[0]!.at, lastAt: hours(1, 0, 2)[0]!.at });
});

test('a viewer sees the weather and can not change it', async () => {
  const path = `/api/v1/gardens/${garden.garden}/weather`;
  expect(await garden.viewer.status('get', `${path}/sources`)).toBe(200);
  for (const [rest, body] of [
    ['files', { ...file('x.csv'), hours: hours(1, 1) }],
    ['files/kept', { id: randomUUID(), kept: false }],
    ['station', {}],
  ] as const)
    expect(await garden.viewer.status('post', `${path}/${rest}`, body)).toBe(403);
});
