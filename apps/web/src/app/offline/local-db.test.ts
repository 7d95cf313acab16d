import Dexie from 'dexie';
import { IDBFactory, IDBKeyRange } from 'fake-indexeddb';
import { application, decision, planting, writtenRecords } from '@field-nurse/contract';
import { LocalDb } from './local-db';

// A device that was last used with the pages of before: what waits on it is sent in the words of today, and counts once.

const id = '11111111-1111-4111-8111-111111111111';
const other = '22222222-2222-4222-8222-222222222222';

const olderPlanting = {
  placeId: id,
  host: 'leek',
  cultivar: '',
  plants: 3,
  rows: 1,
  shape: null,
  plantedOn: '2026-05-01',
  setting: 'outdoor',
  inFlower: true,
  eaten: true,
  nextHarvestOn: '2026-08-01',
  quarantine: null,
  note: '',
  endedOn: null,
};
const olderApplication = {
  caseId: null,
  plantingId: id,
  option: 'soap',
  appliedAt: '2026-07-18T08:00:00Z',
  plants: 3,
  productAmount: 0.02,
  productUnit: 'l',
  waterL: 1,
  coveredPart: 'tips',
  appliedBy: 'Wren',
  temperatureC: null,
  windKmh: null,
  sky: '',
  why: 'aphids',
};
const olderDecision = { caseId: id, option: 'soap', verdict: 'fits', decidedOn: '2026-07-18', lookAgainOn: '2026-07-25', note: '' };
const olderTrap = {
  placeId: id,
  name: 'Card',
  kind: 'slug',
  target: null,
  spots: [{ from: '2026-07-01', name: 'North', x: null, y: null }],
  weeklyLevel: null,
  rests: [{ from: '2026-07-02', until: null }],
  note: '',
  endedOn: null,
};

async function upgraded(writes: readonly object[], aside: readonly object[] = []) {
  const indexedDB = new IDBFactory();
  const before = new Dexie('field-nurse', { indexedDB, IDBKeyRange });
  before.version(3).stores({
    sessions: 'key',
    gardens: 'id',
    writes: '++sequence, garden',
    photos: 'id, garden',
    aside: '++sequence, garden',
    weather: 'garden',
    clinics: 'garden',
  });
  await before.table('gardens').add({ id: 'g', contents: {}, savedAt: 'then' });
  await before
    .table('writes')
    .bulkAdd(writes.map((write) => ({ garden: 'g', id: other, change: id, version: 0, base: null, at: '', ...write })));
  await before.table('aside').bulkAdd([...aside]);
  before.close();
  return new LocalDb({ indexedDB, IDBKeyRange });
}

test('writes of before fit the contract of today, under the change ids that they had', async () => {
  const db = await upgraded([
    { subject: 'plantings', value: olderPlanting },
    { subject: 'applications', value: olderApplication },
    { subject: 'decisions', value: olderDecision },
    { subject: 'traps', value: olderTrap, base: { ...olderTrap, id: other, version: 1 } },
  ]);
  const [grown, done, decided, caught] = await db.writes.toArray();
  expect(grown!.value['assumed']).toEqual([]);
  expect(planting.parse(grown!.value).events).toEqual([
    { kind: 'flowering', on: '2026-05-01', until: null },
    { kind: 'harvest', on: '2026-08-01', until: null },
  ]);
  expect(application.parse(done!.value)).toMatchObject({ intervention: 'soap', productMl: 20, targets: [{ plantingId: id, plants: 3 }] });
  expect(decision.parse(decided!.value)).toMatchObject({ intervention: 'soap', nextAssessmentOn: '2026-07-25' });
  expect(writtenRecords.traps.parse(caught!.value).pauses).toHaveLength(1);
  expect(caught!.base).toMatchObject({ pauses: [{ from: '2026-07-02', until: null }], version: 1 });
  expect([grown, done, decided, caught].every((one) => one!.change === id)).toBe(true);
});

test('subjects have the names of today, what was set aside too; copies are fetched anew', async () => {
  const look = { lookedOn: '2026-07-18', nextLookOn: null, severity: 3 };
  const db = await upgraded(
    [
      { subject: 'looks', value: look },
      { subject: 'rounds', value: { by: 'Wren' } },
      { subject: 'places', value: { name: 'Bed' } },
    ],
    [
      {
        garden: 'g',
        subject: 'looks',
        id: other,
        why: '',
        lost: look,
        at: '',
        write: { subject: 'looks', id: other, value: look, base: null },
      },
    ],
  );
  expect((await db.writes.toArray()).map(({ subject }) => subject)).toEqual(['assessments', 'scoutingRounds', 'places']);
  expect(await db.aside.toArray()).toMatchObject([{ subject: 'assessments', write: { value: { assessedOn: '2026-07-18' } } }]);
  expect(await db.gardens.count()).toBe(0);
});
