import { Injector, runInInjectionContext, signal } from '@angular/core';
import { Router } from '@angular/router';
import type { Session } from '@field-nurse/contract';
import { Store } from '@ngrx/store';
import { BehaviorSubject, firstValueFrom } from 'rxjs';
import type { Observable } from 'rxjs';
import { summary } from '../testing/test-garden';
import { requireSignIn, startPage } from './require-sign-in';
import { SessionActions, sessionFeature } from '../store/session-state';

const wren = { id: 'w', name: 'Wren', email: 'wren@garden.example' };
type State = Session & { status: 'unknown' | 'known' };

/** The door over a session that may become known later; what was asked, and where it leads. */
function start(first: State) {
  const state = new BehaviorSubject(first);
  const asked: unknown[] = [];
  const injector = Injector.create({
    providers: [
      { provide: Router, useValue: { createUrlTree: (path: string[], extras?: object) => ({ path, ...extras }) } },
      {
        provide: Store,
        useValue: {
          select: () => state,
          selectSignal: (selector: unknown) => signal(selector === sessionFeature.selectStatus ? state.value.status : undefined),
          dispatch: (action: unknown) => asked.push(action),
        },
      },
    ],
  });
  const run = <T>(work: () => unknown) => runInInjectionContext(injector, () => firstValueFrom(work() as Observable<T>));
  return {
    state,
    asked,
    enter: (url: string) => run(() => requireSignIn({} as never, { url } as never)),
    begin: () => run(() => startPage({} as never, {} as never)),
  };
}

test('who is signed in enters', async () => {
  const door = start({ status: 'known', person: wren, gardens: [summary], demo: false });
  expect(await door.enter('/g/g/today')).toBe(true);
  expect(door.asked).toEqual([]);
});

test('who is not goes to the door, and back to where they wanted afterwards', async () => {
  const door = start({ status: 'known', person: null, gardens: [], demo: false });
  expect(await door.enter('/g/g/cases/c?tab=options')).toEqual({
    path: ['/sign-in'],
    queryParams: { to: '/g/g/cases/c?tab=options' },
  });
});

test('a session that is not known yet is asked for, and waited for', async () => {
  const door = start({ status: 'unknown', person: null, gardens: [], demo: false });
  const entered = door.enter('/g/g/today');
  expect(door.asked).toEqual([SessionActions.asked()]);
  door.state.next({ status: 'known', person: wren, gardens: [], demo: false });
  expect(await entered).toBe(true);
});

test('a stranger stays at the door', async () => {
  expect(await start({ status: 'known', person: null, gardens: [], demo: false }).begin()).toBe(true);
});

test.each([
  ['somebody without a garden', wren, [], ['/new-garden']],
  ['somebody with one', wren, [summary], ['/g', 'g', 'today']],
])('the bare address leads %s on', async (_, person, gardens, path) => {
  expect(await start({ status: 'known', person, gardens: [...gardens], demo: false }).begin()).toMatchObject({ path });
});
