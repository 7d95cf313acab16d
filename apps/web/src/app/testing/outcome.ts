import { Injector, runInInjectionContext } from '@angular/core';
import { Router } from '@angular/router';
import { Actions } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import type { Observable } from 'rxjs';
import { defer, firstValueFrom, from, of, toArray } from 'rxjs';
import { Api } from '../api/api';
import { Offline } from '../offline/offline';

/** A device that remembers nothing. */
export const emptyDevice = {
  session: async () => undefined,
  saveSession: async () => undefined,
  gardenCopy: async () => undefined,
  withWaiting: async <T>(garden: T) => garden,
  open: async () => undefined,
  saveGarden: async () => undefined,
  saveSeason: async () => undefined,
  saveRecords: async () => undefined,
  waitingRecords: async () => [],
  forgetCopy: async () => undefined,
  forget: async () => undefined,
};

/** What an effect makes of actions, over an api that answers as it is told. @param state - what the store holds of the garden, asked anew each time */
export function outcome(
  effect: () => unknown,
  actions: object | readonly object[],
  api: object,
  device: object = emptyDevice,
  state: () => object = () => ({}),
) {
  const visited: unknown[] = [];
  const store = { select: () => defer(() => of(state())) };
  const injector = Injector.create({
    providers: [
      { provide: Actions, useValue: new Actions((Array.isArray(actions) ? from(actions) : of(actions)) as never) },
      { provide: Api, useValue: api },
      { provide: Offline, useValue: device },
      { provide: Store, useValue: store },
      { provide: Router, useValue: { navigate: (to: unknown) => visited.push(to) } },
    ],
  });
  return runInInjectionContext(injector, async () => {
    const made = await firstValueFrom((effect() as Observable<unknown>).pipe(toArray()));
    return { action: made[0], actions: made, visited };
  });
}
