import type {
  Application,
  Case,
  Decision,
  GardenContents,
  GardenSummary,
  Look,
  Place,
  Planting,
  Stored,
  Subject,
} from '@field-nurse/contract';
import { createEntityAdapter } from '@ngrx/entity';
import type { EntityState } from '@ngrx/entity';
import { createActionGroup, createFeature, createReducer, createSelector, on, props } from '@ngrx/store';

export const GardenActions = createActionGroup({
  source: 'Garden',
  events: {
    Opened: props<{ garden: string }>(),
    Loaded: props<{ contents: GardenContents }>(),
    Failed: props<{ message: string }>(),
    'Settings changed': props<{ garden: GardenSummary }>(),
    'Record stored': props<{ subject: Subject; record: Stored<Subject> }>(),
    'Record removed': props<{ subject: Subject; id: string }>(),
  },
});

interface Records {
  readonly places: EntityState<Place>;
  readonly plantings: EntityState<Planting>;
  readonly cases: EntityState<Case>;
  readonly decisions: EntityState<Decision>;
  readonly applications: EntityState<Application>;
  readonly looks: EntityState<Look>;
}

interface GardenState {
  readonly status: 'closed' | 'loading' | 'open' | 'failed';
  readonly message: string;
  readonly garden: GardenSummary | null;
  readonly records: Records;
}

const adapter = createEntityAdapter<{ id: string }>();
const empty = adapter.getInitialState();
const subjects: readonly Subject[] = ['places', 'plantings', 'cases', 'decisions', 'applications', 'looks'];
const noRecords = Object.fromEntries(subjects.map((subject) => [subject, empty])) as unknown as Records;

const initial: GardenState = { status: 'closed', message: '', garden: null, records: noRecords };

/** Change one subject's records; the adapter does not care which they are. */
const change = (
  state: GardenState,
  subject: Subject,
  update: (records: EntityState<{ id: string }>) => EntityState<{ id: string }>,
): GardenState => ({
  ...state,
  records: { ...state.records, [subject]: update(state.records[subject] as EntityState<{ id: string }>) },
});

const fill = (contents: GardenContents) =>
  Object.fromEntries(
    subjects.map((subject) => [subject, adapter.setAll(contents[subject] as { id: string }[], empty)]),
  ) as unknown as Records;

/** The open garden with all its records. */
export const gardenFeature = createFeature({
  name: 'garden',
  reducer: createReducer<GardenState>(
    initial,
    on(GardenActions.opened, (state, { garden }) => (state.garden?.id === garden ? state : { ...initial, status: 'loading' })),
    on(GardenActions.loaded, (_, { contents }) => ({ status: 'open', message: '', garden: contents.garden, records: fill(contents) })),
    on(GardenActions.failed, (state, { message }) => ({ ...state, status: 'failed', message })),
    on(GardenActions.settingsChanged, (state, { garden }) => ({ ...state, garden })),
    on(GardenActions.recordStored, (state, { subject, record }) => change(state, subject, (records) => adapter.upsertOne(record, records))),
    on(GardenActions.recordRemoved, (state, { subject, id }) => change(state, subject, (records) => adapter.removeOne(id, records))),
  ),
  extraSelectors: ({ selectRecords }) => {
    const { selectAll } = adapter.getSelectors();
    const all = <S extends Subject>(subject: S) =>
      createSelector(selectRecords, (records) => selectAll(records[subject] as EntityState<{ id: string }>) as unknown as Stored<S>[]);
    return {
      selectPlaces: all('places'),
      selectPlantings: all('plantings'),
      selectCases: all('cases'),
      selectDecisions: all('decisions'),
      selectApplications: all('applications'),
      selectLooks: all('looks'),
    };
  },
});
