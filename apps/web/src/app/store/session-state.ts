import type { GardenSummary, Session } from '@field-nurse/contract';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';

export const SessionActions = createActionGroup({
  source: 'Session',
  events: {
    /** ask the server who is signed in */
    Asked: emptyProps(),
    Known: props<{ session: Session }>(),
    Failed: props<{ message: string }>(),
    'Garden added': props<{ garden: GardenSummary }>(),
    'Sign out': emptyProps(),
  },
});

interface SessionState extends Session {
  readonly status: 'unknown' | 'known' | 'failed';
}

const initial: SessionState = { status: 'unknown', person: null, gardens: [], demo: false };

/** Who is signed in on this device. */
export const sessionFeature = createFeature({
  name: 'session',
  reducer: createReducer<SessionState>(
    initial,
    on(SessionActions.known, (_, { session }) => ({ status: 'known', ...session })),
    on(SessionActions.failed, (state) => ({ ...state, status: 'failed' })),
    on(SessionActions.gardenAdded, (state, { garden }) => ({
      ...state,
      gardens: [...state.gardens.filter(({ id }) => id !== garden.id), garden],
    })),
  ),
});
