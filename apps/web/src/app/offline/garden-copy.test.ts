import { IDBFactory, IDBKeyRange } from 'fake-indexeddb';
import { contents, place, summary } from '../testing/test-garden';
import { readCopy, saveContents, saveRecords, saveSeason } from './garden-copy';
import { LocalDb } from './local-db';

let db: LocalDb;
beforeEach(async () => {
  db = new LocalDb({ indexedDB: new IDBFactory(), IDBKeyRange });
  await saveContents(db, contents);
});

test('a garden is read back as it was kept, a row for each record', async () => {
  const copy = (await readCopy(db, 'g'))!;
  for (const [name, value] of Object.entries(contents))
    if ((value as unknown[]).length !== 0) expect(copy.contents[name as 'places']).toEqual(value);
  expect(await db.records.count()).toBe(6);
  expect(await readCopy(db, 'another')).toBeUndefined();
});

test('one record that changes touches its own row; one that is gone is gone', async () => {
  const renamed = { ...place, name: 'Long bed', version: 2 };
  await saveRecords(db, 'g', [{ subject: 'places', id: place.id, record: renamed }]);
  await saveRecords(db, 'g', [{ subject: 'plantings', id: 'leeks', record: null }], { sequence: 9, garden: { ...summary, name: 'New' } });
  const { contents: now } = (await readCopy(db, 'g'))!;
  expect([now.places, now.plantings ?? [], now.sequence, now.garden.name]).toEqual([[renamed], [], 9, 'New']);
});

test('an older season adds to it, and is told; the season fetched anew takes the place of all', async () => {
  await saveSeason(db, 'g', '2025-01-01', { ...contents, places: [{ ...place, id: 'old' }] });
  const both = (await readCopy(db, 'g'))!;
  expect([both.contents.places.length, both.seasons]).toEqual([2, ['2025-01-01']]);
  await saveContents(db, contents);
  expect((await readCopy(db, 'g'))!.contents.places).toEqual([place]);
});

test('of a garden that is not kept here nothing is kept in passing', async () => {
  await saveRecords(db, 'another', [{ subject: 'places', id: place.id, record: place }]);
  expect(await readCopy(db, 'another')).toBeUndefined();
});

test('an answer that was overtaken on the way takes nothing back', async () => {
  const newer = { ...place, name: 'Long bed', version: 3 };
  await saveRecords(db, 'g', [{ subject: 'places', id: place.id, record: newer }]);
  await saveRecords(db, 'g', [{ subject: 'places', id: place.id, record: { ...place, version: 2 } }], { sequence: 9 });
  await saveSeason(db, 'g', '2025-01-01', { ...contents, places: [{ ...place, version: 2 }] });
  const { contents: now } = (await readCopy(db, 'g'))!;
  expect([now.places, now.sequence]).toEqual([[newer], 9]);
});
