import { contents, place, planting, summary } from '../testing/test-garden';
import { GardenActions, gardenFeature } from './garden-state';

const { reducer, name } = gardenFeature;
const opened = reducer(undefined, GardenActions.opened({ garden: 'g' }));
const loaded = reducer(opened, GardenActions.loaded({ contents, seasons: [] }));
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

test('what came since goes on top, what was taken out is gone, and the garden is up to date again', () => {
  const behind = reducer(loaded, GardenActions.fellBehind({ asOf: '2026-07-17T20:00:00.000Z' }));
  expect(behind.asOf).toBe('2026-07-17T20:00:00.000Z');
  const records = [
    { subject: 'places' as const, id: 'sill', record: { ...place, id: 'sill' } },
    { subject: 'places' as const, id: 'bed', record: null },
  ];
  const now = reducer(behind, GardenActions.caughtUp({ garden: { ...summary, name: 'New name' }, records }));
  expect([places(now).map(({ id }) => id), now.garden?.name, now.asOf]).toEqual([['sill'], 'New name', null]);
});

test('an older season adds its records, and says why if it does not come', () => {
  const older = { ...contents, places: [], plantings: [{ ...planting, id: 'peas' }] };
  const both = reducer(loaded, GardenActions.seasonLoaded({ from: '2025-01-01', contents: older }));
  expect(gardenFeature.selectPlantings({ [name]: both }).map(({ id }) => id)).toEqual([planting.id, 'peas']);
  expect([places(both), both.seasons]).toEqual([[place], ['2025-01-01']]);
  const failed = reducer(both, GardenActions.seasonFailed({ message: 'No answer.' }));
  expect(failed.seasonFault).toBe('No answer.');
  expect(reducer(failed, GardenActions.seasonOpened({ day: '2024-01-01' })).seasonFault).toBe('');
});

test('what comes again as it is known stays the very same, whatever the order of its fields', () => {
  const turned = Object.fromEntries(Object.entries(place).reverse()) as unknown as typeof place;
  const records = [{ subject: 'places' as const, id: place.id, record: turned }];
  const again = reducer(loaded, GardenActions.caughtUp({ garden: { ...summary }, records }));
  expect(again.records).toBe(loaded.records);
  expect(again.garden).toBe(loaded.garden);
});

test('an answer that was overtaken on the way takes nothing back', () => {
  const stored = reducer(loaded, GardenActions.recordStored({ subject: 'places', record: { ...place, version: 3, name: 'Long bed' } }));
  const records = [{ subject: 'places' as const, id: place.id, record: { ...place, version: 2, name: 'Old bed' } }];
  expect(places(reducer(stored, GardenActions.caughtUp({ garden: summary, records })))).toMatchObject([{ name: 'Long bed' }]);
  const older = { ...contents, places: [{ ...place, version: 2, name: 'Old bed' }] };
  expect(places(reducer(stored, GardenActions.seasonLoaded({ from: '2025-01-01', contents: older })))).toMatchObject([
    { name: 'Long bed' },
  ]);
});

test('what is kept here until there is signal is on the page at once, and gives way to what the server says of it', () => {
  const kept = reducer(loaded, GardenActions.recordKept({ subject: 'places', record: { ...place, version: 2, name: 'Mine' } }));
  expect(places(kept)).toMatchObject([{ name: 'Mine' }]);
  expect(places(reducer(kept, GardenActions.recordStored({ subject: 'places', record: place })))).toEqual([place]);
});

test('thousands of records that come are put in at once: one copy of what is there, not one for each', () => {
  const many = Array.from({ length: 20_000 }, (_, i) => ({ ...place, id: `p${i}` }));
  const began = performance.now();
  const more = reducer(loaded, GardenActions.seasonLoaded({ from: '2025-01-01', contents: { ...contents, places: many } }));
  // Copied each time it would be minutes.
  expect(performance.now() - began).toBeLessThan(3000);
  expect(places(more)).toHaveLength(20_001);
});
