import { contents, place, planting, summary } from '../testing/test-garden';
import { GardenActions, gardenFeature } from './garden-state';

const { reducer, name } = gardenFeature;
const opened = reducer(undefined, GardenActions.opened({ garden: 'g' }));
const loaded = reducer(opened, GardenActions.loaded({ contents, asOf: null }));
const places = (state: typeof loaded) => gardenFeature.selectPlaces({ [name]: state });

test('opening shows that it loads; what came is there', () => {
  expect(opened.status).toBe('loading');
  expect(loaded.status).toBe('open');
  expect(places(loaded)).toEqual([place]);
});

test('opening the same garden again keeps what is there; another one starts afresh', () => {
  expect(reducer(loaded, GardenActions.opened({ garden: 'g' }))).toBe(loaded);
  const other = reducer(loaded, GardenActions.opened({ garden: 'h' }));
  expect(other.status).toBe('loading');
  expect(places(other)).toEqual([]);
});

test('a failure keeps its words', () => {
  expect(reducer(opened, GardenActions.failed({ message: 'no' }))).toMatchObject({ status: 'failed', message: 'no' });
});

test('a stored record is added or takes the place of the old one; a removed one is gone', () => {
  const renamed = reducer(loaded, GardenActions.recordStored({ subject: 'places', record: { ...place, version: 2, name: 'Long bed' } }));
  expect(places(renamed)).toMatchObject([{ name: 'Long bed', version: 2 }]);
  const more = reducer(renamed, GardenActions.recordStored({ subject: 'places', record: { ...place, id: 'sill' } }));
  expect(places(more).map(({ id }) => id)).toEqual(['bed', 'sill']);
  expect(places(reducer(more, GardenActions.recordRemoved({ subject: 'places', id: 'bed' }))).map(({ id }) => id)).toEqual(['sill']);
});

test('a change of one subject leaves the others as they were', () => {
  const changed = reducer(loaded, GardenActions.recordStored({ subject: 'plantings', record: { ...planting, plants: 3 } }));
  expect(changed.records.places).toBe(loaded.records.places);
});

test('settings change in place', () => {
  expect(reducer(loaded, GardenActions.settingsChanged({ garden: { ...summary, name: 'New name' } })).garden?.name).toBe('New name');
});

test('the whole garden is read back as it came, for the copy on this device', () => {
  expect(gardenFeature.selectContents({ [name]: loaded })).toEqual(contents);
  expect(gardenFeature.selectContents({ [name]: opened })).toBeNull();
});
