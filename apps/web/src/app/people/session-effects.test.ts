import { Injector, runInInjectionContext } from '@angular/core';
import { Router } from '@angular/router';
import { Actions } from '@ngrx/effects';
import type { Observable } from 'rxjs';
import { firstValueFrom, of, throwError, toArray } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { GardenActions } from '../gardens/garden-state';
import { openGarden } from '../gardens/garden-effects';
import { Offline } from '../offline/offline';
import { contents } from '../testing/test-garden';
import { askSession, signOut } from './session-effects';
import { SessionActions } from './session-state';

const nobody = { person: null, gardens: [] };
const down = () => throwError(() => new ApiError(503, 'database-down', 'The database is not answering.'));

/** A device that remembers nothing. */
const emptyDevice = {
  session: async () => undefined,
  saveSession: async () => undefined,
  gardenCopy: async () => undefined,
  withWaiting: async <T>(garden: T) => garden,
  open: async () => undefined,
  saveGarden: async () => undefined,
  saveRecords: async () => undefined,
  waitingRecords: async () => [],
  forgetCopy: async () => undefined,
  forget: async () => undefined,
};

/** What an effect makes of an action, over an api that answers as it is told. */
function outcome(effect: () => unknown, action: object, api: object, device: object = emptyDevice) {
  const visited: unknown[] = [];
  const injector = Injector.create({
    providers: [
      { provide: Actions, useValue: new Actions(of(action) as never) },
      { provide: Api, useValue: api },
      { provide: Offline, useValue: device },
      { provide: Router, useValue: { navigate: (to: unknown) => visited.push(to) } },
    ],
  });
  return runInInjectionContext(injector, async () => {
    const actions = await firstValueFrom((effect() as Observable<unknown>).pipe(toArray()));
    return { action: actions[0], actions, visited };
  });
}

test('asking who is signed in', async () => {
  const asked = SessionActions.asked();
  expect((await outcome(askSession, asked, { session: () => of(nobody) })).action).toEqual(SessionActions.known({ session: nobody }));
  expect((await outcome(askSession, asked, { session: down })).action).toEqual(
    SessionActions.failed({ message: 'The database is not answering.' }),
  );
});

test('signing out leads to the door', async () => {
  const { action, visited } = await outcome(signOut, SessionActions.signOut(), { signOut: () => of(nobody) });
  expect(action).toEqual(SessionActions.known({ session: nobody }));
  expect(visited).toEqual([['/sign-in']]);
});

const copy = { contents, seasons: ['2025-01-01'], savedAt: 'then' };
const gone = () => throwError(() => new ApiError(0, 'offline', 'No answer.'));
const opened = GardenActions.opened({ garden: 'g' });
const fromCopy = GardenActions.loaded({ contents, seasons: ['2025-01-01'] });

test('opening a garden that this device does not know loads its season, or says why not', async () => {
  expect((await outcome(openGarden, opened, { gardenContents: () => of(contents) })).action).toEqual(
    GardenActions.loaded({ contents, seasons: [] }),
  );
  expect((await outcome(openGarden, opened, { gardenContents: down })).action).toEqual(
    GardenActions.failed({ message: 'The database is not answering.' }),
  );
});

describe('a garden that this device knows', () => {
  const device = { ...emptyDevice, gardenCopy: async () => copy };

  test('is there at once, and then what came since, with what waits here on top', async () => {
    const records = [{ subject: 'places', id: 'bed', record: null }];
    const newerRecords = () => of({ garden: contents.garden, sequence: 9, whole: false, records });
    const waiting = { subject: 'places', id: 'sill', record: { id: 'sill' } };
    const known = { ...device, waitingRecords: async () => [waiting] };
    const { actions } = await outcome(openGarden, opened, { newerRecords }, known);
    expect(actions).toEqual([fromCopy, GardenActions.caughtUp({ garden: contents.garden, records: [...records, waiting] as never })]);
  });

  test('of which too much changed, or whose season is over, is fetched anew', async () => {
    const anew = { ...contents, sequence: 5000 };
    const newerRecords = () => of({ garden: contents.garden, sequence: 7, whole: true, records: [] });
    const { actions } = await outcome(openGarden, opened, { newerRecords, gardenContents: () => of(anew) }, device);
    expect(actions).toEqual([fromCopy, GardenActions.loaded({ contents: anew, seasons: [] })]);
    const old = { ...contents, season: { from: '2025-01-01', to: '2025-12-31' } };
    const lastYears = { ...device, gardenCopy: async () => ({ ...copy, contents: old }) };
    const { actions: later } = await outcome(openGarden, opened, { gardenContents: () => of(anew) }, lastYears);
    expect(later[1]).toEqual(GardenActions.loaded({ contents: anew, seasons: [] }));
  });

  test('is as it was while no server answers, and so is who is signed in', async () => {
    const session = { person: { id: 'p', name: 'Wren', email: 'w@x.example' }, gardens: [] };
    const knowing = { ...device, session: async () => session };
    expect((await outcome(askSession, SessionActions.asked(), { session: gone }, knowing)).action).toEqual(
      SessionActions.known({ session }),
    );
    expect((await outcome(openGarden, opened, { newerRecords: gone }, device)).actions).toEqual([
      fromCopy,
      GardenActions.fellBehind({ asOf: 'then' }),
    ]);
  });

  test('and that may not be seen any more is forgotten', async () => {
    const forgotten: string[] = [];
    const removed = { ...device, forgetCopy: async (id: string) => void forgotten.push(id) };
    const refuse = () => throwError(() => new ApiError(404, 'not-found', 'This garden is not here.'));
    const { actions } = await outcome(openGarden, opened, { newerRecords: refuse }, removed);
    expect(actions.at(-1)).toEqual(GardenActions.failed({ message: 'This garden is not here.' }));
    expect(forgotten).toEqual(['g']);
  });
});
