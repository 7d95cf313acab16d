import type { GardenContents, GardenSummary, PastCase, SeasonContents, Stored, Subject } from '@field-nurse/contract';
import { createEntityAdapter } from '@ngrx/entity';
import type { EntityState } from '@ngrx/entity';
import { createActionGroup, createFeature, createReducer, createSelector, on, props } from '@ngrx/store';
import { deepEqual } from 'fast-equals';
import { isOvertaken } from './known-record';
import type { KnownRecord } from './known-record';

export const GardenActions = createActionGroup({
  source: 'Garden',
  events: {
    Opened: props<{ garden: string }>(),
    /** from the server, or from this device's copy with the older seasons that are in it */
    Loaded: props<{ contents: GardenContents; seasons: readonly string[] }>(),
    /** what changed since the copy was made has come */
    'Caught up': props<{ garden: GardenSummary; records: readonly KnownRecord[] }>(),
    /** the server does not answer: the garden is as this device last knew it */
    'Fell behind': props<{ asOf: string }>(),
    /** records of an older season are wanted */
    'Season opened': props<{ day: string }>(),
    'Season loaded': props<{ from: string; contents: SeasonContents }>(),
    'Season failed': props<{ message: string }>(),
    /** an address names a record that is not here: it may lie in an older season */
    'Record sought': props<{ id: string }>(),
    'Record not found': props<{ id: string }>(),
    Failed: props<{ message: string }>(),
    /** left, or deleted */
    Closed: props<{ garden: string }>(),
    'Settings changed': props<{ garden: GardenSummary }>(),
    /** as the server has it */
    'Record stored': props<{ subject: Subject; record: Stored<Subject> }>(),
    /** as this device wrote it; the server has not answered yet */
    'Record kept': props<{ subject: Subject; record: Stored<Subject> }>(),
    'Record removed': props<{ subject: Subject; id: string }>(),
  },
});

type Records = { readonly [S in Subject]: EntityState<Stored<S>> };

type Season = GardenContents['season'];

interface GardenState {
  readonly status: 'closed' | 'loading' | 'open' | 'failed';
  readonly message: string;
  readonly garden: GardenSummary | null;
  readonly asOf: string | null;
  readonly records: Records;
  readonly season: Season;
  readonly firstSeason: string;
  readonly pastCases: readonly PastCase[];
  /** first days of the older seasons whose records are here */
  readonly seasons: readonly string[];
  /** why the records of an older season did not come */
  readonly seasonFault: string;
  /** ids that an address named and that no season holds */
  readonly notFound: readonly string[];
}

const adapter = createEntityAdapter<{ id: string }>();
const empty = adapter.getInitialState();
// Written out, so that the schemas stay out of the first page.
const inEachGarden: Readonly<Record<Subject, true>> = {
  places: true,
  plantings: true,
  cases: true,
  products: true,
  labelCards: true,
  stockMoves: true,
  treatmentPlans: true,
  decisions: true,
  applications: true,
  plannedApplications: true,
  workTimes: true,
  sprayers: true,
  testSprays: true,
  assessments: true,
  harvests: true,
  lessons: true,
  removals: true,
  drills: true,
  traps: true,
  catches: true,
  scoutingRounds: true,
  stops: true,
  leafMeasurements: true,
  preventionTasks: true,
  groundEvents: true,
  thresholds: true,
  ownEntries: true,
  clinicSamples: true,
  comments: true,
};
const subjects = Object.keys(inEachGarden) as Subject[];
const noRecords = Object.fromEntries(subjects.map((subject) => [subject, empty])) as unknown as Records;

const initial: GardenState = {
  status: 'closed',
  message: '',
  garden: null,
  asOf: null,
  records: noRecords,
  season: { from: '', to: '' },
  firstSeason: '',
  pastCases: [],
  seasons: [],
  seasonFault: '',
  notFound: [],
};

/** Change one subject's records; the adapter does not care which they are. */
const change = (
  state: GardenState,
  subject: Subject,
  update: (records: EntityState<{ id: string }>) => EntityState<{ id: string }>,
): GardenState => ({
  ...state,
  records: { ...state.records, [subject]: update(state.records[subject]) },
});

/**
 * What comes again as it is known stays the very same: no form that is being filled in begins anew. Nor does an answer that was overtaken
 * on its way take back what was written since.
 */
const withRecords = (state: GardenState, records: readonly KnownRecord[]): GardenState => {
  let so = state;
  for (const subject of subjects) {
    const known = state.records[subject].entities;
    const news = records.filter(
      (one) => one.subject === subject && !(one.record && (isOvertaken(known[one.id], one.record) || deepEqual(known[one.id], one.record))),
    );
    // All at once: each step of the adapter copies everything that is there.
    if (news.length > 0)
      so = change(so, subject, (all) =>
        adapter.removeMany(
          news.flatMap(({ id, record }) => (record ? [] : id)),
          adapter.upsertMany(
            news.flatMap(({ record }) => record ?? []),
            all,
          ),
        ),
      );
  }
  return so;
};

