import { storedRecords, writtenRecords } from '@field-nurse/contract';
import { matchColumns } from '@field-nurse/core/tables';
import { nameKey } from './cells';
import type { Conventions } from './cells';
import { columnsOf } from './listColumns';
import type { ListName } from './listColumns';
import { ListReader } from './listReader';
import type { ListedInto } from './listInHand';
import { library } from '../testLibrary';

const garden: ListedInto = {
  gardenId: '3f2b7a52-3c1a-4d0e-9b57-0f6d2a1e8c11',
  timeZone: 'Europe/London',
  seasonStart: '01-01',
  now: '2026-07-18T09:30:00.000Z',
  today: '2026-07-18',
  person: 'Wren Ashby',
  file: 'sprays.csv',
  places: [
    { id: '00000000-0000-4000-8000-000000000001', name: 'Long bed', setting: 'outdoor' },
    { id: '00000000-0000-4000-8000-000000000002', name: 'Tunnel', setting: 'greenhouse' },
  ],
  plantings: [
    planting('11', 'leek', '1', '2026-04-02', null),
    planting('12', 'tomato', '1', '2026-05-10', null),
    planting('13', 'tomato', '2', '2026-04-20', null),
  ],
  traps: [{ id: '00000000-0000-4000-8000-000000000021', name: 'Leek moth trap' }],
};

function planting(id: string, host: string, place: string, plantedOn: string, endedOn: string | null) {
  return {
    id: `00000000-0000-4000-8000-0000000000${id}`,
    host,
    placeId: `00000000-0000-4000-8000-00000000000${place}`,
    cultivar: '',
    plantedOn,
    endedOn,
    plants: 40,
  };
}

function reader(list: ListName, heads: string, more: Partial<Conventions> = {}) {
  const matched = matchColumns(heads.split(','), columnsOf(list));
  const columns = Object.fromEntries([...matched].map(([name, { at }]) => [name, at]));
  const units = Object.fromEntries([...matched].flatMap(([name, { unit }]) => (unit ? [[name, unit]] : [])));
  return new ListReader(library, garden, { list, columns, units, dayOrder: 'day-month', decimal: 'point', meanings: {}, ...more });
}
const read = (list: ListName, heads: string, row: string, more?: Partial<Conventions>) => reader(list, heads, more).read(row.split(','));

test('a line of a spray record becomes an application of the planting that stood there', () => {
  const { records, problems } = read(
    'treatments',
    'Spray date,Crop,Bed,Material,Qty (ml),Spray volume,Operator,Target',
    '3/6/2026 18:30,Leeks,long bed,insecticidal soap,120,6 l,Isa,aphids',
  );
  expect(problems).toEqual([]);
  expect(records).toHaveLength(1);
  expect(records[0]).toMatchObject({
    subject: 'applications',
    value: {
      intervention: 'insecticidal-soap',
      appliedAt: '2026-06-03T17:30:00Z',
      targets: [{ plantingId: '00000000-0000-4000-8000-000000000011', plants: 40 }],
      productMl: 120,
      waterL: 6,
      appliedBy: 'Isa',
      why: 'aphids',
    },
  });
});

test('what stood in an earlier season is made once, with its place, and is over', () => {
  const list = reader('treatments', 'date,crop,place,product');
  const first = list.read(['2.5.2024', 'leek', 'Old orchard', 'sulphur']);
  const second = list.read(['9.5.2024', 'leek', 'Old orchard', 'sulphur']);
  expect(first.records.map(({ subject }) => subject)).toEqual(['places', 'plantings', 'applications']);
  expect(first.records[1]).toMatchObject({
    value: { host: 'leek', plantedOn: '2024-01-01', events: [{ kind: 'ended', on: '2024-12-31' }] },
  });
  expect(second.records.map(({ subject }) => subject)).toEqual(['applications']);
});

