import { tableName } from '@field-nurse/contract';
import { listTables } from '@field-nurse/library/tables';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { bed, planting } from '../testRecords';
import { refused, startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

let server: TestServer;
let garden: TestGarden;
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
}, 60_000);
afterAll(() => server.stop());

interface Added {
  readonly added: { subject: string; record: string; change: string }[];
  readonly known: number;
}
const add = (records: unknown[], who = garden.owner) => who.send<Added>('post', `/api/v1/gardens/${garden.garden}/records`, { records });
const csv = async (table: string) => (await garden.owner.answer('get', `/api/v1/gardens/${garden.garden}/tables/${table}`)).text;
const sulphur = (plantingId: string, appliedAt: string, why = '') => ({
  subject: 'applications',
  record: randomUUID(),
  value: {
    intervention: 'sulphur',
    appliedAt,
    targets: [{ plantingId, caseId: null, plants: 4, coveredPart: '' }],
    productMl: null,
    productG: 30,
    productPieces: null,
    waterL: 5,
    appliedBy: 'Isa',
    temperatureC: null,
    windKmh: null,
    sky: '',
    why,
  },
});

test('places, plantings and what was done on them come at once; sent again they are known', async () => {
  const [placeId, plantingId] = [randomUUID(), randomUUID()];
  const records = [
    { subject: 'places', record: placeId, value: { ...bed, name: 'Old orchard' } },
    { subject: 'plantings', record: plantingId, value: planting(placeId) },
    sulphur(plantingId, '2026-06-03T17:30:00Z'),
  ];
  const first = await add(records);
  expect(first.added.map(({ subject, record }) => [subject, record])).toEqual(records.map(({ subject, record }) => [subject, record]));
  expect(await add(records)).toEqual({ added: [], known: 3 });
  // Each is a change of its own, which can be taken back; then it may come again.
  for (const { change } of [...first.added].reverse())
    await garden.owner.send('post', `/api/v1/gardens/${garden.garden}/undo`, { change: randomUUID(), undoes: change });
  expect((await add(records)).added).toHaveLength(3);
});

test('what was done is judged with what was done before it in the same list', async () => {
  const placeId = await garden.add('places', bed);
  const plantingId = await garden.add('plantings', planting(placeId));
  await add([sulphur(plantingId, '2026-06-03T08:00:00Z', 'first of two'), sulphur(plantingId, '2026-06-04T08:00:00Z', 'a day later')]);
  const line = (await csv('treatments')).split('\r\n').find((one) => one.includes('a day later'));
  expect(line).toMatch(/days/);
});

test('whole or not at all: a row that can’t be is named, and none of the others is there', async () => {
  const placeId = randomUUID();
  const place = { subject: 'places', record: placeId, value: { ...bed, name: 'Nowhere' } };
  const wrong: [unknown, RegExp][] = [
    [{ subject: 'plantings', record: randomUUID(), value: { ...planting(placeId), host: 'no-such-plant' } }, /records.*1.*host|no entry/],
    [{ subject: 'plantings', record: randomUUID(), value: planting(randomUUID()) }, /place is not in the garden/],
    [sulphur(randomUUID(), '2026-06-03T17:30:00Z'), /plantings is not in the garden/],
    [{ subject: 'stops', record: randomUUID(), value: {} }, /422|400/],
    [{ subject: 'harvests', record: randomUUID(), value: { plantingId: placeId } }, /422|400/],
  ];
  for (const [record, said] of wrong) expect(await refused(add([place, record]))).toMatch(said);
  expect(await csv('places')).not.toContain('Nowhere');
});

test('what is still to come was not done', async () => {
  const plantingId = await garden.add('plantings', planting(await garden.add('places', bed)));
  expect(await refused(add([sulphur(plantingId, '2199-01-01T00:00:00Z')]))).toMatch(/in-future/);
});

test('an adviser adds nothing; two hundred at most', async () => {
  const one = () => ({ subject: 'places', record: randomUUID(), value: bed });
  expect(await refused(add([one()], garden.adviser))).toMatch(/403/);
  expect(await refused(add(Array.from({ length: 201 }, one)))).toMatch(/422|400/);
  expect(await refused(add([]))).toMatch(/422|400/);
});

test('every list leaves as CSV with its heads, oldest first, and runs no formula', async () => {
  for (const table of tableName.options) {
    const [heads] = (await csv(table)).split('\r\n');
    expect(heads!.split(',')).toEqual(listTables[table].columns.map(({ name }) => name));
  }
  const plantingId = await garden.add('plantings', planting(await garden.add('places', { ...bed, name: '=1+1' })));
  await add([sulphur(plantingId, '2025-06-09T08:00:00Z', '@later'), sulphur(plantingId, '2025-06-02T08:00:00Z', 'Earlier, "by hand"')]);
  const lines = (await csv('treatments')).split('\r\n').filter((line) => line.includes('2025-06'));
  expect(lines.map((line) => line.split(',')[1])).toEqual(['2025-06-02T08:00:00.000Z', '2025-06-09T08:00:00.000Z']);
  expect(lines[0]).toContain("'=1+1");
  expect(lines[0]).toContain('"Earlier, ""by hand"""');
  expect(lines[1]).toContain("'@later");
});

test('every column of every list is in the docs', () => {
  const docs = readFileSync(join(import.meta.dirname, '../../../../docs/data-formats.md'), 'utf8');
  for (const table of tableName.options) {
    const section = docs.split(`\`${table}.csv\``)[1] ?? '';
    const own = section.slice(0, section.indexOf('.csv`') < 0 ? undefined : section.indexOf('.csv`'));
    for (const { name } of listTables[table].columns) expect(own).toContain(`\`${name}\``);
  }
});
