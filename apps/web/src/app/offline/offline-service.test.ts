/** @jest-environment jsdom */
import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { BrowserTestingModule, platformBrowserTesting } from '@angular/platform-browser/testing';
import { Store } from '@ngrx/store';
import { IDBFactory, IDBKeyRange, indexedDB } from 'fake-indexeddb';
import Dexie from 'dexie';
import { deserialize, serialize } from 'node:v8';
import { of, Subject, throwError } from 'rxjs';
import type { Observable } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { GardenActions } from '../store/garden-state';
import { contents, place } from '../testing/test-garden';
import { Offline } from './offline';

// jsdom has none of its own.
globalThis.structuredClone ??= <T>(one: T): T => deserialize(serialize(one)) as T;
Dexie.dependencies.indexedDB = indexedDB;
Dexie.dependencies.IDBKeyRange = IDBKeyRange;

beforeAll(() => TestBed.initTestEnvironment(BrowserTestingModule, platformBrowserTesting()));
afterEach(() => {
  TestBed.resetTestingModule();
  Dexie.dependencies.indexedDB = new IDBFactory();
});

const { id, version: _, ...value } = place;
const garden = contents.garden.id;
const gone = () => throwError(() => new ApiError(0, 'offline', 'No answer.'));

/** The device over a server that answers as it is told. */
function start(first: () => Observable<unknown>) {
  let reply = first;
  const sent: string[] = [];
  const dispatched: { type: string; record?: unknown }[] = [];
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      {
        provide: Api,
        useValue: {
          write: (...[, , , body]: [string, string, string, { change: string }]) => {
            sent.push(body.change);
            return reply();
          },
          sendPhoto: () => reply(),
          session: () => of({ person: { id: 'wren', name: 'Wren', email: 'w@x.example' }, gardens: [], demo: false }),
          health: () => of({}),
        },
      },
      { provide: Store, useValue: { dispatch: (action: { type: string }) => dispatched.push(action) } },
    ],
  });
  return { offline: TestBed.inject(Offline), sent, dispatched, answerWith: (next: typeof first) => (reply = next) };
}

const settled = async (offline: Offline) => {
  await offline.send();
  await offline.send();
};

test('what is written is shown at once, sent, and told as the server keeps it', async () => {
  const { offline, sent, dispatched } = start(() => of({ ...place, version: 1 }));
  await offline.open(garden);
  await offline.keep(garden, 'places', id, 0, value, null);
  await settled(offline);
  expect(dispatched).toMatchObject([
    GardenActions.recordKept({ subject: 'places', record: { ...place, version: 1 } }),
    GardenActions.recordStored({ subject: 'places', record: { ...place, version: 1 } }),
  ]);
  expect(sent).toHaveLength(1);
  expect(offline.waiting()).toBe(0);
  expect(offline.state()).toBe('sent');
});

test('without signal it waits and is counted; when signal comes back it goes by itself', async () => {
  const { offline, sent, answerWith } = start(gone);
  await offline.open(garden);
  await offline.keep(garden, 'places', id, 0, value, null);
  await offline.keepPhoto(garden, 'p', new Blob(['x']));
  await settled(offline);
  expect([offline.waiting(), offline.waitingPhotos(), offline.state()]).toEqual([2, 1, 'no-answer']);
  expect(await offline.photo('p')).toBeDefined();
  answerWith(() => of({ ...place, version: 1 }));
  dispatchEvent(new Event('online'));
  await settled(offline);
  expect(offline.waiting()).toBe(0);
  expect(new Set(sent).size).toBe(1);
});

test('signal that comes back while a sending is still failing is not missed', async () => {
  const answer = new Subject<never>();
  const { offline, answerWith } = start(() => answer);
  await offline.open(garden);
  await offline.keep(garden, 'places', id, 0, value, null);
  answerWith(() => of({ ...place, version: 1 }));
  dispatchEvent(new Event('online'));
  answer.error(new ApiError(0, 'offline', 'No answer.'));
  await new Promise((resolve) => setTimeout(resolve, 50));
  await settled(offline);
  expect(offline.waiting()).toBe(0);
});

test('what waits lies over what the server sends, also in another tab', async () => {
  const { offline } = start(gone);
  await offline.open(garden);
  await offline.keep(garden, 'places', id, 1, { ...value, name: 'Long bed' }, place);
  expect((await offline.withWaiting(contents)).places).toMatchObject([{ name: 'Long bed', version: 2 }]);
});

test('what the server refuses is set aside until it was seen', async () => {
  const { offline } = start(() => throwError(() => new ApiError(400, 'invalid', 'no such place')));
  await offline.open(garden);
  await offline.keep(garden, 'places', id, 0, value, null);
  await settled(offline);
  expect(offline.aside()).toMatchObject([{ why: 'no such place', id }]);
  await offline.dismiss((offline.aside()[0] as unknown as { sequence: number }).sequence);
  expect(offline.aside()).toEqual([]);
});