test('what stands for years is one planting, from its first row on, in whichever order the rows come', () => {
  const rows = [
    ['2025-04-01', 'apple', 'Old orchard', 'sulphur'],
    ['2022-04-01', 'apple', 'Old orchard', 'sulphur'],
  ];
  const first = reader('treatments', 'date,crop,place,product');
  for (const row of rows) first.read(row);
  const matched = matchColumns('date,crop,place,product'.split(','), columnsOf('treatments'));
  const columns = Object.fromEntries([...matched].map(([name, { at }]) => [name, at]));
  const conventions: Conventions = { list: 'treatments', columns, units: {}, dayOrder: 'day-month', decimal: 'point', meanings: {} };
  const second = new ListReader(library, garden, conventions, first.firstDays);
  const made = rows.flatMap((row) => second.read(row).records).filter(({ subject }) => subject === 'plantings');
  expect(made).toMatchObject([{ value: { plantedOn: '2022-01-01', events: [] } }]);
});

test('the same list twice gives the same ids, and two equal rows are two', () => {
  const row = ['2.6.2026', 'leek', 'Long bed', 'sulphur'];
  const ids = () => {
    const list = reader('treatments', 'date,crop,place,product');
    return [list.read(row), list.read(row)].flatMap(({ records }) => records.map(({ record }) => record));
  };
  expect(ids()).toEqual(ids());
  expect(new Set(ids()).size).toBe(2);
});

test.each([
  ['31/6/2026,leek,Long bed,soap', 'Day', 'is no day'],
  ['3/8/2026,leek,Long bed,soap', 'Day', 'still to come'],
  [',leek,Long bed,soap', 'Day', 'is empty'],
  ['3/6/2026,,Long bed,soap', 'Plant', 'is empty'],
  ['3/6/2026,tomato,,soap', 'Plant', 'stood in 2 places'],
  ['3/6/2026,leek,Long bed,', 'Treatment', 'is empty'],
  ['3/6/2026,leek,Long bed,qqqq zzzz', 'Treatment', 'no treatment that is known'],
  ['3/6/2026,qqqq zzzz,Long bed,soap', 'Plant', 'no plant that is known'],
  ['3/6/2026,leek,Long bed,soap,a few', 'Amount', 'no number'],
  ['3/6/2026,leek,Long bed,soap,5', 'Amount', 'no unit'],
  ['3/6/2026,leek,Long bed,soap,5 spoons', 'Amount', 'no unit that is known'],
  ['3/6/2026,leek,Long bed,soap,5 m2', 'Amount', 'must be in a unit like'],
  ['3/6/2026,leek,Long bed,soap,-5 ml', 'Amount', 'is not from 0'],
])('%s is said to be wrong in “%s”', (row, column, text) => {
  const { records, problems } = read('treatments', 'date,crop,place,product,amount', row);
  expect(records).toEqual([]);
  expect(problems.some((one) => one.column === column && one.text.includes(text))).toBe(true);
});

test('a name that is not known is said once, and rows with it may be left out', () => {
  const [heads, row] = ['date,crop,place,product', '3/6/2026,leek,Long bed,Blue bottle'];
  const unknown = read('treatments', heads, row).problems[0]!.unknown!;
  expect(unknown).toMatchObject({ kind: 'treatment', name: 'Blue bottle' });
  const key = nameKey(unknown.kind, 'BLUE bottle');
  expect(read('treatments', heads, row, { meanings: { [key]: 'sulphur' } }).records).toMatchObject([
    { value: { intervention: 'sulphur' } },
  ]);
  expect(read('treatments', heads, row, { meanings: { [key]: '' } })).toEqual({ records: [], problems: [], says: '' });
});

test('a find by name is a case with its diagnosis; one in words waits to be read; those of earlier seasons are over', () => {
  const [known] = read('finds', 'date,crop,bed,pest,severity', '3/6/2026,leek,Long bed,leek rust,15').records;
  expect(known).toMatchObject({ subject: 'cases', value: { diagnoses: [{ conditions: ['leek-rust'] }], closedOn: null } });
  const old = read('finds', 'date,crop,bed,symptom', '3/6/2024,leek,Long bed,orange dust under the leaves').records;
  expect(old.at(-1)).toMatchObject({ subject: 'cases', value: { diagnoses: [], closedOn: '2024-06-03', outcome: 'other' } });
  const looked = read('finds', 'date,crop,bed,pest,percent,count', '3/6/2026,leek,Long bed,leek rust,15,4').records;
  expect(looked.map(({ subject }) => subject)).toEqual(['cases', 'assessments']);
});

