import { application, place, planting } from '../testing/test-garden';
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
    expect(lines[0]).toMatchObject({ treatment: 'Sulphur', targets: [{ plant: 'Leek', cultivar: 'Spar', place: 'Bed' }] });
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
    tank: 'a',
    applied: '2026-07-02T18:00:00.000Z',
    place: 'Bed',
    plant: 'Leek',
    cultivar: '',
    plants: 20,
    part: 'leaves',
    treatment: 'Sulphur',
    productInTank: 6,
    unit: 'g',
    waterInTankL: 2,
    kit: 'knapsack',
    why: 'rust',
    by: 'Wren',
    temperatureC: null,
    windKmh: null,
    sky: '',
    reEntry: '2026-07-03T18:00:00.000Z',
    notPickedBefore: '2026-07-03',
    figures: 'typical',
    notKept: '',
  };

  test('has a head, lines end in CR LF, empty stays empty', () => {
    const [head, first] = logCsv([row]).split('\r\n');
    expect(head).toMatch(/^tank,applied,place,plant/);
    expect(first).toBe(
      'a,2026-07-02T18:00:00.000Z,Bed,Leek,,20,leaves,Sulphur,6,g,2,knapsack,rust,Wren,,,,2026-07-03T18:00:00.000Z,2026-07-03,typical,',
    );
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
