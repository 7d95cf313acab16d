import type { WeatherAnswer, WeatherSource } from '@field-nurse/contract';
import { hourMs } from '@field-nurse/core/timing';
import type { WeatherDay, WeatherHour } from '@field-nurse/core/timing';
import { randomUUID } from 'node:crypto';
import { createServer } from 'node:http';
import type { RequestListener } from 'node:http';
import type { AddressInfo } from 'node:net';
import { settings } from '../testRecords';
import { refused, startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';
import { StationFault, stationsOver } from './stations';
import type { Stations } from './stations';

const hour = (at: string, change: Partial<WeatherHour> = {}): WeatherHour => ({
  at,
  temperatureC: 15,
  humidityPercent: 70,
  rainMm: 0,
  windKmh: 5,
  leafWetMinutes: null,
  ...change,
});

describe('reading a station over HTTP', () => {
  /** A service that answers in turn as it is told. */
  async function serviceThat(
    ...answers: readonly RequestListener[]
  ): Promise<{ stations: Stations; calls: () => number; stop: () => void }> {
    let calls = 0;
    const service = createServer((request, response) => answers[Math.min(calls++, answers.length - 1)]!(request, response));
    service.listen(0, '127.0.0.1');
    await new Promise((resolve) => service.once('listening', resolve));
    const address = `http://127.0.0.1:${(service.address() as AddressInfo).port}`;
    return {
      stations: stationsOver(address, { waitMs: 1, timeoutMs: 300 }),
      calls: () => calls,
      stop: () => {
        service.close();
        service.closeAllConnections();
      },
    };
  }
  const says =
    (status: number, body: unknown): RequestListener =>
    (_, response) =>
      void response.writeHead(status, { 'Content-Type': 'application/json' }).end(typeof body === 'string' ? body : JSON.stringify(body));
  const good = {
    issued: '2026-07-18T09:00:00.000Z',
    records: [
      {
        time: '2026-07-18T10:00:00.000Z',
        air_temperature: 18.5,
        relative_humidity: 60,
        precipitation: 0,
        wind_speed: 2.5,
        leaf_wetness: null,
      },
    ],
  };
  const now = new Date('2026-07-18T09:30:00Z');

  test.each([
    ['busy once', [says(503, {}), says(200, good)], 2],
    ['too many at once, twice', [says(429, {}), says(429, {}), says(200, good)], 3],
    ['a call that hangs', [() => undefined, says(200, good)], 2],
  ] as const)('%s: it is asked again, and metres a second become kilometres an hour', async (_, answers, calls) => {
    const service = await serviceThat(...answers);
    const { hours, issuedAt } = await service.stations.forecast('weir', now);
    expect(hours).toEqual([hour('2026-07-18T10:00:00.000Z', { temperatureC: 18.5, humidityPercent: 60, windKmh: 9 })]);
    expect(issuedAt).toBe(good.issued);
    expect(service.calls()).toBe(calls);
    service.stop();
  });

  test.each([
    ['what stays down', [says(500, {})], 3],
    ['what refuses', [says(400, {})], 1],
    ['another form', [says(200, { records: [{ time: 'noon' }] })], 1],
    ['no JSON', [says(200, '<html>')], 1],
  ] as const)('%s is a fault of the station', async (_, answers, calls) => {
    const service = await serviceThat(...answers);
    await expect(service.stations.forecast('weir', now)).rejects.toThrow(StationFault);
    expect(service.calls()).toBe(calls);
    service.stop();
  });
});

describe('the weather of a garden', () => {
  /** A station in the test's own hands. */
  let known: WeatherHour[] = [];
  let silent = false;
  const asked: Date[] = [];
  const askedForecasts: Date[] = [];
  const mind = async <T>(answer: T): Promise<T> => {
    if (silent) throw new StationFault('silent');
    return answer;
  };
  const stations: Stations = {
    list: () => mind([{ id: 'weir', name: 'Weir', simulated: true }]),
    observations: (_, from, to) => {
      asked.push(from);
      return mind(known.filter(({ at }) => Date.parse(at) >= from.getTime() && Date.parse(at) < to.getTime()));
    },
    forecast: (_, now) => {
      askedForecasts.push(now);
      const issuedAt = new Date(Math.floor(now.getTime() / hourMs) * hourMs).toISOString();
      return mind({ issuedAt, hours: [hour(new Date(Date.parse(issuedAt) + hourMs).toISOString())] });
    },
  };
  let server: TestServer;
  let garden: TestGarden;
  const path = (rest = '') => `/api/v1/gardens/${garden.garden}/weather${rest}`;
  const weather = (from = '2026-07-17T00:00:00Z', to = '2026-07-18T00:00:00Z') =>
    garden.viewer.send<WeatherAnswer>('get', path(`?from=${from}&to=${to}`));
  const read = () => garden.member.send<WeatherSource[]>('post', path('/station'), {});
  const hoursFrom = (start: string, count: number, change: Partial<WeatherHour> = {}) =>
    Array.from({ length: count }, (_, i) => hour(new Date(Date.parse(start) + i * hourMs).toISOString(), change));

  beforeAll(async () => {
    server = await startTestServer({ stations });
    garden = await startGarden(server);
  }, 60_000);
  afterAll(() => server.stop());

  test('without a station there is nothing, and reading says what would lift it', async () => {
    expect(await weather()).toEqual({ hours: [], forecast: null, station: null });
    expect(await refused(read())).toContain('An owner chooses one in Settings');
    const wrong = { ...settings, weatherStation: 'no-such-station' };
    expect(await refused(garden.owner.send('put', `/api/v1/gardens/${garden.garden}`, wrong))).toMatch(/400.*weatherStation/);
  });

  test('what the station knows is read, what comes late is read later, and a gap stays a gap', async () => {
    await garden.owner.send('put', `/api/v1/gardens/${garden.garden}`, { ...settings, weatherStation: 'weir' });
    const all = hoursFrom('2026-07-17T00:00:00.000Z', 24);
    known = all.filter((_, i) => i < 10 || i >= 14);
    await read();
    expect((await weather()).hours).toEqual(known);
    known = all.filter((_, i) => i !== 12);
    await read();
    const now = await weather();
    expect(now.hours).toHaveLength(23);
    expect(now.hours.map(({ at }) => at)).not.toContain(all[12]!.at);
    expect(now.forecast?.hours).toHaveLength(1);
    expect(now.station).toEqual({ name: 'Weir', simulated: true, readAt: '2026-07-18T09:30:00.000Z', failedAt: null });
    expect(asked.at(-1)!.toISOString()).toBe('2026-07-14T23:00:00.000Z');
  });

  test('a station that falls silent loses nothing, and the garden says since when', async () => {
    silent = true;
    expect(await refused(read())).toContain('503');
    const now = await weather();
    expect(now.hours).toHaveLength(23);
    expect(now.station?.failedAt).toBe('2026-07-18T09:30:00.000Z');
    silent = false;
    await read();
    expect((await weather()).station?.failedAt).toBeNull();
  });

  test('gardens that go by one station share its hours; each ends at its own now and has the forecast of then', async () => {
    const other = randomUUID();
    const path2 = `/api/v1/gardens/${other}`;
    await garden.owner.send('post', '/api/v1/gardens', { id: other, settings });
    await garden.owner.send('put', path2, { ...settings, weatherStation: 'weir' });
    await server.pool.query(`update gardens set fixed_now = '2026-07-17T06:30:00Z' where id = $1`, [other]);
    asked.length = askedForecasts.length = 0;
    await garden.owner.send('post', `${path2}/weather/station`, {});
    // The garden whose clock stands still wants a day more at the far end; of the rest only what may have come late is asked for again.
    const [back, ...rest] = asked.map((from) => from.toISOString());
    expect([back, rest]).toEqual(['2025-01-03T06:30:00.000Z', ['2026-07-14T23:00:00.000Z']]);
    expect(askedForecasts.map((now) => now.toISOString())).toEqual(['2026-07-17T06:30:00.000Z', '2026-07-18T09:30:00.000Z']);
    const own = (rest: string) => garden.owner.send<WeatherAnswer>('get', `${path2}/weather${rest}`);
    const there = await own('?from=2026-07-17T00:00:00Z&to=2026-07-18T00:00:00Z');
    expect(there.hours).toHaveLength(7);
    expect(there.forecast?.issuedAt).toBe('2026-07-17T06:00:00.000Z');
    expect(there.station).toMatchObject({ readAt: '2026-07-17T06:30:00.000Z' });
    expect((await weather()).hours).toHaveLength(23);
    expect((await weather()).forecast?.issuedAt).toBe('2026-07-18T09:00:00.000Z');
    const [held] = await garden.owner.send<WeatherSource[]>('get', `${path2}/weather/sources`);
    expect(held).toMatchObject({ kind: 'station', name: 'Weir', hours: 7, lastAt: '2026-07-17T06:00:00.000Z' });
    const { rows } = await server.pool.query<{ n: number }>('select count(*)::int as n from station_hours');
    expect(rows[0]!.n).toBe(23);
    // Its station goes with the garden; the hours stay for the others.
    await garden.owner.send('delete', path2, { name: settings.name });
    expect((await weather()).hours).toHaveLength(23);
  });

  test('the days of the garden’s own calendar, from the hours that are known; what nobody measured stays empty', async () => {
    await server.pool.query(`update gardens set time_zone = 'Pacific/Auckland' where id = $1`, [garden.garden]);
    const days = (from: string, to: string) => garden.viewer.send<WeatherDay[]>('get', path(`/days?from=${from}&to=${to}`));
    // Auckland's 17 July ends at noon in UTC; one hour of the 24 was never measured.
    const known = { minC: 15, maxC: 15, rainMm: 0, wetHours: 0, maxWindKmh: 5 };
    const unknown = { minC: null, maxC: null, rainMm: null, wetHours: null, maxWindKmh: null };
    expect(await days('2026-07-16', '2026-07-18')).toEqual([
      { day: '2026-07-16', ...unknown, missing: 24 },
      { day: '2026-07-17', ...known, missing: 12 },
      { day: '2026-07-18', ...known, missing: 13 },
    ]);
    expect(await days('2026-07-18', '2026-07-18')).toHaveLength(1);
    expect(await refused(days('2026-07-18', '2026-07-17'))).toContain('400 days');
    expect(await refused(days('2025-01-01', '2026-07-17'))).toContain('400 days');
    await server.pool.query(`update gardens set time_zone = $2 where id = $1`, [garden.garden, settings.timeZone]);
  });

  test('a file goes before the station, fills its gap, comes in parts, counts once, and can be taken out again', async () => {
    const file = { id: randomUUID(), name: 'gauge.csv' };
    const own = hoursFrom('2026-07-17T11:00:00.000Z', 3, { rainMm: 4 });
    for (const hours of [own.slice(0, 2), own.slice(2), own.slice(2)]) await garden.member.send('post', path('/files'), { ...file, hours });
    const filled = await weather();
    expect(filled.hours).toHaveLength(24);
    expect(filled.hours.slice(11, 14).map(({ rainMm }) => rainMm)).toEqual([4, 4, 4]);
    const sources = await garden.viewer.send<WeatherSource[]>('get', path('/sources'));
    expect(sources.map(({ kind, name, hours }) => [kind, name, hours])).toEqual(
      expect.arrayContaining([
        ['file', 'gauge.csv', 3],
        ['station', 'Weir', 23],
      ]),
    );
    const keep = (kept: boolean) => garden.member.send<WeatherSource[]>('post', path('/files/kept'), { id: file.id, kept });
    expect(await keep(false)).toHaveLength(1);
    expect((await weather()).hours).toHaveLength(23);
    expect(await keep(true)).toHaveLength(2);
    expect((await weather()).hours).toHaveLength(24);
    await keep(false);
    expect(await refused(garden.member.send('post', path('/files/kept'), { id: randomUUID(), kept: false }))).toContain('404');
  });

  test.each([
    ['an hour that is none', { at: '2026-07-17T00:30:00Z' }, 'full hour'],
    ['rain below zero', { rainMm: -1 }, 'rainMm'],
    ['air more than full', { humidityPercent: 140 }, 'humidityPercent'],
    ['the future', { at: '2026-07-19T00:00:00Z' }, 'yet to come'],
  ])('%s is refused by name', async (_, change, said) => {
    const body = { id: randomUUID(), name: 'bad.csv', hours: [hour('2026-07-17T00:00:00Z', change)] };
    expect(await refused(garden.member.send('post', path('/files'), body))).toContain(said);
  });

  test('two rows of one hour: the later one stands; too long a span is refused', async () => {
    const id = randomUUID();
    const at = '2026-07-10T00:00:00.000Z';
    await garden.member.send('post', path('/files'), { id, name: 'twice.json', hours: [hour(at, { rainMm: 1 }), hour(at, { rainMm: 2 })] });
    expect((await weather('2026-07-10T00:00:00Z', '2026-07-11T00:00:00Z')).hours).toEqual([hour(at, { rainMm: 2 })]);
    expect(await refused(weather('2026-01-01T00:00:00Z', '2026-07-01T00:00:00Z'))).toContain('62 days');
  });

  test('the station’s own file can not be taken out by its id', async () => {
    const [station] = (await garden.viewer.send<WeatherSource[]>('get', path('/sources'))).filter(({ kind }) => kind === 'station');
    expect(await refused(garden.owner.send('post', path('/files/kept'), { id: station!.id, kept: false }))).toContain('404');
  });
});