test('what was set aside is corrected, and sent again under the record as it stands', async () => {
  const { offline, answerWith } = start(() => throwError(() => new ApiError(400, 'invalid', 'no such place')));
  await offline.open(garden);
  await offline.keep(garden, 'places', id, 0, value, null);
  await settled(offline);
  const bodies: { version: number; value: object }[] = [];
  answerWith(() => of({ ...place, version: 1 }));
  TestBed.inject(Api).write = ((_: string, __: string, ___: string, body: { version: number; value: object }) => {
    bodies.push(body);
    return of({ ...place, version: 1 });
  }) as never;
  await offline.sendAgain(offline.aside()[0]!, { name: 'Mended' }, undefined);
  await settled(offline);
  expect(bodies).toMatchObject([{ version: 0, value: { ...value, name: 'Mended' } }]);
  expect(offline.aside()).toEqual([]);
});

test('a field that was lost to somebody else is put in the place of theirs', async () => {
  const { offline } = start(gone);
  await offline.open(garden);
  const theirs = { ...place, version: 4, name: 'Theirs', note: 'wet' };
  const lost = { garden, subject: 'places' as const, id, why: '', lost: { name: 'Mine' }, at: '', sequence: 1 };
  await offline.sendAgain(lost, { name: 'Mine' }, theirs);
  expect((await offline.withWaiting(contents)).places).toMatchObject([{ name: 'Mine', note: 'wet', version: 5 }]);
});

test('each sees and counts their own; the other’s waits and is told', async () => {
  const { offline } = start(gone);
  await offline.open(garden);
  await offline.belongsTo('wren');
  await offline.keep(garden, 'places', id, 1, { ...value, name: 'Wren’s' }, place);
  await offline.belongsTo('tam');
  expect([offline.waiting(), offline.ofOthers()]).toEqual([0, 1]);
  expect((await offline.withWaiting(contents)).places).toEqual(contents.places);
});

test('a page that is loaded anew shows what waits before it knows who is signed in, and once it knows', async () => {
  const before = start(gone);
  await before.offline.open(garden);
  await before.offline.saveSession({ person: { id: 'wren', name: 'Wren', email: 'w@x.example' }, gardens: [], demo: false });
  await before.offline.belongsTo('wren');
  await before.offline.keep(garden, 'places', id, 1, { ...value, name: 'Wren’s' }, place);
  TestBed.resetTestingModule();
  const { offline, dispatched } = start(gone);
  expect((await offline.withWaiting(contents)).places).toMatchObject([{ name: 'Wren’s' }]);
  expect(await offline.waitingRecords(garden)).toMatchObject([{ record: { name: 'Wren’s' } }]);
  await offline.open(garden);
  await offline.belongsTo('wren');
  expect(dispatched).toContainEqual(
    GardenActions.recordKept({ subject: 'places', record: { ...place, name: 'Wren’s', version: (place.version ?? 0) + 1 } }),
  );
});

test('what was refused is on the page again as the server has it; a later write of the same record lies over it', async () => {
  const { offline, dispatched, answerWith } = start(gone);
  await offline.saveGarden(contents);
  await offline.open(garden);
  await offline.keep(garden, 'places', id, 1, { ...value, name: 'No' }, place);
  await settled(offline);
  answerWith(() => throwError(() => new ApiError(400, 'invalid', 'no such place')));
  dispatched.length = 0;
  await settled(offline);
  expect(dispatched).toEqual([GardenActions.recordStored({ subject: 'places', record: place })]);
  await offline.keep(garden, 'places', 'new', 0, value, null);
  await settled(offline);
  expect(dispatched.at(-1)).toEqual(GardenActions.recordRemoved({ subject: 'places', id: 'new' }));
  expect((await offline.gardenCopy(garden))!.contents.places).toEqual([place]);
});

test('of two that wait for one record the later one stays on the page while the first is sent', async () => {
  const { offline, dispatched, answerWith } = start(gone);
  await offline.open(garden);
  await offline.keep(garden, 'places', id, 1, { ...value, name: 'First' }, place);
  await offline.keep(garden, 'places', id, 2, { ...value, name: 'Second' }, place);
  await settled(offline);
  let answers = 0;
  answerWith(() => (answers++ === 0 ? of({ ...place, name: 'First', version: 2 }) : gone()));
  await settled(offline);
  expect(dispatched.at(-1)).toMatchObject({ type: GardenActions.recordKept.type, record: { name: 'Second' } });
});

test('a garden that was left is forgotten with all that was to be sent to it', async () => {
  const { offline } = start(gone);
  await offline.open(garden);
  await offline.saveGarden(contents);
  await offline.keep(garden, 'places', id, 0, value, null);
  await offline.forgetGarden(garden);
  expect(await offline.gardenCopy(garden)).toBeUndefined();
  await offline.open(garden);
  expect(offline.waiting()).toBe(0);
});

test('signing out forgets session, garden and weather, and not what waits', async () => {
  const { offline } = start(gone);
  await offline.open(garden);
  await offline.saveSession({ person: null, gardens: [], demo: false });
  await offline.saveGarden(contents);
  await offline.saveWeather(garden, { hours: [], forecast: null, station: null });
  await offline.keep(garden, 'places', id, 0, value, null);
  expect(await offline.gardenCopy(garden)).toMatchObject({ contents: { garden: { id: garden } } });
  await offline.forget();
  expect([await offline.session(), await offline.gardenCopy(garden), await offline.weather(garden)]).toEqual([
    undefined,
    undefined,
    undefined,
  ]);
  await settled(offline);
  expect(offline.waiting()).toBe(1);
});
