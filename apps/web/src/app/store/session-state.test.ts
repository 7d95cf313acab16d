import { summary } from '../testing/test-garden';
import { SessionActions, sessionFeature } from './session-state';

const { reducer } = sessionFeature;
const person = { id: 'p', name: 'Wren', email: 'wren@osier-reach.example' };

test('before the server has answered, nobody knows', () => {
  expect(reducer(undefined, SessionActions.asked()).status).toBe('unknown');
});

test('who is signed in, with the gardens', () => {
  const known = reducer(undefined, SessionActions.known({ session: { person, gardens: [summary], demo: false } }));
  expect(known).toMatchObject({ status: 'known', person, gardens: [{ id: 'g' }] });
});

test('a garden is added once, and a changed one takes the place of the old', () => {
  const known = reducer(undefined, SessionActions.known({ session: { person, gardens: [summary], demo: false } }));
  const renamed = reducer(known, SessionActions.gardenAdded({ garden: { ...summary, name: 'New name' } }));
  expect(renamed.gardens.map(({ name }) => name)).toEqual(['New name']);
  expect(reducer(renamed, SessionActions.gardenAdded({ garden: { ...summary, id: 'h' } })).gardens).toHaveLength(2);
});
