import { endpoints, storedRecords, writtenRecords } from './index';
import { gardenSettings, place, planting, recoveryLook } from './records';
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

  test.each(all)('%s: reading takes no body, the rest does', (_, endpoint) => {
    expect('body' in endpoint).toBe(endpoint.method !== 'get');
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
      inFlower: false,
      eaten: true,
      nextHarvestOn: null,
      note: '',
      endedOn: null,
    };
    expect(faults(planting, one)).toEqual([]);
    expect(faults(planting, { ...one, plants: 1.5, host: 'Leek!', placeId: 'bed' })).toEqual(['placeId', 'host', 'plants']);
  });

  test('severity is a percent of the plant', () => {
    const look = {
      caseId: id,
      plantingId: id,
      lookedOn: '2026-07-18',
      severity: 0,
      count: 0,
      newGrowth: 'clean',
      nextLookOn: null,
      note: '',
    };
    expect([0, 100].map((severity) => faults(recoveryLook, { ...look, severity }))).toEqual([[], []]);
    expect([-0.1, 100.1, NaN].map((severity) => faults(recoveryLook, { ...look, severity }))).toEqual([
      ['severity'],
      ['severity'],
      ['severity'],
    ]);
    expect(faults(recoveryLook, { ...look, count: 2.5 })).toEqual(['count']);
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
