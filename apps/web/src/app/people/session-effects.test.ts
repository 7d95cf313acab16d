import { of, throwError } from 'rxjs';
import { ApiError } from '../api/api-error';
import { emptyDevice, outcome } from '../testing/outcome';
import { askSession, signOut } from './session-effects';
import { SessionActions } from '../store/session-state';

const nobody = { person: null, gardens: [], demo: false };
const down = () => throwError(() => new ApiError(503, 'database-down', 'The database is not answering.'));

test('asking who is signed in', async () => {
  const asked = SessionActions.asked();
  expect((await outcome(askSession, asked, { session: () => of(nobody) })).action).toEqual(SessionActions.known({ session: nobody }));
  expect((await outcome(askSession, asked, { session: down })).action).toEqual(
    SessionActions.failed({ message: 'The database is not answering.' }),
  );
});

test('signing out leads to the door', async () => {
  const { action, visited } = await outcome(signOut, SessionActions.signOut(), { signOut: () => of(nobody) });
  expect(action).toEqual(SessionActions.known({ session: nobody }));
  expect(visited).toEqual([['/sign-in']]);
});

test('while no server answers, the device knows who is signed in', async () => {
  const session = { person: { id: 'p', name: 'Wren', email: 'w@x.example' }, gardens: [], demo: false };
  const gone = () => throwError(() => new ApiError(0, 'offline', 'No answer.'));
  const device = { ...emptyDevice, session: async () => session };
  expect((await outcome(askSession, SessionActions.asked(), { session: gone }, device)).action).toEqual(SessionActions.known({ session }));
});
