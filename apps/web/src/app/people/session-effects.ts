import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { catchError, exhaustMap, from, map, of, tap } from 'rxjs';
import { Api } from '../api/api';
import type { ApiError } from '../api/api-error';
import { Offline } from '../offline/offline';
import { SessionActions } from '../store/session-state';

export const askSession = createEffect(
  (actions = inject(Actions), api = inject(Api), offline = inject(Offline)) =>
    actions.pipe(
      ofType(SessionActions.asked),
      exhaustMap(() =>
        api.session().pipe(
          catchError((error: ApiError) =>
            from(error.status === 0 || error.status === 503 ? offline.session() : Promise.resolve(undefined)).pipe(
              map((session) => {
                if (!session) throw error;
                return session;
              }),
            ),
          ),
          map((session) => SessionActions.known({ session })),
          catchError((error: ApiError) => of(SessionActions.failed({ message: error.message }))),
        ),
      ),
    ),
  { functional: true },
);

export const signOut = createEffect(
  (actions = inject(Actions), api = inject(Api), router = inject(Router), offline = inject(Offline)) =>
    actions.pipe(
      ofType(SessionActions.signOut),
      exhaustMap(() =>
        api.signOut().pipe(
          map((session) => SessionActions.known({ session })),
          tap(() => void offline.forget().then(() => router.navigate(['/sign-in']))),
          catchError((error: ApiError) => of(SessionActions.failed({ message: error.message }))),
        ),
      ),
    ),
  { functional: true },
);

/** What is kept on this device from now on belongs to who is signed in. */
export const tellDevice = createEffect(
  (actions = inject(Actions), offline = inject(Offline)) =>
    actions.pipe(
      ofType(SessionActions.known),
      tap(({ session }) => {
        void offline.belongsTo(session.person?.id ?? null);
        void offline.saveSession(session).catch(() => undefined);
      }),
    ),
  { functional: true, dispatch: false },
);
