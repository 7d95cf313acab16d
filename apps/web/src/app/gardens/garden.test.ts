/** @jest-environment jsdom */
import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { BrowserTestingModule, platformBrowserTesting } from '@angular/platform-browser/testing';
import { provideStore, Store } from '@ngrx/store';
import {
  application,
  assessment,
  contents,
  decision,
  now,
  planting,
  plantingRecord,
  sickness,
  summary,
  today,
} from '../testing/test-garden';
import { Garden } from './garden';
import { GardenActions, gardenFeature } from '../store/garden-state';

beforeAll(() => TestBed.initTestEnvironment(BrowserTestingModule, platformBrowserTesting()));
afterEach(() => TestBed.resetTestingModule());

/** The garden as it is read, over a real store. */
function start(change: Partial<typeof contents> = {}) {
  TestBed.configureTestingModule({
    providers: [provideZonelessChangeDetection(), provideStore({ [gardenFeature.name]: gardenFeature.reducer })],
  });
  const store = TestBed.inject(Store);
  store.dispatch(GardenActions.loaded({ contents: { ...contents, ...change }, seasons: [] }));
  return { garden: TestBed.inject(Garden), store };
}

test('a garden whose clock stands still has its own now and today', () => {
  const { garden } = start();
  expect([garden.now(), garden.today()]).toEqual([now, today]);
});

test.each([
  ['Europe/London', '2026-07-18'],
  ['Pacific/Auckland', '2026-07-19'],
  ['America/Los_Angeles', '2026-07-18'],
])('today is a day of its own time zone: %s', (timeZone, day) => {
  const { garden } = start({ garden: { ...summary, timeZone, fixedNow: '2026-07-18T13:00:00.000Z' } });
  expect(garden.today()).toBe(day);
});

test('without a fixed clock it is now', () => {
  const { garden } = start({ garden: { ...summary, fixedNow: null } });
  expect(Math.abs(Date.parse(garden.now()) - Date.now())).toBeLessThan(60_000);
});

test.each([
  ['owner', true],
  ['member', true],
  ['viewer', false],
] as const)('who may write: %s', (role, may) => {
  expect(start({ garden: { ...summary, role } }).garden.canWrite()).toBe(may);
});

test('records are found by their id, and what is not there is not', () => {
  const { garden } = start();
  expect(garden.planting(planting.id)).toEqual(planting);
  expect(garden.case(sickness.id)).toEqual(sickness);
  expect([garden.place('no'), garden.planting('no'), garden.case('no')]).toEqual([undefined, undefined, undefined]);
});

test('assessments, decisions and applications of one case or planting, in the order of their days', () => {
  const { garden } = start({
    assessments: [{ ...assessment, id: 'late', assessedOn: '2026-07-12' }, assessment, { ...assessment, id: 'other', caseId: 'other' }],
    decisions: [{ ...decision, id: 'late', decidedOn: '2026-07-12' }, decision],
    applications: [{ ...application, id: 'late', appliedAt: '2026-07-12T18:00:00.000Z' }, application],
  });
  expect(garden.assessmentsOf('rust').map(({ id }) => id)).toEqual(['l', 'late']);
  expect(garden.decisionsOf('rust').map(({ id }) => id)).toEqual(['d', 'late']);
  expect(garden.applicationsOn('leeks').map(({ id }) => id)).toEqual(['a', 'late']);
});

test('what is stored or taken back is seen at once', () => {
  const { garden, store } = start();
  store.dispatch(GardenActions.recordStored({ subject: 'plantings', record: { ...planting, cultivar: 'Other', version: 2 } }));
  expect(garden.planting(planting.id)?.cultivar).toBe('Other');
  store.dispatch(GardenActions.recordRemoved({ subject: 'plantings', id: planting.id }));
  expect(garden.plantings()).toEqual([]);
});

test('every case is told in a line: those that are here, on the place where they were then, and those of earlier seasons', () => {
  const past = {
    id: 'old',
    plantingId: 'gone',
    placeId: 'wall',
    host: 'pea',
    openedOn: '2025-06-01',
    closedOn: '2025-07-01',
    conditions: ['mite'],
  };
  const moved = { ...plantingRecord, events: [{ kind: 'moved' as const, on: '2026-07-10', placeId: 'sill', setting: 'indoor' as const }] };
  const { garden } = start({ pastCases: [past, { ...past, id: sickness.id }], plantings: [moved] });
  expect(garden.pastCases().map(({ id }) => id)).toEqual(['old']);
  expect(garden.caseLines()).toEqual([
    past,
    expect.objectContaining({ id: sickness.id, placeId: 'bed', host: 'leek', conditions: ['leek-rust'] }),
  ]);
});

test('a year that reaches into two seasons is here once both are', () => {
  const { garden, store } = start({
    garden: { ...summary, latitude: -40 },
    season: { from: '2026-07-01', to: '2027-06-30' },
    firstSeason: '2024-07-01',
  });
  expect(garden.years()).toEqual(['2024', '2025', '2026']);
  expect(['2024', '2025', '2026'].map((year) => garden.hasYear(year))).toEqual([false, false, false]);
  store.dispatch(GardenActions.seasonLoaded({ from: '2025-07-01', contents: { ...contents, places: [] } }));
  expect(['2024', '2025', '2026'].map((year) => garden.hasYear(year))).toEqual([false, false, true]);
});
