import { Injector, runInInjectionContext } from '@angular/core';
import { Router } from '@angular/router';
import { Actions } from '@ngrx/effects';
import { firstValueFrom, of, throwError } from 'rxjs';
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
  return runInInjectionContext(injector, async () => ({ action: await firstValueFrom(effect() as never), visited }));
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

test('opening a garden loads it, or says why not', async () => {
  const opened = GardenActions.opened({ garden: 'g' });
  expect((await outcome(openGarden, opened, { gardenContents: () => of(contents) })).action).toEqual(
    GardenActions.loaded({ contents, asOf: null }),
  );
  expect((await outcome(openGarden, opened, { gardenContents: down })).action).toEqual(
    GardenActions.failed({ message: 'The database is not answering.' }),
  );
});

describe('without a server', () => {
  const gone = () => throwError(() => new ApiError(0, 'offline', 'No answer.'));

  test('the device knows who is signed in, and the garden as it was', async () => {
    const session = { person: { id: 'p', name: 'Wren', email: 'w@x.example' }, gardens: [] };
    const device = { ...emptyDevice, session: async () => session, gardenCopy: async () => ({ id: 'g', contents, savedAt: 'then' }) };
    expect((await outcome(askSession, SessionActions.asked(), { session: gone }, device)).action).toEqual(
      SessionActions.known({ session }),
    );
    expect((await outcome(openGarden, GardenActions.opened({ garden: 'g' }), { gardenContents: gone }, device)).action).toEqual(
      GardenActions.loaded({ contents, asOf: 'then' }),
    );
  });

  test('a refusal is a refusal, whatever the device remembers', async () => {
    const device = { ...emptyDevice, gardenCopy: async () => ({ id: 'g', contents, savedAt: 'then' }) };
    const refuse = () => throwError(() => new ApiError(404, 'not-found', 'This garden is not here.'));
    expect((await outcome(openGarden, GardenActions.opened({ garden: 'g' }), { gardenContents: refuse }, device)).action).toEqual(
      GardenActions.failed({ message: 'This garden is not here.' }),
    );
  });
});
