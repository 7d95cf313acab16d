import type { Stored } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import { application, bed, decision, fresh, labelCard, planting, product, sickness, stockMove } from '../testRecords';
import { refused, startGarden, startTestServer, wholeGarden } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

// The label of the pack in hand goes before every typical figure, wherever it is asked.

let server: TestServer;
let garden: TestGarden;
let place: string;
let pack: string;
let card: string;
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
  place = await garden.add('places', bed);
  pack = await garden.add('products', product);
  card = await garden.add('labelCards', labelCard(pack));
}, 60_000);
afterAll(() => server.stop());

const put = <T>(subject: Parameters<TestGarden['path']>[0], value: object, id: string = randomUUID(), version = 0) =>
  garden.owner.send<T>('put', garden.path(subject, id), { ...fresh(value), version });
const log = (plant: string, of: object) =>
  put<Stored<'applications'>>('applications', { ...application(plant), productId: pack, waterL: 1, productG: 3, ...of });
const linesOf = ({ brokenLines }: Stored<'applications'>) => brokenLines.map(({ line }) => line);

test('a product with its card and stock is there as it was written, line by line', async () => {
  const move = await garden.add('stockMoves', stockMove(pack));
  const { products, labelCards, stockMoves } = await wholeGarden(garden.owner, `/api/v1/gardens/${garden.garden}`);
  expect(products).toEqual([{ ...product, id: pack, version: 1 }]);
  expect(labelCards).toEqual([{ ...labelCard(pack), id: card, version: 1 }]);
  expect(stockMoves).toEqual([{ ...stockMove(pack), id: move, version: 1 }]);
});

test('a product has one card of each source, and lines name what the library holds', async () => {
  expect(await refused(put('labelCards', labelCard(pack)))).toMatch(/400.*such a card already/);
  expect(await refused(put('labelCards', { ...labelCard(pack), source: 'register' }))).toBe('not refused');
  const other = await garden.add('products', product);
  const line = labelCard(other).lines[0]!;
  const with_ = (of: object) => ({ ...labelCard(other), lines: [{ ...line, ...of }] });
  expect(await refused(put('labelCards', with_({ host: 'moon' })))).toMatch(/unknown-entry/);
  expect(await refused(put('labelCards', with_({ target: 'moon' })))).toMatch(/unknown-entry/);
  expect(await refused(put('labelCards', with_({ rate: { ...line.rate, high: 1 } })))).toMatch(/not below the lowest rate/);
  expect(await refused(put('labelCards', with_({ rate: { ...line.rate, per: null } })))).toMatch(/per/);
  expect(await refused(put('labelCards', with_({ host: 'solanaceae' })))).toBe('not refused');
});

test('what was logged keeps the card as it was: name, waits and whose figures they are', async () => {
  const plant = await garden.add('plantings', planting(place));
  const logged = await log(plant, {});
  expect(logged.card).toMatchObject({ name: 'Copperline 50', source: 'copied', preHarvestDays: 5, reEntryHours: 6, repeatDays: [10, 14] });
  expect(logged.targets[0]!.notPickedBefore).toBe('2026-07-22');
  expect(logged).toMatchObject({ reEntryAt: '2026-07-18T00:00:00.000Z', repeatFrom: '2026-07-27', brokenLines: [] });
});

test.each<[string, object, string[]]>([
  ['three and a bit grams in a litre, where three is the most', { productG: 3.01 }, ['rate']],
  ['wind above the card', { windKmh: 13 }, ['wind']],
  ['typical figures would forbid heat, the label does not say: they stand in', { temperatureC: 35 }, ['temperature']],
])('%s: the log names the line', async (_, of, lines) => {
  const plant = await garden.add('plantings', planting(place));
  expect(linesOf(await log(plant, of))).toEqual(lines);
});

test('a plant that the label does not name, and one that it does, out of one tank', async () => {
  const named = await garden.add('plantings', planting(place));
  const other = await garden.add('plantings', { ...planting(place), host: 'tomato' });
  const [first] = application(named).targets;
  const logged = await log(named, { targets: [first, { ...first, plantingId: other }] });
  expect(logged.brokenLines).toEqual([{ line: 'crop', plantingId: other, text: 'The label has no line for this plant.' }]);
});

test('too soon and too often by the label in hand', async () => {
  const plant = await garden.add('plantings', planting(place));
  await log(plant, { appliedAt: '2026-07-08T18:00:00Z' });
  expect(linesOf(await log(plant, {}))).toEqual(['interval']);
  await log(plant, { appliedAt: '2026-06-08T18:00:00Z' });
  await log(plant, { appliedAt: '2026-05-08T18:00:00Z' });
  expect(linesOf(await log(plant, {}))).toEqual(['season-max', 'interval']);
});

test('another ingredient than what was applied is refused', async () => {
  const plant = await garden.add('plantings', planting(place));
  expect(await refused(log(plant, { intervention: 'sulphur' }))).toMatch(/400.*Copperline 50 is another ingredient/);
});

test('a decision goes by the packs on the shelf: a label without a line for the plant rules it out', async () => {
  const second = await startGarden(server, 'two');
  const bedOf = await second.add('places', bed);
  const sick = await second.add('cases', sickness(await second.add('plantings', { ...planting(bedOf), host: 'tomato' })));
  const decide = () =>
    second.owner.send('put', second.path('decisions', randomUUID()), { change: randomUUID(), version: 0, value: decision(sick) });
  expect(await refused(decide())).toBe('not refused');
  const own = await second.add('products', product);
  await second.add('labelCards', labelCard(own));
  expect(await refused(decide())).toMatch(/422.*no-crop-line/);
  // Once it is used up, its label forbids nothing: the pages judge so too.
  await second.add('stockMoves', { ...stockMove(own), kind: 'counted', amount: 0 });
  expect(await refused(decide())).toBe('not refused');
  await second.add('stockMoves', { ...stockMove(own), movedAt: '2026-05-02T09:00:00Z', amount: 5 });
  expect(await refused(decide())).toMatch(/422.*no-crop-line/);
  const other = await second.add('products', { ...product, name: 'Copperline Tomato' });
  await second.add('labelCards', { ...labelCard(other), lines: [{ ...labelCard(other).lines[0]!, host: 'tomato' }] });
  expect(await refused(decide())).toBe('not refused');
});

describe('the ledger', () => {
  test('nothing leaves the shelf that is not there, and what is corrected does not count against itself', async () => {
    const own = await garden.add('products', { ...product, name: 'Copperline 25' });
    await garden.add('stockMoves', { ...stockMove(own), amount: 100 });
    const away = (amount: number) => ({ ...stockMove(own), movedAt: '2026-07-01T09:00:00Z', kind: 'disposed', amount });
    const id = randomUUID();
    await put('stockMoves', away(80), id);
    expect(await refused(put('stockMoves', away(21)))).toMatch(/422.*20 g of Copperline 25 were left/);
    await put('stockMoves', away(100), id, 1);
    expect(await refused(put('stockMoves', { ...away(100), kind: 'counted' }))).toBe('not refused');
  });

  test('what is still to come is not written down', async () => {
    expect(await refused(put('stockMoves', { ...stockMove(pack), movedAt: '2030-01-01T00:00:00Z' }))).toMatch(/in-future/);
  });

  test('what was used beyond the stock is logged all the same: it happened', async () => {
    const own = await garden.add('products', product);
    await garden.add('stockMoves', { ...stockMove(own), amount: 1 });
    const plant = await garden.add('plantings', planting(place));
    expect(await log(plant, { productId: own })).toMatchObject({ productG: 3 });
  });
});
