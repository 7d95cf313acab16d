import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import { catchError, debounceTime, filter, from, map, mergeMap, of, switchMap, take, tap } from 'rxjs';
import { Api } from '../api/api';
import type { ApiError } from '../api/api-error';
import { Offline } from '../offline/offline';
import { GardenActions, gardenFeature } from './garden-state';

const copyAfterMs = 400;

/** Open a garden: from the server, or from this device's copy when no server answers; with what still waits to be sent. */
export const openGarden = createEffect(
  (actions = inject(Actions), api = inject(Api), offline = inject(Offline)) =>
    actions.pipe(
      ofType(GardenActions.opened),
      switchMap(({ garden }) =>
        api.gardenContents(garden).pipe(
          map((contents) => ({ contents, asOf: null })),
          catchError((error: ApiError) =>
            from(error.status === 0 || error.status === 503 ? offline.gardenCopy(garden) : Promise.resolve(undefined)).pipe(
              map((copy) => {
                if (!copy) throw error;
                return { contents: copy.contents, asOf: copy.savedAt };
              }),
            ),
          ),
          mergeMap(async ({ contents, asOf }) => GardenActions.loaded({ contents: await offline.withWaiting(contents), asOf })),
          tap(() => void offline.open(garden)),
          catchError((error: ApiError) => of(GardenActions.failed({ message: error.message }))),
        ),
      ),
    ),
  { functional: true },
);

/** Keep a copy of the open garden on this device, for when there is no signal. */
export const copyGarden = createEffect(
  (actions = inject(Actions), store = inject(Store), offline = inject(Offline)) =>
    actions.pipe(
      ofType(GardenActions.loaded, GardenActions.recordStored, GardenActions.recordRemoved, GardenActions.settingsChanged),
      debounceTime(copyAfterMs),
      switchMap(() => store.select(gardenFeature.selectContents).pipe(take(1))),
      filter((contents) => contents !== null),
      switchMap((contents) => offline.saveGarden(contents).catch(() => undefined)),
    ),
  { functional: true, dispatch: false },
);
