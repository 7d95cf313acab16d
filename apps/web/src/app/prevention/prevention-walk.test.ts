/** @jest-environment jsdom */
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { BrowserTestingModule, platformBrowserTesting } from '@angular/platform-browser/testing';
import type { PreventionTask } from '@field-nurse/contract';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { place, summary, today } from '../testing/test-garden';
import { PreventionWalk } from './prevention-walk';

beforeAll(() => TestBed.initTestEnvironment(BrowserTestingModule, platformBrowserTesting()));
afterEach(() => TestBed.resetTestingModule());

const task = (id: string, months: number[]) => ({
  id,
  name: id,
  ask: 'Is it?',
  why: 'So.',
  prevents: ['slugs'],
  kinds: ['bed'],
  months,
  everyDays: 30,
});
const summer = task('summer', [6, 7, 8]);
const winter = task('winter', [12, 1, 2]);

function start({ latitude = 51, loaded = true }: { latitude?: number | null; loaded?: boolean } = {}) {
  const preventionTasks = signal<PreventionTask[]>([]);
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      {
        provide: Garden,
        useValue: { places: signal([place]), preventionTasks, today: () => today, summary: signal({ ...summary, latitude }) },
      },
      { provide: Library, useValue: { index: () => (loaded ? { tasks: [summer, winter] } : undefined) } },
    ],
  });
  return { walk: TestBed.inject(PreventionWalk), preventionTasks };
}
const dueOf = (walk: PreventionWalk) => walk.places().flatMap(({ tasks }) => tasks.filter(({ isDue }) => isDue).map(({ task: id }) => id));

test('in July the north does the summer’s work, the south the winter’s', () => {
  expect(dueOf(start().walk)).toEqual(['summer']);
  TestBed.resetTestingModule();
  expect(dueOf(start({ latitude: -36 }).walk)).toEqual(['winter']);
});

test('a garden that does not say where it lies is taken for northern', () => {
  expect(dueOf(start({ latitude: null }).walk)).toEqual(['summer']);
});

test('what is answered is done at once, here and in the sum', () => {
  const { walk, preventionTasks } = start();
  expect(walk.due()).toBe(1);
  preventionTasks.set([{ id: 'c', version: 1, placeId: place.id, task: 'summer', doneOn: today, outcome: 'fine', amount: null, note: '' }]);
  expect(walk.due()).toBe(0);
});

test('before the library is there nothing is asked', () => {
  expect(start({ loaded: false }).walk.places()).toEqual([]);
});
