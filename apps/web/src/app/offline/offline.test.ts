import type { Stored, Subject } from '@field-nurse/contract';
import { IDBKeyRange, indexedDB } from 'fake-indexeddb';
import { of, throwError } from 'rxjs';
import type { Observable } from 'rxjs';
import { ApiError } from '../api/api-error';
import { contents, place } from '../testing/test-garden';
import { LocalDb } from './local-db';
import { merge } from './merge';
import { readCopy, saveContents } from './garden-copy';
import { withWaiting } from './overlay';
import { sendWaiting } from './send-waiting';
import type { WaitingWrite } from './waiting';

describe('merging two devices', () => {
  const base = { name: 'Bed', note: '', areaM2: 4, points: [1, 2] };

  test('what only one changed is taken from that one', () => {
    expect(merge(base, { ...base, note: 'wet' }, { ...base, name: 'Long bed' })).toEqual({
      value: { ...base, name: 'Long bed', note: 'wet' },
      lost: {},
    });
    expect(merge(base, { ...base, points: [1, 3] }, base).value['points']).toEqual([1, 3]);
  });

  test('what both changed alike is no quarrel; where they differ theirs stands and mine is told', () => {
    expect(merge(base, { ...base, areaM2: 5 }, { ...base, areaM2: 5 }).lost).toEqual({});
    expect(merge(base, { ...base, areaM2: 5 }, { ...base, areaM2: 6 })).toEqual({ value: { ...base, areaM2: 6 }, lost: { areaM2: 5 } });
  });

  test('two new records under one id: theirs stands', () => {
    expect(merge(null, { note: 'mine' }, { note: 'theirs' })).toEqual({ value: { note: 'theirs' }, lost: { note: 'mine' } });
  });
});

const waiting = (change: Partial<WaitingWrite> = {}): WaitingWrite => ({
  garden: 'g',
  subject: 'places',
  id: 'bed',
  change: 'c1',
  version: 1,
  value: { ...place, name: 'Long bed' },
  base: place,
  at: '2026-07-18T09:30:00.000Z',
  ...change,
});

test('what waits lies over what the server sent, in the order of writing', () => {
  const shown = withWaiting(contents, [
    waiting(),
    waiting({ version: 2, value: { ...place, name: 'Longer bed' } }),
    waiting({ subject: 'scoutingRounds', id: 'r', version: 0, value: { by: 'me' } }),
  ]);
  expect(shown.places).toEqual([{ ...place, name: 'Longer bed', version: 3 }]);
  expect(shown.scoutingRounds).toEqual([{ by: 'me', id: 'r', version: 1, clockMended: false }]);
  expect(contents.places[0]!.name).toBe('Bed');
});

test('a copy that an older version left, without this kind of record, takes it in', () => {
  const { scoutingRounds: _, ...older } = contents;
  const shown = withWaiting(older as typeof contents, [waiting({ subject: 'scoutingRounds', id: 'r', version: 0, value: { by: 'me' } })]);
  expect(shown.scoutingRounds).toHaveLength(1);
});

