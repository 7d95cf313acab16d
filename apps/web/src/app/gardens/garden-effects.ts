import { inject } from '@angular/core';
import type { GardenContents, GardenSummary } from '@field-nurse/contract';
import { dayAt, seasonOf, usualSeasonStart } from '@field-nurse/core/timing';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import type { Observable } from 'rxjs';
import {
  catchError,
  concat,
  concatMap,
  concatWith,
  defer,
  EMPTY,
  exhaustMap,
  filter,
  from,
  fromEvent,
  interval,
  map,
  merge,
  mergeMap,
  of,
  switchMap,
  take,
  tap,
  withLatestFrom,
} from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Offline } from '../offline/offline';
import type { ReadCopy } from '../offline/garden-copy';
import { gardenFeature, GardenActions } from '../store/garden-state';

const catchUpMs = 120_000;

/** No answer, or one that says to come back. */
const isAway = ({ status }: ApiError) => status === 0 || status === 503;

/** Open a garden: what this device knows of it at once, and then what came since; the running season from the server where it knows nothing. */
export const openGarden = createEffect(
  (actions = inject(Actions), api = inject(Api), offline = inject(Offline)) =>
    actions.pipe(
      ofType(GardenActions.opened),
      switchMap(({ garden }) =>
        from(offline.gardenCopy(garden).catch(() => undefined)).pipe(
          switchMap((copy) => (copy ? openCopy(copy, api, offline) : openAnew(garden, api, offline))),
          tap((action) => {
            if (action.type === GardenActions.loaded.type) void offline.open(garden);
          }),
          catchError((error: unknown) => {
            const { status, message } = ApiError.from(error);
            // Whoever may not see it any more does not keep it either.
            if (status === 403 || status === 404) void offline.forgetCopy(garden);
            return of(GardenActions.failed({ message }));
          }),
        ),
      ),
    ),
  { functional: true },
);

type Opening = Observable<ReturnType<(typeof GardenActions)['loaded' | 'caughtUp' | 'fellBehind']>>;

function openCopy(copy: ReadCopy, api: Api, offline: Offline): Opening {
  const { contents, seasons } = copy;
  const shown = defer(async () => GardenActions.loaded({ contents: await offline.withWaiting(contents), seasons }));
  const newer = defer(() => (isOver(contents) ? openAnew(contents.garden.id, api, offline) : catchUp(copy, api, offline))).pipe(
    catchError((error: unknown) => {
      if (isAway(ApiError.from(error))) return of(GardenActions.fellBehind({ asOf: copy.savedAt }));
      throw error;
    }),
  );
  return concat(shown, newer);
}

const openAnew = (garden: string, api: Api, offline: Offline): Opening =>
  api.gardenContents(garden).pipe(
    mergeMap(async (contents) => {
      await offline.saveGarden(contents).catch(() => undefined);
      return GardenActions.loaded({ contents: await offline.withWaiting(contents), seasons: [] });
    }),
  );

/** A new season has begun since this device last heard of the garden. */
function isOver({ garden, season }: GardenContents): boolean {
  const today = dayAt(garden.fixedNow ?? new Date().toISOString(), garden.timeZone);
  return seasonFrom(today, garden) !== season.from;
}

function catchUp({ contents }: Pick<ReadCopy, 'contents'>, api: Api, offline: Offline): Opening {
  const { id } = contents.garden;
  return api.newerRecords(id, contents.sequence).pipe(
    switchMap(({ garden, sequence, whole, records }) => {
      if (whole) return openAnew(id, api, offline);
      return defer(async () => {
        await offline.saveRecords(id, records, { garden, sequence }).catch(() => undefined);
        return GardenActions.caughtUp({ garden, records: [...records, ...(await offline.waitingRecords(id))] });
      });
    }),
  );
}

/** What others wrote comes every two minutes, and when the page is looked at again. */
export const catchUpNow = createEffect(
  (store = inject(Store), api = inject(Api), offline = inject(Offline)) =>
    merge(interval(catchUpMs), fromEvent(document, 'visibilitychange')).pipe(
      filter(() => document.visibilityState === 'visible'),
      withLatestFrom(store.select(gardenFeature.selectGarden), store.select(gardenFeature.selectStatus)),
      exhaustMap(([, garden, status]) =>
        garden && status === 'open'
          ? from(offline.gardenCopy(garden.id)).pipe(
              switchMap((copy) => (copy ? catchUp(copy, api, offline) : EMPTY)),
              // Whoever opens the garden without an answer is told so; in passing nothing is said.
              catchError(() => EMPTY),
            )
          : EMPTY,
      ),
    ),
  { functional: true },
);

/** Bring the records of a season, unless they have come meanwhile: whoever drags the plan back asks for it with every day. */
export const openSeason = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api), offline = inject(Offline)) =>
    actions.pipe(
      ofType(GardenActions.seasonOpened),
      concatMap(({ day }) =>
        store.select(gardenFeature.selectGardenState).pipe(
          take(1),
          switchMap(({ garden, seasons }) =>
            garden && !seasons.includes(seasonFrom(day, garden)) ? fetchSeason(day, garden, api, offline) : EMPTY,
          ),
          catchError((error: unknown) => of(GardenActions.seasonFailed({ message: ApiError.from(error).message }))),
        ),
      ),
    ),
  { functional: true },
);

/** A record that an address names may lie in an older season: that one is brought. */
export const seekRecord = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api), offline = inject(Offline)) =>
    actions.pipe(
      ofType(GardenActions.recordSought),
      withLatestFrom(store.select(gardenFeature.selectGardenState)),
      concatMap(([{ id }, { garden, seasons }]) => {
        if (!garden) return EMPTY;
        const notFound = GardenActions.recordNotFound({ id });
        return api.dayOfRecord(garden.id, id).pipe(
          switchMap(({ day }) => (seasons.includes(seasonFrom(day, garden)) ? EMPTY : fetchSeason(day, garden, api, offline))),
          // If it is not here now, it is nowhere.
          concatWith(of(notFound)),
          catchError(() => of(notFound)),
        );
      }),
    ),
  { functional: true },
);

const seasonFrom = (day: string, { seasonStart, latitude }: GardenSummary) => seasonOf(day, seasonStart ?? usualSeasonStart(latitude)).from;

function fetchSeason(day: string, garden: GardenSummary, api: Api, offline: Offline) {
  const first = seasonFrom(day, garden);
  return api.season(garden.id, first).pipe(
    tap((contents) => void offline.saveSeason(garden.id, first, contents).catch(() => undefined)),
    map((contents) => GardenActions.seasonLoaded({ from: first, contents })),
  );
}

/** Keep this device's copy up to date, record by record, for when there is no signal. */
export const copyRecords = createEffect(
  (actions = inject(Actions), store = inject(Store), offline = inject(Offline)) =>
    actions.pipe(
      ofType(GardenActions.recordStored, GardenActions.recordRemoved, GardenActions.settingsChanged),
      withLatestFrom(store.select(gardenFeature.selectGarden)),
      concatMap(async ([action, garden]) => {
        if (!garden) return;
        const record = 'record' in action ? action.record : null;
        const known = 'subject' in action ? [{ subject: action.subject, id: 'id' in action ? action.id : action.record.id, record }] : [];
        await offline.saveRecords(garden.id, known, 'garden' in action ? { garden: action.garden } : {}).catch(() => undefined);
      }),
    ),
  { functional: true, dispatch: false },
);
