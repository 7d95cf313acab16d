import type { Library } from '@field-nurse/library';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { StationFault, stationsOver } from '../apps/server/src/weather/stations';
import type { Stations } from '../apps/server/src/weather/stations';
import { inGardenWords } from '../apps/server/src/shelf/inGardenWords';
import { registerOver } from '../apps/server/src/shelf/registers';
import { registered } from '../apps/stand-ins/src/labelRegister/catalog';
import { createStandIns } from '../apps/stand-ins/src/standIns';

// The server's own reader over the simulated station: the two were written apart, and must understand each other.

const library = JSON.parse(readFileSync(join(import.meta.dirname, '../packages/library/generated/index.json'), 'utf8')) as Library;

const now = new Date('2026-07-18T09:30:00Z');
const hourMs = 3_600_000;
const before = (days: number) => new Date(now.getTime() - days * 24 * hourMs);

let service: Server;
let stations: Stations;
beforeAll(async () => {
  service = createServer(createStandIns().callback()).listen(0, '127.0.0.1');
  await new Promise((resolve) => service.once('listening', resolve));
  stations = stationsOver(`http://127.0.0.1:${(service.address() as AddressInfo).port}`, { waitMs: 1 });
});
afterAll(() => void service.close());

test('the station is offered, and said to be made up', async () => {
  expect(await stations.list()).toEqual([{ id: 'osier-weir', name: 'Osier weir', simulated: true }]);
});

test('twenty readings go through, though every fifth call is turned away', async () => {
  for (let i = 0; i < 20; i++) expect(await stations.list()).toHaveLength(1);
});

test('hours are whole, in order, each once, within what was asked for', async () => {
  const hours = await stations.observations('osier-weir', before(30), now, now);
  const times = hours.map(({ at }) => Date.parse(at));
  expect(times).toEqual([...new Set(times)].sort((a, b) => a - b));
  expect(times.every((at) => at % hourMs === 0)).toBe(true);
  expect(times[0]!).toBeGreaterThanOrEqual(before(30).getTime());
  expect(times.at(-1)! + hourMs).toBeLessThanOrEqual(now.getTime());
  expect(hours.length).toBeGreaterThan(30 * 24 * 0.9);
  expect(hours.length).toBeLessThan(30 * 24);
});

test('every value lies within what a garden takes', async () => {
  const hours = [
    ...(await stations.observations('osier-weir', before(60), now, now)),
    ...(await stations.forecast('osier-weir', now)).hours,
  ];
  const within = (value: number | null, low: number, high: number) => value === null || (value >= low && value <= high);
  for (const { temperatureC, humidityPercent, rainMm, windKmh, leafWetMinutes } of hours) {
    expect(within(temperatureC, -60, 60) && within(humidityPercent, 0, 100) && within(rainMm, 0, 300)).toBe(true);
    expect(within(windKmh, 0, 400) && within(leafWetMinutes, 0, 60)).toBe(true);
  }
});

test('a forecast begins after now and reaches ten days', async () => {
  const { issuedAt, hours } = await stations.forecast('osier-weir', now);
  expect(Date.parse(issuedAt)).toBeLessThanOrEqual(now.getTime());
  expect(hours).toHaveLength(240);
  expect(Date.parse(hours.at(-1)!.at) - Date.parse(hours[0]!.at)).toBe(239 * hourMs);
});

test('a station that is not there, and too long a span, are faults and no crash', async () => {
  await expect(stations.forecast('elsewhere', now)).rejects.toThrow(StationFault);
  await expect(stations.observations('osier-weir', before(400), now, now)).rejects.toThrow(StationFault);
});

test('every product of the register can be read, whole, in the words of the library', async () => {
  const { port } = service.address() as AddressInfo;
  const register = registerOver(`http://127.0.0.1:${port}`, { waitMs: 1 });
  for (const { number, product } of registered) {
    const [found] = await register.find(number, '2026-07-18');
    const entry = inGardenWords(library, found!, '2026-07-18');
    expect(entry).toMatchObject({ name: product, unread: [], card: { source: 'register' } });
    expect(entry!.intervention).not.toBeNull();
  }
});
