import { endpoints, mostHoursInFile, storedRecords, weatherHour, writtenRecords } from './index';
import { application, decision } from './applications';
import { planting } from './plantings';
import { gardenSettings, place } from './records';
import { assessment } from './recovery';
import { timeZone } from './words';

const id = '8f7f0c1e-4a55-4d0b-9c5e-2f3b6f1f7a10';
const faults = (
  schema: { safeParse: (value: unknown) => { error?: { issues: readonly { path: readonly PropertyKey[] }[] } | undefined } },
  value: unknown,
) => schema.safeParse(value).error?.issues.map(({ path }) => path.join('.')) ?? [];

describe('endpoints', () => {
  const all = Object.entries(endpoints);

  test('each has an address of its own', () => {
    const addresses = all.map(([, { method, path }]) => `${method} ${path}`);
    expect(new Set(addresses).size).toBe(addresses.length);
  });

  test.each(all)('%s: its path names exactly the parameters that it checks', (_, endpoint) => {
    const named = [...endpoint.path.matchAll(/\{(\w+)\}/g)].map(([, name]) => name!);
    expect(Object.keys('params' in endpoint ? endpoint.params.shape : {}).sort()).toEqual(named.sort());
  });

  test.each(all)('%s: reading takes no body, writing does', (_, endpoint) => {
    if (endpoint.method === 'delete') return;
    expect('body' in endpoint || 'upload' in endpoint).toBe(endpoint.method !== 'get');
  });
});

test('what is stored is what was written, with an id and a version', () => {
  for (const subject of Object.keys(writtenRecords) as (keyof typeof writtenRecords)[])
    expect(Object.keys(storedRecords[subject].shape)).toEqual(
      expect.arrayContaining(['id', 'version', ...Object.keys(writtenRecords[subject].shape)]),
    );
});

describe('records', () => {
  const bed = { name: 'Bed', kind: 'bed', setting: 'outdoor', areaM2: 12, note: '', endedOn: null };

  test.each([
    [{}, []],
    [{ name: '  Long bed  ' }, []],
    [{ name: '' }, ['name']],
    [{ name: 'x'.repeat(121) }, ['name']],
    [{ areaM2: 0 }, ['areaM2']],
    [{ areaM2: -1 }, ['areaM2']],
    [{ kind: 'castle' }, ['kind']],
    [{ endedOn: '18.7.2026' }, ['endedOn']],
    [{ note: 'x'.repeat(4001) }, ['note']],
  ])('a place with %j has faults %j', (change, expected) => {
    expect(faults(place, { ...bed, ...change })).toEqual(expected);
  });

  test('names are trimmed and unknown fields are not taken', () => {
    expect(place.parse({ ...bed, name: '  Long bed ' }).name).toBe('Long bed');
    expect(place.safeParse({ ...bed, colour: 'red' }).success).toBe(false);
  });

  test('a planting counts whole plants', () => {
    const one = {
      placeId: id,
      host: 'leek',
      cultivar: '',
      plants: 1,
      plantedOn: '2026-05-01',
      setting: 'outdoor',
      eaten: true,
      note: '',
    };
    expect(faults(planting, one)).toEqual([]);
    expect(faults(planting, { ...one, plants: 1.5, host: 'Leek!', placeId: 'bed' })).toEqual(['placeId', 'host', 'plants']);
    const events = (...list: object[]) => faults(planting, { ...one, events: list });
    expect(events({ kind: 'flowering', on: '2026-05-01', until: null }, { kind: 'ended', on: '2026-06-01' })).toEqual([]);
    expect(events({ kind: 'harvest', on: '2026-04-30', until: null })).toEqual(['events']);
    expect(events({ kind: 'harvest', on: '2026-07-02', until: '2026-07-01' })).toEqual(['events']);
    expect(events({ kind: 'ended', on: '2026-06-01' }, { kind: 'ended', on: '2026-06-02' })).toEqual(['events']);
    expect(events({ kind: 'stage', on: '2026-06-01', until: null })).toHaveLength(2);
  });

  test('an application goes to each planting once, with its product measured one way', () => {
    const target = { plantingId: id, caseId: null, plants: 3, coveredPart: '' };
    const one = {
      intervention: 'soap',
      appliedAt: '2026-07-18T08:00:00Z',
      targets: [target],
      productMl: 20,
      productG: null,
      productPieces: null,
      waterL: 1,
      appliedBy: 'Wren',
      temperatureC: null,
      windKmh: null,
      sky: '',
      why: '',
    };
    expect(faults(application, one)).toEqual([]);
    expect(faults(application, { ...one, productG: 20 })).toEqual(['productMl']);
    expect(faults(application, { ...one, targets: [target, target] })).toEqual(['targets']);
    expect(faults(application, { ...one, targets: [] })).toEqual(['targets']);
  });

  test('nobody says how a decision is judged', () => {
    const one = { caseId: id, intervention: 'soap', decidedOn: '2026-07-18', nextAssessmentOn: '2026-07-25', note: '' };
    expect(faults(decision, one)).toEqual([]);
    expect(faults(decision, { ...one, verdict: 'fits' })).toHaveLength(1);
  });

  test('severity is a percent of the plant', () => {
    const look = {
      caseId: id,
      plantingId: id,
      assessedOn: '2026-07-18',
      severity: 0,
      count: 0,
      newGrowth: 'clean',
      nextAssessmentOn: null,
      note: '',
    };
    expect([0, 100].map((severity) => faults(assessment, { ...look, severity }))).toEqual([[], []]);
    expect([-0.1, 100.1, NaN].map((severity) => faults(assessment, { ...look, severity }))).toEqual([
      ['severity'],
      ['severity'],
      ['severity'],
    ]);
    expect(faults(assessment, { ...look, count: 2.5 })).toEqual(['count']);
  });

  test('a garden stands on the earth or does not say where', () => {
    const garden = { name: 'Sill', latitude: null, longitude: null, timeZone: 'UTC', units: 'us', stance: 'hands', region: 'neutral' };
    expect(faults(gardenSettings, garden)).toEqual([]);
    expect(faults(gardenSettings, { ...garden, latitude: -90.5, longitude: 181 })).toEqual(['latitude', 'longitude']);
  });

  test.each([
    ['Europe/London', true],
    ['UTC', true],
    ['Reach/Nowhere', false],
    ['', false],
  ])('“%s” is a time zone: %s', (name, known) => {
    expect(timeZone.safeParse(name).success).toBe(known);
  });
});

