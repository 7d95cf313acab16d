import type { GardenContents, GardenSummary, Stored, Subject } from '@field-nurse/contract';
import { createEntityAdapter } from '@ngrx/entity';
import type { EntityState } from '@ngrx/entity';
import { createActionGroup, createFeature, createReducer, createSelector, on, props } from '@ngrx/store';

export const GardenActions = createActionGroup({
  source: 'Garden',
  events: {
    Opened: props<{ garden: string }>(),
    /** `asOf` is when this device last heard from the server, if the garden comes from its own copy */
    Loaded: props<{ contents: GardenContents; asOf: string | null }>(),
    Failed: props<{ message: string }>(),
    /** left, or deleted */
    Closed: props<{ garden: string }>(),
    'Settings changed': props<{ garden: GardenSummary }>(),
    'Record stored': props<{ subject: Subject; record: Stored<Subject> }>(),
    'Record removed': props<{ subject: Subject; id: string }>(),
  },
});

type Records = { readonly [S in Subject]: EntityState<Stored<S>> };

interface GardenState {
  readonly status: 'closed' | 'loading' | 'open' | 'failed';
  readonly message: string;
  readonly garden: GardenSummary | null;
  readonly asOf: string | null;
  readonly records: Records;
}

const adapter = createEntityAdapter<{ id: string }>();
const empty = adapter.getInitialState();
// Written out, so that the schemas stay out of the first page.
const inEachGarden: Readonly<Record<Subject, true>> = {
  places: true,
  plantings: true,
  cases: true,
  decisions: true,
  applications: true,
  assessments: true,
  traps: true,
  catches: true,
  scoutingRounds: true,
  stops: true,
  leafMeasurements: true,
  preventionTasks: true,
  thresholds: true,
  ownEntries: true,
  clinicSamples: true,
  comments: true,
};
const subjects = Object.keys(inEachGarden) as Subject[];
const noRecords = Object.fromEntries(subjects.map((subject) => [subject, empty])) as unknown as Records;

const initial: GardenState = { status: 'closed', message: '', garden: null, asOf: null, records: noRecords };

/** Change one subject's records; the adapter does not care which they are. */
const change = (
  state: GardenState,
  subject: Subject,
  update: (records: EntityState<{ id: string }>) => EntityState<{ id: string }>,
): GardenState => ({
  ...state,
  records: { ...state.records, [subject]: update(state.records[subject]) },
});

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
    on(GardenActions.loaded, (_, { contents, asOf }) => ({
      status: 'open',
      message: '',
      garden: contents.garden,
      asOf,
      records: fill(contents),
    })),
    on(GardenActions.closed, (state, { garden }) => (state.garden?.id === garden ? initial : state)),
    on(GardenActions.failed, (state, { message }) => ({ ...state, status: 'failed', message })),
    on(GardenActions.settingsChanged, (state, { garden }) => ({ ...state, garden })),
    on(GardenActions.recordStored, (state, { subject, record }) => change(state, subject, (records) => adapter.upsertOne(record, records))),
    on(GardenActions.recordRemoved, (state, { subject, id }) => change(state, subject, (records) => adapter.removeOne(id, records))),
  ),
  extraSelectors: ({ selectRecords, selectGarden }) => {
    const { selectAll } = adapter.getSelectors();
    const selectRecordsOf = <S extends Subject>(subject: S) =>
      createSelector(selectRecords, (records) => selectAll(records[subject] as EntityState<{ id: string }>) as unknown as Stored<S>[]);
    return {
      selectContents: createSelector(selectRecords, selectGarden, (records, garden): GardenContents | null =>
        garden
          ? ({
              garden,
              ...Object.fromEntries(subjects.map((name) => [name, selectAll(records[name] as EntityState<{ id: string }>)])),
            } as GardenContents)
          : null,
      ),
      selectPlaces: selectRecordsOf('places'),
      selectPlantings: selectRecordsOf('plantings'),
      selectCases: selectRecordsOf('cases'),
      selectDecisions: selectRecordsOf('decisions'),
      selectApplications: selectRecordsOf('applications'),
      selectAssessments: selectRecordsOf('assessments'),
      selectTraps: selectRecordsOf('traps'),
      selectCatches: selectRecordsOf('catches'),
      selectScoutingRounds: selectRecordsOf('scoutingRounds'),
      selectStops: selectRecordsOf('stops'),
      selectLeafMeasurements: selectRecordsOf('leafMeasurements'),
      selectPreventionTasks: selectRecordsOf('preventionTasks'),
      selectThresholds: selectRecordsOf('thresholds'),
      selectOwnEntries: selectRecordsOf('ownEntries'),
      selectClinicSamples: selectRecordsOf('clinicSamples'),
      selectComments: selectRecordsOf('comments'),
    };
  },
});
