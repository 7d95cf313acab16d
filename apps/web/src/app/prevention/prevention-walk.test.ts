/** @jest-environment jsdom */
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { BrowserTestingModule, platformBrowserTesting } from '@angular/platform-browser/testing';
import type { Place, PreventionTask, Trap } from '@field-nurse/contract';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { place, summary, today } from '../testing/test-garden';
import { PreventionWalk } from './prevention-walk';

beforeAll(() => TestBed.initTestEnvironment(BrowserTestingModule, platformBrowserTesting()));
afterEach(() => TestBed.resetTestingModule());

const task = (id: string, months: number[]) => ({
  id,
  round: 'prevention',
  name: id,
  ask: 'Is it?',
  why: 'So.',
  prevents: ['slugs'],
  kinds: ['bed'],
  months,
  everyDays: 30,
});
const summer = task('summer', [6, 7, 8]);
const mould = { ...task('mould', [7]), round: 'around' };
const winter = task('winter', [12, 1, 2]);

interface Given {
  readonly latitude?: number | null;
  readonly loaded?: boolean;
  readonly places?: readonly Place[];
  readonly traps?: readonly Trap[];
}

function start({ latitude = 51, loaded = true, places = [place], traps = [] }: Given = {}) {
  const preventionTasks = signal<PreventionTask[]>([]);
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      {
        provide: Garden,
        useValue: {
          places: signal(places),
          traps: signal(traps),
          catches: signal([]),
          preventionTasks,
          today: () => today,
          summary: signal({ ...summary, latitude }),
        },
      },
      { provide: Library, useValue: { index: () => (loaded ? { tasks: [summer, winter, mould] } : undefined) } },
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

const box: Trap = {
  id: 'box',
  version: 1,
  placeId: place.id,
  name: 'Box',
  kind: 'snap',
  target: null,
  spots: [{ from: '2026-07-01', name: 'by the wall', x: null, y: null }],
  weeklyLevel: null,
  pauses: [],
  note: '',
  endedOn: null,
};

test('what lives around the plants is a round of its own, with the traps that catch it', () => {
  const { walk } = start({ traps: [box, { ...box, id: 'card', kind: 'sticky-card' }, { ...box, id: 'gone', endedOn: '2026-07-10' }] });
  expect(walk.around().flatMap(({ tasks }) => tasks.map(({ task: id }) => id))).toEqual(['mould']);
  expect(walk.traps().map(({ trap }) => trap.id)).toEqual(['box']);
  expect(walk.aroundDue()).toBe(2);
  expect(walk.hasAround()).toBe(true);
});

test('a trap that rests wants no look; and nobody is sent round where nothing is kept or stored', () => {
  const resting = { ...box, pauses: [{ from: '2026-07-02', until: null }] };
  expect(start({ traps: [resting] }).walk.traps()).toMatchObject([{ dueOn: null, isDue: false }]);
  TestBed.resetTestingModule();
  expect(start().walk.hasAround()).toBe(false);
  TestBed.resetTestingModule();
  expect(start({ places: [{ ...place, kind: 'housing' }] }).walk.hasAround()).toBe(true);
  TestBed.resetTestingModule();
  expect(start({ places: [{ ...place, kind: 'store', endedOn: '2026-07-01' }] }).walk.hasAround()).toBe(false);
});
