import type { ListedRecord } from '@field-nurse/contract';
import type { Conventions, ListedInto } from '@field-nurse/library/tables';
import { nameKey } from '@field-nurse/library/tables';
import { bringIn, checkTable } from './check-table';
import { lookAtTable, matchedColumns, Stopped } from './look-at-table';
import type { TableSeen } from './look-at-table';
import { reference as library } from '../testing/reference';

const into: ListedInto = {
  gardenId: '3f2b7a52-3c1a-4d0e-9b57-0f6d2a1e8c11',
  timeZone: 'Europe/London',
  seasonStart: '01-01',
  now: '2026-07-18T09:30:00.000Z',
  today: '2026-07-18',
  person: 'Wren Ashby',
  file: 'sprays.csv',
  places: [],
  plantings: [],
  traps: [],
};
const goOn = () => true;
const conventionsOf = (seen: TableSeen, more: Partial<Conventions> = {}): Conventions => {
  const matched = matchedColumns(seen.heads, seen.list);
  return {
    list: seen.list,
    columns: Object.fromEntries([...matched].map(([name, { at }]) => [name, at])),
    units: Object.fromEntries([...matched].flatMap(([name, { unit }]) => (unit ? [[name, unit]] : []))),
    dayOrder: seen.dayOrders.find(Boolean) ?? 'day-month',
    decimal: seen.decimals.find(Boolean) ?? 'point',
    meanings: {},
    ...more,
  };
};
const utf16 = (text: string) => new Blob([new Uint8Array([0xff, 0xfe]), Uint8Array.from(Buffer.from(text, 'utf16le'))]);

const sprays = [
  'Spray diary of the upper field;;;;;',
  '',
  'Date;Crop;Bed;Material;Amount (ml);Note',
  '13.5.2024;Leek;Upper field;sulphur;1,5;"dull; no wind"',
  '14.5.2024;Leek;Upper field;Blue bottle;2,5;',
  '31.6.2024;Leek;Upper field;sulphur;2,5;"said ""later"""',
].join('\r\n');

test('a list with a title, semicolons, commas in its numbers and a name that is not known', async () => {
  const file = new Blob([sprays]);
  const seen = await lookAtTable(file, goOn);
  expect(seen).toMatchObject({ list: 'treatments', rows: 3, form: { delimiter: ';', encoding: 'utf-8' } });
  expect(seen.heads[0]).toBe('Date');
  expect(conventionsOf(seen)).toMatchObject({ decimal: 'comma', dayOrder: 'day-month', units: { amount: 'ml' } });
  const table = { file, seen, conventions: conventionsOf(seen), into };
  const checked = await checkTable(library, table, goOn);
  expect(checked).toMatchObject({ good: 1, wrong: 2, places: ['Upper field'], plantings: 1 });
  expect(checked.unknown).toMatchObject([{ name: 'Blue bottle', rows: 1 }]);
  expect(checked.firstWrong.map(({ row, column }) => [row, column])).toEqual([
    [5, 'Treatment'],
    [6, 'Day'],
  ]);
  expect(checked.wrongRows).toContain('"said ""later"""');
  expect(checked.wrongRows.split('\r\n')[0]).toBe('Date,Crop,Bed,Material,Amount (ml),Note,What is wrong');
  const meant = { ...table, conventions: conventionsOf(seen, { meanings: { [nameKey('treatment', 'Blue bottle')]: '' } }) };
  expect(await checkTable(library, meant, goOn)).toMatchObject({ good: 1, wrong: 1, unwanted: 1 });
});

test.each([
  ['UTF-8 with a mark', (text: string) => new Blob(['\uFEFF', text])],
  ['UTF-16', utf16],
  ['Windows-1252', (text: string) => new Blob([Uint8Array.from(Buffer.from(text, 'latin1'))])],
  ['carriage returns alone', (text: string) => new Blob([text.replaceAll('\r\n', '\r')])],
  ['line feeds alone', (text: string) => new Blob([text.replaceAll('\r\n', '\n')])],
])('%s is read', async (_, blobOf) => {
  const text = 'date,plant,place,pest\r\n2024-05-13,rose,Über den Hof,"black spot,\r\non half"\r\n2024-05-14,rose,Über den Hof,aphids\r\n';
  const file = blobOf(text);
  const seen = await lookAtTable(file, goOn);
  expect(seen).toMatchObject({ list: 'finds', rows: 2 });
  expect(await checkTable(library, { file, seen, conventions: conventionsOf(seen), into }, goOn)).toMatchObject({
    good: 2,
    places: ['Über den Hof'],
  });
});

test.each([
  ['', 'is empty'],
  ['PK\u0003\u0004 a workbook', 'workbook'],
  ['a\u0000b,c\u0000d', 'no text'],
  ['hello there', 'No table'],
  ['date,plant,product', 'no row below'],
  [`date,plant,product\n2024-05-13,rose,"${'x'.repeat(1_200_000)}`, 'quotation mark'],
])('“%.12s” is refused in words', async (text, words) => {
  await expect(lookAtTable(new Blob([text]), goOn)).rejects.toThrow(words);
});

test('what is brought in comes in parts, rows whole, and stops when told to', async () => {
  const lines = Array.from({ length: 450 }, (_, i) => `${(i % 28) + 1}/6/2024,leek,Bed ${i % 7},sulphur,${i}`);
  const file = new Blob([['date,plant,place,product,note', ...lines].join('\n')]);
  const seen = await lookAtTable(file, goOn);
  const table = { file, seen, conventions: conventionsOf(seen), into };
  const { firstDays, good } = await checkTable(library, table, goOn);
  expect(good).toBe(450);
  const parts: (readonly ListedRecord[])[] = [];
  await bringIn(library, table, firstDays, (part) => parts.push(part) > 0);
  expect(parts.map((part) => part.length)).toEqual([200, 200, 64]);
  const all = parts.flat();
  expect(new Set(all.map(({ record }) => record)).size).toBe(464);
  await expect(bringIn(library, table, firstDays, () => false)).rejects.toThrow(Stopped);
  await expect(checkTable(library, table, () => false)).rejects.toThrow(Stopped);
});

test('a hundred thousand rows are read in parts', async () => {
  const lines = Array.from({ length: 100_000 }, (_, i) => `${(i % 28) + 1}/6/2024,leek,Bed,sulphur,${i}\n`);
  const file = new Blob(['date,plant,place,product,note\n', ...lines]);
  const shares: number[] = [];
  const seen = await lookAtTable(file, (share) => shares.push(share) > 0);
  expect(seen.rows).toBe(100_000);
  expect(shares.length).toBeGreaterThan(10);
  expect(shares.at(-1)).toBe(1);
}, 30_000);
