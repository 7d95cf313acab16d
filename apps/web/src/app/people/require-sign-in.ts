import { inject } from '@angular/core';
import type { CanActivateFn } from '@angular/router';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { filter, map, take } from 'rxjs';
import { SessionActions, sessionFeature } from '../store/session-state';

/** The session, asked from the server once. */
function session() {
  const store = inject(Store);
  const state = store.select(sessionFeature.selectSessionState);
  if (store.selectSignal(sessionFeature.selectStatus)() !== 'known') store.dispatch(SessionActions.asked());
  return state.pipe(
    filter(({ status }) => status !== 'unknown'),
    take(1),
  );
}

/** Send those who are not signed in to the door, and remember where they wanted to go. */
export const requireSignIn: CanActivateFn = (_, { url }) => {
  const router = inject(Router);
  return session().pipe(map(({ person }) => (person ? true : router.createUrlTree(['/sign-in'], { queryParams: { to: url } }))));
};

/** What needs an account: a visitor of the demo garden is asked to make one. */
export const requireAccount: CanActivateFn = (_, { url }) => {
  const router = inject(Router);
  const to = (page: string) => router.createUrlTree([page], { queryParams: { to: url } });
  return session().pipe(map(({ person }) => (!person ? to('/sign-in') : person.email === null ? to('/sign-up') : true)));
};

/** Where the bare address leads: to the door for a stranger and for a visitor, else to the first garden, or to making one. */
export const startPage: CanActivateFn = () => {
  const router = inject(Router);
  return session().pipe(
    map(({ person, gardens }) => !person?.email || router.createUrlTree(gardens[0] ? ['/g', gardens[0].id, 'today'] : ['/new-garden'])),
  );
};
