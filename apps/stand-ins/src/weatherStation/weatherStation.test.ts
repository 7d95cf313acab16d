import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import { createStandIns } from '../standIns';
import { weatherAt } from './climate';
import { forecast, observations } from './records';

const hourMs = 3_600_000;
const hoursOf = (from: string, days: number) => Array.from({ length: days * 24 }, (_, i) => weatherAt(Date.parse(from) + i * hourMs, 1807));
const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

test('a year is warm in summer and cold in winter, by day warmer than by night, and never beyond belief', () => {
  const year = hoursOf('2025-01-01T00:00:00Z', 365);
  const of = (months: readonly number[], hours: readonly number[]) =>
    mean(
      year
        .filter(({ at }) => months.includes(new Date(at).getUTCMonth() + 1) && hours.includes(new Date(at).getUTCHours()))
        .map(({ temperatureC }) => temperatureC),
    );
  expect(of([6, 7, 8], [15])).toBeGreaterThan(of([6, 7, 8], [4]) + 5);
  expect(of([6, 7, 8], [12])).toBeGreaterThan(of([12, 1, 2], [12]) + 8);
  for (const hour of year) {
    expect(hour.temperatureC).toBeGreaterThan(-20);
    expect(hour.temperatureC).toBeLessThan(40);
    expect(hour.humidityPercent).toBeGreaterThan(15);
    expect(hour.humidityPercent).toBeLessThanOrEqual(100);
    expect(hour.windMetresPerSecond).toBeGreaterThanOrEqual(0);
  }
  const rain = year.reduce((sum, { rainMm }) => sum + rainMm, 0);
  expect(rain).toBeGreaterThan(400);
  expect(rain).toBeLessThan(1200);
});

test('the wet week before the blotches on the potatoes, and the hot one before the mites', () => {
  const wet = hoursOf('2026-07-06T00:00:00Z', 7);
  const hot = hoursOf('2026-06-24T00:00:00Z', 7);
  const sum = (hours: typeof wet) => hours.reduce((so, { rainMm }) => so + rainMm, 0);
  expect(sum(wet)).toBeGreaterThan(20);
  expect(sum(hot)).toBeLessThan(2);
  expect(Math.max(...hot.map(({ temperatureC }) => temperatureC))).toBeGreaterThan(25);
});

test('some hours come late, some never, and what came stays the same', () => {
  const [from, to] = [Date.parse('2026-05-01T00:00:00Z'), Date.parse('2026-07-01T00:00:00Z')];
  const later = observations(from, to, to + 24 * hourMs, 1807);
  const known = new Map(later.map((record) => [record.time, record]));
  let late = 0;
  for (let now = to - 48 * hourMs; now < to; now += 6 * hourMs) {
    const early = observations(now - 48 * hourMs, now, now, 1807);
    for (const record of early) expect(known.get(record.time)).toEqual(record);
    late += later.filter(({ time }) => Date.parse(time) >= now - 48 * hourMs && Date.parse(time) + hourMs <= now).length - early.length;
  }
  expect(late).toBeGreaterThan(2);
  const hours = (to - from) / hourMs;
  expect(later.length).toBeLessThan(hours);
  expect(later.length).toBeGreaterThan(hours * 0.9);
  expect(later.some(({ leaf_wetness }) => leaf_wetness === null)).toBe(true);
});

test('a forecast is for ten days, and errs more the further it looks', () => {
  const errors = (firstDay: number, lastDay: number) =>
    Array.from({ length: 40 }, (_, i) => Date.parse('2026-04-01T00:00:00Z') + i * 24 * hourMs).flatMap((issued) =>
      forecast(issued, 1807)
        .slice(firstDay * 24, lastDay * 24)
        .map((record) => Math.abs(record.air_temperature! - weatherAt(Date.parse(record.time), 1807).temperatureC)),
    );
  expect(forecast(Date.parse('2026-07-18T09:00:00Z'), 1807)).toHaveLength(240);
  expect(mean(errors(0, 1))).toBeLessThan(mean(errors(4, 5)));
  expect(mean(errors(4, 5))).toBeLessThan(mean(errors(9, 10)));
});

describe('over HTTP', () => {
  let server: Server;
  let address: string;
  beforeAll(async () => {
    server = createServer(createStandIns().callback()).listen(0, '127.0.0.1');
    await new Promise((resolve) => server.once('listening', resolve));
    address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  });
  afterAll(() => void server.close());

  test('it answers, refuses nonsense, and turns every fifth request away', async () => {
    const query = 'from=2026-07-01T00:00:00Z&to=2026-07-02T00:00:00Z&as_of=2026-07-18T09:30:00Z';
    const status = async (path: string) => (await fetch(address + path)).status;
    expect([
      await status('/stations'),
      await status(`/stations/osier-weir/observations?${query}`),
      await status('/stations/osier-weir/observations?from=yesterday'),
      await status('/stations/elsewhere/forecast?as_of=2026-07-18T09:30:00Z'),
      await status('/stations'),
      await status('/stations/osier-weir/forecast?as_of=2026-07-18T09:30:00Z'),
    ]).toEqual([200, 200, 400, 404, 503, 200]);
  });
});