const recordsOf = (contents: SeasonContents): KnownRecord[] =>
  subjects.flatMap((subject) => contents[subject].map((record) => ({ subject, id: record.id, record })));

const fill = (contents: GardenContents) =>
  Object.fromEntries(
    subjects.map((subject) => [subject, adapter.setAll((contents[subject] ?? []) as { id: string }[], empty)]),
  ) as unknown as Records;

/** The open garden with all its records. */
export const gardenFeature = createFeature({
  name: 'garden',
  reducer: createReducer<GardenState>(
    initial,
    on(GardenActions.opened, (state, { garden }) => (state.garden?.id === garden ? state : { ...initial, status: 'loading' })),
    on(GardenActions.loaded, (_, { contents, seasons }) => ({
      status: 'open',
      message: '',
      garden: contents.garden,
      asOf: null,
      records: fill(contents),
      season: contents.season,
      firstSeason: contents.firstSeason,
      pastCases: contents.pastCases,
      seasons,
      seasonFault: '',
      notFound: [],
    })),
    on(GardenActions.caughtUp, (state, { garden, records }) =>
      withRecords(
        {
          ...state,
          garden: deepEqual(state.garden, garden) ? state.garden : garden,
          asOf: null,
          // What could not be sought without signal is sought again.
          notFound: state.asOf ? [] : state.notFound,
        },
        records,
      ),
    ),
    on(GardenActions.fellBehind, (state, { asOf }) => ({ ...state, asOf })),
    on(GardenActions.seasonOpened, (state) => ({ ...state, seasonFault: '' })),
    on(GardenActions.seasonFailed, (state, { message }) => ({ ...state, seasonFault: message })),
    on(GardenActions.seasonLoaded, (state, { from, contents }) => ({
      ...withRecords(state, recordsOf(contents)),
      seasons: [...state.seasons, from],
    })),
    on(GardenActions.recordNotFound, (state, { id }) => ({ ...state, notFound: [...state.notFound, id] })),
    on(GardenActions.closed, (state, { garden }) => (state.garden?.id === garden ? initial : state)),
    on(GardenActions.failed, (state, { message }) => ({ ...state, status: 'failed', message })),
    on(GardenActions.settingsChanged, (state, { garden }) => ({ ...state, garden })),
    on(GardenActions.recordStored, GardenActions.recordKept, (state, { subject, record }) =>
      change(state, subject, (records) => adapter.upsertOne(record, records)),
    ),
    on(GardenActions.recordRemoved, (state, { subject, id }) => change(state, subject, (records) => adapter.removeOne(id, records))),
  ),
  extraSelectors: ({ selectRecords }) => {
    const { selectAll } = adapter.getSelectors();
    const selectRecordsOf = <S extends Subject>(subject: S) =>
      createSelector(selectRecords, (records) => selectAll(records[subject] as EntityState<{ id: string }>) as unknown as Stored<S>[]);
    return {
      selectPlaces: selectRecordsOf('places'),
      selectPlantings: selectRecordsOf('plantings'),
      selectCases: selectRecordsOf('cases'),
      selectDecisions: selectRecordsOf('decisions'),
      selectProducts: selectRecordsOf('products'),
      selectLabelCards: selectRecordsOf('labelCards'),
      selectTreatmentPlans: selectRecordsOf('treatmentPlans'),
      selectPlannedApplications: selectRecordsOf('plannedApplications'),
      selectWorkTimes: selectRecordsOf('workTimes'),
      selectSprayers: selectRecordsOf('sprayers'),
      selectHarvests: selectRecordsOf('harvests'),
      selectRemovals: selectRecordsOf('removals'),
      selectDrills: selectRecordsOf('drills'),
      selectLessons: selectRecordsOf('lessons'),
      selectTestSprays: selectRecordsOf('testSprays'),
      selectStockMoves: selectRecordsOf('stockMoves'),
      selectApplications: selectRecordsOf('applications'),
      selectAssessments: selectRecordsOf('assessments'),
      selectTraps: selectRecordsOf('traps'),
      selectCatches: selectRecordsOf('catches'),
      selectScoutingRounds: selectRecordsOf('scoutingRounds'),
      selectStops: selectRecordsOf('stops'),
      selectLeafMeasurements: selectRecordsOf('leafMeasurements'),
      selectGroundEvents: selectRecordsOf('groundEvents'),
      selectPreventionTasks: selectRecordsOf('preventionTasks'),
      selectThresholds: selectRecordsOf('thresholds'),
      selectOwnEntries: selectRecordsOf('ownEntries'),
      selectClinicSamples: selectRecordsOf('clinicSamples'),
      selectComments: selectRecordsOf('comments'),
    };
  },
});