test('harvests, catches and packs', () => {
  expect(read('harvests', 'picked,crop,bed,weight (g)', '3/6/2026,leek,Long bed,2500').records).toMatchObject([{ value: { kg: 2.5 } }]);
  expect(read('harvests', 'picked,crop,bed,weight', '3/6/2026,leek,Long bed,').problems[0]?.text).toContain('one of them');
  expect(read('catches', 'date,trap,species,count', '3/6/2026,leek MOTH trap,leek moth,7').records).toMatchObject([
    { value: { caught: [{ what: 'leek moth', count: 7 }] } },
  ]);
  expect(read('catches', 'date,trap,species,count', '3/6/2026,Pond trap,midge,7').problems[0]?.text).toContain('no trap of this garden');
  expect(read('products', 'product,active ingredient,pack size,expiry', 'Green Dust,sulphur,1.5 kg,31/12/2027').records).toMatchObject([
    { value: { measuredIn: 'g', packAmount: 1500, bestBefore: '2027-12-31' } },
  ]);
});

test('whatever a row becomes is what the contract takes', () => {
  const rows: readonly (readonly [ListName, string, string])[] = [
    ['treatments', 'date,crop,place,product,amount,temp,wind,note', '3/6/2024,rose,By the gate,sulphur,12 oz,14,6,windy'],
    ['finds', 'date,crop,place,pest,severity', '3/6/2024,rose,By the gate,black spot,20'],
    ['harvests', 'date,crop,place,pieces', '3/6/2024,lettuce,By the gate,12'],
    ['catches', 'date,trap,what,count', '3/6/2024,Leek moth trap,moth,0'],
    ['products', 'name,ingredient,pack', 'Grey Dust,sulphur,2 lb'],
  ];
  for (const [list, heads, row] of rows) {
    const { records, problems } = read(list, heads, row);
    expect(problems).toEqual([]);
    for (const { subject, value } of records) expect(writtenRecords[subject].safeParse(value).error?.message).toBeUndefined();
    expect(records.every(({ subject }) => subject in storedRecords)).toBe(true);
  }
});

test('brought in again, a row has its old id, whichever planting it would be found on by then', () => {
  // The first time the second row makes a planting of its own; then the first row's planting stands there, and it is found on that one.
  const rows = [
    ['2.6.2024', 'leek', 'Far field', 'sulphur', 'Winter Spar'],
    ['9.6.2024', 'leek', 'Far field', 'sulphur', ''],
  ];
  const heads = 'date,crop,place,product,variety';
  const first = reader('treatments', heads);
  const read = rows.flatMap((row) => first.read(row).records);
  const applied = (records: typeof read) => records.filter(({ subject }) => subject === 'applications').map(({ record }) => record);
  const places = read.flatMap((one) =>
    one.subject === 'places' ? [{ id: one.record, name: one.value.name, setting: one.value.setting }] : [],
  );
  const plantings = read.flatMap((one) =>
    one.subject === 'plantings'
      ? [
          {
            ...planting('99', one.value.host, '1', one.value.plantedOn, '2024-12-31'),
            id: one.record,
            placeId: one.value.placeId,
            cultivar: one.value.cultivar,
          },
        ]
      : [],
  );
  const columns = Object.fromEntries([...matchColumns(heads.split(','), columnsOf('treatments'))].map(([name, { at }]) => [name, at]));
  const conventions: Conventions = { list: 'treatments', columns, units: {}, dayOrder: 'day-month', decimal: 'point', meanings: {} };
  const again = new ListReader(library, { ...garden, places, plantings }, conventions);
  expect(applied(rows.flatMap((row) => again.read(row).records))).toEqual(applied(read));
});

test('words that are only a part of a trouble’s name are no diagnosis', () => {
  for (const words of ['rust', 'moth', 'spot', 'cordana', 'something like leek rust']) {
    const found = read('finds', 'date,crop,bed,pest', `3/6/2026,leek,Long bed,${words}`).records.at(-1);
    expect(found).toMatchObject({ subject: 'cases', value: { words, diagnoses: [] } });
  }
});

test('a cell that holds what no database keeps loses it, and nothing else', () => {
  expect(read('finds', 'date,crop,bed,pest', '3/6/2026,leek,Long bed,grey\u0000 fur').records.at(-1)).toMatchObject({
    value: { words: 'grey fur' },
  });
});
