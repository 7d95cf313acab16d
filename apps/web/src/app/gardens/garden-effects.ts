import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { catchError, map, of, switchMap } from 'rxjs';
import { Api } from '../api/api';
import type { ApiError } from '../api/api-error';
import { GardenActions } from './garden-state';

export const openGarden = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(GardenActions.opened),
      switchMap(({ garden }) =>
        api.gardenContents(garden).pipe(
          map((contents) => GardenActions.loaded({ contents })),
          catchError((error: ApiError) => of(GardenActions.failed({ message: error.message }))),
        ),
      ),
    ),
  { functional: true },
);
