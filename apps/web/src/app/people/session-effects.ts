import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { catchError, exhaustMap, map, of, tap } from 'rxjs';
import { Api } from '../api/api';
import type { ApiError } from '../api/api-error';
import { SessionActions } from './session-state';

export const askSession = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(SessionActions.asked),
      exhaustMap(() =>
        api.session().pipe(
          map((session) => SessionActions.known({ session })),
          catchError((error: ApiError) => of(SessionActions.failed({ message: error.message }))),
        ),
      ),
    ),
  { functional: true },
);

export const signOut = createEffect(
  (actions = inject(Actions), api = inject(Api), router = inject(Router)) =>
    actions.pipe(
      ofType(SessionActions.signOut),
      exhaustMap(() =>
        api.signOut().pipe(
          map((session) => SessionActions.known({ session })),
          tap(() => void router.navigate(['/sign-in'])),
          catchError((error: ApiError) => of(SessionActions.failed({ message: error.message }))),
        ),
      ),
    ),
  { functional: true },
);
