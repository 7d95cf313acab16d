import { Injector, runInInjectionContext } from '@angular/core';
import { Router } from '@angular/router';
import { Actions } from '@ngrx/effects';
import { firstValueFrom, of, throwError } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { GardenActions } from '../gardens/garden-state';
import { openGarden } from '../gardens/garden-effects';
import { contents } from '../testing/test-garden';
import { askSession, signOut } from './session-effects';
import { SessionActions } from './session-state';

const nobody = { person: null, gardens: [] };
const down = () => throwError(() => new ApiError(503, 'database-down', 'The database is not answering.'));

/** What an effect makes of an action, over an api that answers as it is told. */
function outcome(effect: () => unknown, action: object, api: object) {
  const visited: unknown[] = [];
  const injector = Injector.create({
    providers: [
      { provide: Actions, useValue: new Actions(of(action) as never) },
      { provide: Api, useValue: api },
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
  expect((await outcome(openGarden, opened, { gardenContents: () => of(contents) })).action).toEqual(GardenActions.loaded({ contents }));
  expect((await outcome(openGarden, opened, { gardenContents: down })).action).toEqual(
    GardenActions.failed({ message: 'The database is not answering.' }),
  );
});