describe('questions to the calculations', () => {
  const { differential, options, mix, progress } = endpoints;

  test.each([
    [differential.body, { host: 'leek' }, []],
    [differential.body, { host: '' }, ['host']],
    [differential.body, { host: 'leek', month: 13 }, ['month']],
    [differential.body, { host: 'leek', findings: [{ sign: 'rust-pustules', state: 'struck' }] }, ['findings.0.state']],
    [differential.body, { host: 'leek', text: 'x'.repeat(20_001) }, ['text']],
    [
      differential.body,
      {
        host: 'leek',
        findings: [
          { sign: 'rust-pustules', state: 'seen' },
          { sign: 'rust-pustules', state: 'absent' },
        ],
      },
      ['findings.1.state'],
    ],
    [differential.body, { host: 'leek', findings: [{ sign: 'rust-pustules', state: 'seen', sure: 0 }] }, ['findings.0.sure']],
    [options.body, { host: 'leek', conditions: [], setting: 'outdoor', stance: 'organic' }, ['conditions']],
    [options.body, { host: 'leek', conditions: ['x'], setting: 'moon', stance: 'organic' }, ['setting']],
    [
      options.body,
      { host: 'leek', conditions: ['x'], setting: 'outdoor', stance: 'organic', forecast: { windKmh: -1 } },
      ['forecast.windKmh'],
    ],
    [mix.body, { rate: { amount: 0, unit: 'ml' } }, ['rate.amount']],
    [mix.body, { rate: { amount: 1, unit: 'pinch' } }, ['rate.unit']],
    [progress.body, { points: [] }, ['points']],
    [
      progress.body,
      {
        points: [
          { date: '2026-07-02', severity: 1 },
          { date: '2026-07-01', severity: 1 },
        ],
      },
      ['points'],
    ],
  ])('%#: faults stand at their fields', (schema, value, expected) => {
    expect(faults(schema, value)).toEqual(expected);
  });
});

describe('weather', () => {
  const hour = { at: '2026-07-18T09:00:00Z', temperatureC: 18.5 };

  test('what an hour does not say is unknown', () => {
    expect(weatherHour.parse(hour)).toEqual({ ...hour, humidityPercent: null, rainMm: null, windKmh: null, leafWetMinutes: null });
  });

  test.each([
    ['a half hour', { at: '2026-07-18T09:30:00Z' }],
    ['an hour of a zone that is off by half an hour', { at: '2026-07-18T09:00:00+05:30' }],
    ['no instant', { at: '2026-07-18 09:00' }],
    ['more than full air', { humidityPercent: 101 }],
    ['rain below zero', { rainMm: -0.1 }],
    ['more minutes than an hour has', { leafWetMinutes: 61 }],
    ['the heat of an oven', { temperatureC: 90 }],
    ['a field of another kind', { pressure: 1013 }],
  ])('%s is refused', (_, change) => {
    expect(weatherHour.safeParse({ ...hour, ...change }).success).toBe(false);
  });

  test('a file comes in parts of up to 2000 hours', () => {
    const { body } = endpoints.addWeatherFile;
    const part = (count: number) => ({ id: crypto.randomUUID(), name: 'x.csv', hours: Array.from({ length: count }, () => hour) });
    expect([0, 1, mostHoursInFile, mostHoursInFile + 1].map((count) => body.safeParse(part(count)).success)).toEqual([
      false,
      true,
      true,
      false,
    ]);
  });
});

describe('traps', () => {
  const trap = {
    placeId: crypto.randomUUID(),
    name: 'Card',
    kind: 'sticky-card',
    target: null,
    spots: [{ from: '2026-05-01', name: 'door', x: null, y: null }],
    weeklyLevel: null,
    note: '',
    endedOn: null,
  };
  const parse = (change: object) => writtenRecords.traps.safeParse({ ...trap, ...change });

  test('one that never rested says so by itself', () => {
    expect(parse({}).data).toMatchObject({ pauses: [] });
  });

  test.each([
    ['two spots on one day', { spots: [trap.spots[0], { ...trap.spots[0]!, name: 'wall' }] }],
    ['spots out of order', { spots: [trap.spots[0], { ...trap.spots[0]!, from: '2026-04-01' }] }],
    ['no spot', { spots: [] }],
    ['a rest that ends before it begins', { pauses: [{ from: '2026-06-02', until: '2026-06-01' }] }],
    ['a rest of no days', { pauses: [{ from: '2026-06-02', until: '2026-06-02' }] }],
    ['a level of nothing', { weeklyLevel: 0 }],
    ['poison', { kind: 'bait' }],
  ])('%s is refused', (_, change) => {
    expect(parse(change).success).toBe(false);
  });
});