describe('sending what waits', () => {
  let db: LocalDb;
  beforeEach(async () => {
    db = new LocalDb({ indexedDB, IDBKeyRange });
    await Promise.all(db.tables.map((table) => table.clear()));
  });
  afterEach(() => db.close());

  type Write = { change: string; version: number; value: Record<string, unknown> };
  /** A server that keeps one record and every change id, as the real one does. */
  class Server {
    record: Record<string, unknown> | null;
    readonly changes = new Map<string, unknown>();
    readonly calls: Write[] = [];
    constructor(record: Record<string, unknown> | null) {
      this.record = record;
    }
    write = (_: string, __: Subject, id: string, body: Write): Observable<Stored<Subject>> => {
      this.calls.push(body);
      const known = this.changes.get(body.change);
      if (known) return of(known as Stored<Subject>);
      if (Number(this.record?.['version'] ?? 0) !== body.version) return refuse(409, 'changed-elsewhere', this.record);
      this.record = { ...body.value, id, version: body.version + 1 };
      this.changes.set(body.change, this.record);
      return of(this.record as Stored<Subject>);
    };
    sendPhoto = () => of({ id: 'p', width: 1, height: 1 });
  }
  const wren = { person: { id: 'wren', name: 'Wren', email: 'w@x.example' }, gardens: [], demo: false };
  /** A server that is well, and a session that is Wren's, unless a test says otherwise. */
  const around = { session: () => of(wren), health: () => of({}) };
  const refuse = (status: number, code: string, current: unknown = null) =>
    throwError(() => new ApiError(status, code, code, new Map(), current));
  const send = (server: Pick<Server, 'write' | 'sendPhoto'>, seen: unknown[] = [], also: object = {}) =>
    sendWaiting(
      db,
      { ...around, write: server.write, sendPhoto: server.sendPhoto, ...also } as never,
      'g',
      ({ record }) => void seen.push(record),
    );
  const left = () => db.writes.count();

  test('each is sent once, in order, and told as the server keeps it', async () => {
    const server = new Server({ ...place });
    await db.writes.bulkAdd([waiting(), waiting({ change: 'c2', version: 2, value: { ...place, name: 'Longer bed' } })]);
    const seen: unknown[] = [];
    expect(await send(server, seen)).toBe('sent');
    expect(server.record).toMatchObject({ name: 'Longer bed', version: 3 });
    expect(seen).toHaveLength(2);
    expect(await left()).toBe(0);
  });

  test('an answer that was lost on the way: the same change goes again and counts once', async () => {
    const server = new Server({ ...place });
    await db.writes.add(waiting());
    const deaf = { ...server, write: (...args: Parameters<Server['write']>) => (server.write(...args), refuse(0, 'offline')) };
    expect(await send(deaf)).toBe('no-answer');
    expect(await left()).toBe(1);
    expect(await send(server)).toBe('sent');
    expect(server.record).toMatchObject({ version: 2 });
    expect(new Set(server.calls.map(({ change }) => change))).toEqual(new Set(['c1']));
  });

  test.each([
    [0, 'no-answer'],
    [503, 'no-answer'],
    [429, 'no-answer'],
    [401, 'sign-in'],
  ])('status %d keeps everything', async (status, ended) => {
    await db.writes.add(waiting());
    expect(await send({ write: () => refuse(status, 'x'), sendPhoto: () => of() as never })).toBe(ended);
    expect(await left()).toBe(1);
    expect(await db.aside.count()).toBe(0);
  });

  test('what somebody else changed is merged, and a later write of this device follows', async () => {
    const server = new Server({ ...place, note: 'wet corner', version: 2 });
    await db.writes.bulkAdd([
      waiting(),
      waiting({ change: 'c2', version: 2, value: { ...place, name: 'Long bed', areaM2: 9 }, base: { ...place, name: 'Long bed' } }),
    ]);
    expect(await send(server)).toBe('sent');
    expect(server.record).toMatchObject({ name: 'Long bed', note: 'wet corner', version: 4 });
    expect(await db.aside.count()).toBe(0);
  });

  test('a quarrel over one field is set aside with what was written here', async () => {
    const server = new Server({ ...place, name: 'Short bed', version: 2 });
    await db.writes.add(waiting());
    await send(server);
    expect(server.record).toMatchObject({ name: 'Short bed' });
    expect(await db.aside.toArray()).toMatchObject([{ subject: 'places', lost: { name: 'Long bed' } }]);
  });

  test('what is refused is set aside with its reason, and the rest goes on', async () => {
    const server = new Server(null);
    await db.writes.bulkAdd([waiting({ id: 'bad', change: 'b', version: 0 }), waiting({ version: 0 })]);
    const strict = {
      ...server,
      write: (...args: Parameters<Server['write']>) => (args[2] === 'bad' ? refuse(400, 'invalid') : server.write(...args)),
    };
    expect(await send(strict)).toBe('sent');
    expect(await db.aside.toArray()).toMatchObject([{ id: 'bad', why: 'invalid', lost: { name: 'Long bed' } }]);
    expect(server.record).toMatchObject({ name: 'Long bed' });
  });

  test('what was refused is set aside whole, so that it can be corrected and sent again', async () => {
    await db.writes.add(waiting({ version: 0, base: null }));
    await send({ write: () => refuse(400, 'invalid'), sendPhoto: () => of() });
    expect(await db.aside.toArray()).toMatchObject([{ write: { value: { name: 'Long bed' }, version: 0 } }]);
  });

  test('one that the server fails at while it is well is set aside after some tries, and the rest goes on', async () => {
    const server = new Server(null);
    await db.writes.bulkAdd([waiting({ id: 'bad', change: 'b', version: 0 }), waiting({ version: 0 })]);
    const write = (...args: Parameters<Server['write']>) => (args[2] === 'bad' ? refuse(500, 'internal') : server.write(...args));
    const ends: string[] = [];
    for (let i = 0; i < 3; i++) ends.push(await send({ write, sendPhoto: server.sendPhoto }));
    expect(ends).toEqual(['no-answer', 'no-answer', 'sent']);
    expect(await db.aside.toArray()).toMatchObject([{ id: 'bad', why: 'internal' }]);
    expect(server.record).toMatchObject({ name: 'Long bed' });
  });

  test('while the server itself is not well, nothing is set aside', async () => {
    await db.writes.add(waiting());
    for (let i = 0; i < 5; i++)
      expect(
        await send({ write: () => refuse(500, 'internal'), sendPhoto: () => of() as never }, [], { health: () => refuse(503, 'down') }),
      ).toBe('no-answer');
    expect([await left(), await db.aside.count()]).toEqual([1, 0]);
  });

  test('nobody’s session sends nothing: it is asked to sign in, and goes on after that', async () => {
    const server = new Server({ ...place });
    await db.writes.add(waiting());
    expect(await send(server, [], { session: () => of({ person: null, gardens: [], demo: false }) })).toBe('sign-in');
    expect(server.calls).toEqual([]);
    expect(await send({ ...server, write: () => refuse(403, 'cross-site') })).toBe('sign-in');
    expect([await left(), await db.aside.count()]).toEqual([1, 0]);
    expect(await send(server)).toBe('sent');
    expect(await left()).toBe(0);
  });

  test('what one person wrote never goes out under another’s name', async () => {
    const server = new Server({ ...place });
    await db.writes.bulkAdd([waiting({ person: 'tam' }), waiting({ person: 'wren', id: 'sill', change: 'c2', version: 1 })]);
    await db.photos.add({ id: 'p', garden: 'g', person: 'tam', image: new Blob(['x']), at: '' });
    expect(await send(server)).toBe('sent');
    expect(server.calls.map(({ change }) => change)).toEqual(['c2']);
    expect([await left(), await db.photos.count()]).toEqual([1, 1]);
    const tam = { session: () => of({ ...wren, person: { ...wren.person, id: 'tam' } }) };
    expect(await send(new Server({ ...place }), [], tam)).toBe('sent');
    expect([await left(), await db.photos.count()]).toEqual([0, 0]);
  });

  test('photos follow the records; a refused one is told, an unanswered one waits', async () => {
    const photo = (id: string) => ({ id, garden: 'g', image: new Blob(['x']), at: '' });
    await db.photos.bulkAdd([photo('good'), photo('odd')]);
    expect(await send({ write: () => of() as never, sendPhoto: () => refuse(0, 'offline') as never })).toBe('no-answer');
    expect(await db.photos.count()).toBe(2);
    const sendPhoto = ((_: string, id: string) => (id === 'odd' ? refuse(415, 'not-a-picture') : of({ id }))) as never;
    expect(await send({ write: () => of() as never, sendPhoto })).toBe('sent');
    expect(await db.photos.count()).toBe(0);
    expect(await db.aside.toArray()).toMatchObject([{ subject: 'photos', id: 'odd' }]);
  });

  test('what was sent is in this device’s copy at once, so that a page loaded without signal knows it', async () => {
    await saveContents(db, contents);
    await db.gardens.update('g', { savedAt: '2026-07-18T09:00:00.000Z' });
    await db.writes.add(waiting());
    await send(new Server({ ...place }), {
      push: () => {
        throw new Error('the page went away');
      },
    } as never).catch(() => undefined);
    const copy = await readCopy(db, 'g');
    expect(copy!.contents.places).toMatchObject([{ name: 'Long bed', version: 2 }]);
    expect(copy!.savedAt).toBe('2026-07-18T09:00:00.000Z');
    expect(await left()).toBe(0);
  });

  test('another garden waits for its own turn', async () => {
    await db.writes.add(waiting({ garden: 'other' }));
    expect(await send(new Server(null))).toBe('sent');
    expect(await left()).toBe(1);
  });
});
