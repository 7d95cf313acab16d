import type { Intervention } from '@field-nurse/library';
import { application, place, planting } from '../testing/test-garden';
import { cardWarnings } from './card-warnings';
import type { LogRow } from './log-csv';
import { logCsv } from './log-csv';
import { logLines } from './log-rows';

describe('lines of the record', () => {
  const names = {
    planting: () => planting,
    place: () => place,
    host: () => 'Leek',
    intervention: () => 'Sulphur',
  };
  const old = { ...application, id: 'old', appliedAt: '2025-08-01T18:00:00.000Z' };

  test('bear all their names, newest first', () => {
    const lines = logLines([old, application], undefined, names, 'UTC');
    expect(lines.map(({ id }) => id)).toEqual(['a', 'old']);
    expect(lines[0]).toMatchObject({ plant: 'Leek', cultivar: 'Spar', place: 'Bed', treatment: 'Sulphur' });
  });

  test('of one year', () => {
    expect(logLines([old, application], '2025', names, 'UTC').map(({ id }) => id)).toEqual(['old']);
  });

  test('of the garden’s year, not of Greenwich’s', () => {
    const newYear = { ...application, appliedAt: '2025-12-31T12:30:00.000Z' };
    expect(logLines([newYear], '2026', names, 'Pacific/Auckland')).toHaveLength(1);
    expect(logLines([newYear], '2025', names, 'Pacific/Auckland')).toHaveLength(0);
  });

  test('of a planting that is gone still stand', () => {
    expect(logLines([application], undefined, { ...names, planting: () => undefined, place: () => undefined }, 'UTC')).toHaveLength(1);
  });
});

describe('CSV', () => {
  const row: LogRow = {
    applied: '2026-07-02T18:00:00.000Z',
    place: 'Bed',
    plant: 'Leek',
    cultivar: '',
    plants: 20,
    treatment: 'Sulphur',
    product: 6,
    unit: 'g',
    waterL: 2,
    part: 'leaves',
    why: 'rust',
    by: 'Wren',
    temperatureC: null,
    windKmh: null,
    sky: '',
    reEntry: '2026-07-03T18:00:00.000Z',
    harvestSafeOn: '2026-07-03',
  };

  test('has a head, lines end in CR LF, empty stays empty', () => {
    const [head, first] = logCsv([row]).split('\r\n');
    expect(head).toMatch(/^applied,place,plant/);
    expect(first).toBe('2026-07-02T18:00:00.000Z,Bed,Leek,,20,Sulphur,6,g,2,leaves,rust,Wren,,,,2026-07-03T18:00:00.000Z,2026-07-03');
  });

  test('quotes what holds a comma, a quote or a line', () => {
    expect(logCsv([{ ...row, why: 'rust, "bad"\nagain' }])).toContain('"rust, ""bad""\nagain"');
  });

  test('a spreadsheet never runs what somebody wrote', () => {
    expect(logCsv([{ ...row, why: '=1+1' }])).toContain("'=1+1");
  });

  test.each(['=1+1', '+1', '-1', '@x', '\n=1+1', '\t=1', ' =1+1', '\uFF1D1+1', '\uFF20x', '|x', '%x', '\uFEFF=1'])(
    'defuses %j',
    (words) => {
      const [, line] = logCsv([{ ...row, why: words }]).split(/\r\n/);
      expect(line).toContain(`'${words}`);
    },
  );

  test('leaves words and numbers as they are', () => {
    expect(logCsv([{ ...row, why: 'rust - 3 leaves = much', temperatureC: -4 }])).toMatch(/,rust - 3 leaves = much,.*,-4,/);
  });
});

describe('past the card', () => {
  const card = {
    repeatDays: [7, 10],
    seasonMax: 2,
    onEaten: true,
    preHarvestDays: 1,
    bees: 'none',
    settings: ['outdoor'],
  } as unknown as Intervention;
  const at = (day: string, id = day) => ({ ...application, id, appliedAt: `${day}T12:00:00.000Z` });
  const warn = (change: object = {}, others: (typeof application)[] = [], plant = planting) =>
    cardWarnings({ ...card, ...change }, plant, others, '2026-07-18T09:00:00Z', 'Europe/London');

  test('nothing to say when it is kept', () => {
    expect(warn({}, [at('2026-07-11')])).toEqual([]);
  });

  test('too soon, too often', () => {
    expect(warn({}, [at('2026-07-12')])).toEqual(['The card asks for 7 days between two, and the last was 6 days before.']);
    expect(warn({}, [at('2026-05-01'), at('2026-06-01')])).toEqual(['The card allows 2 a season, and this is number 3.']);
    expect(warn({}, [at('2025-05-01'), at('2025-06-01')])).toEqual([]);
  });

  test('not for what is eaten, inside the harvest days, on flowers, in the wrong place', () => {
    expect(warn({ onEaten: false })).toHaveLength(1);
    expect(warn({ preHarvestDays: 5 })).toEqual(['The card asks for 5 days before harvest: move the harvest of this planting.']);
    expect(warn({ bees: 'serious' }, [], { ...planting, inFlower: true })).toHaveLength(1);
    expect(warn({ settings: ['indoor'] })).toHaveLength(1);
    expect(warn({ onEaten: false, preHarvestDays: 5 }, [], { ...planting, eaten: false })).toEqual([]);
  });

  test('an entry that is put in afterwards is held against what came before it only', () => {
    expect(warn({}, [at('2026-07-19')])).toEqual([]);
  });
});
