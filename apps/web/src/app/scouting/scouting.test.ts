/** @jest-environment jsdom */
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { BrowserTestingModule, platformBrowserTesting } from '@angular/platform-browser/testing';
import type { ScoutingRound, Stop } from '@field-nurse/contract';
import { Calc } from '../calc/calc';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { now, place, planting, summary, today } from '../testing/test-garden';
import { GardenWeather } from '../weather/garden-weather';
import { Scouting } from './scouting';

beforeAll(() => TestBed.initTestEnvironment(BrowserTestingModule, platformBrowserTesting()));
afterEach(() => TestBed.resetTestingModule());

const round: ScoutingRound = {
  id: 'r',
  version: 1,
  startedAt: '2026-07-18T07:00:00.000Z',
  endedAt: null,
  by: 'Wren',
  walk: ['a', 'b', 'c'],
  clockMended: false,
};
const made = (plantingId: string, lookedAt = '2026-07-18T07:10:00.000Z') => ({ roundId: 'r', plantingId, lookedAt, found: false }) as Stop;

/** A book over a garden of three plantings, looked at five days ago. */
function start({ stops = [] as Stop[], rounds = [round], wetHours = 0 } = {}) {
  const plantings = ['a', 'b', 'c'].map((id) => ({ ...planting, id }));
  const before = plantings.map(({ id }) => ({ ...made(id, '2026-07-13T07:00:00.000Z'), roundId: 'before' }));
  const kept: unknown[][] = [];
  const list = <T>(value: T) => signal(value);
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      {
        provide: Garden,
        useValue: {
          summary: list(summary),
          places: list([place]),
          plantings: list(plantings),
          caseLines: list([]),
          cases: list([]),
          decisions: list([]),
          assessments: list([]),
          stops: list([...before, ...stops]),
          scoutingRounds: list(rounds),
          now: () => now,
          today: () => today,
          planting: (id: string) => plantings.find((one) => one.id === id),
        },
      },
      { provide: Library, useValue: { conditions: () => new Map(), conditionName: (id: string) => id } },
      { provide: Calc, useValue: { whereToLook: async () => [] } },
      { provide: Records, useValue: { keep: async (...write: unknown[]) => void kept.push(write) } },
      { provide: GardenWeather, useValue: { recent: () => (wetHours ? { wetHours, maxC: 20 } : undefined) } },
    ],
  });
  return { book: TestBed.inject(Scouting), kept };
}

test('the round that is under way is the newest that nobody ended', () => {
  const older = { ...round, id: 'old', startedAt: '2026-07-11T07:00:00.000Z' };
  const ended = { ...round, id: 'done', startedAt: '2026-07-18T08:00:00.000Z', endedAt: '2026-07-18T09:00:00.000Z' };
  expect(start({ rounds: [older, round, ended] }).book.underWay()?.id).toBe('r');
  TestBed.resetTestingModule();
  expect(start({ rounds: [ended] }).book.underWay()).toBeUndefined();
});

test('the next stop is the next of the walk that was not made; passed ones come at the end', () => {
  const { book } = start({ stops: [made('b')] });
  expect(book.next(round)).toBe('a');
  expect(book.next(round, 'a')).toBe('c');
  expect(book.next(round, 'c')).toBe('a');
});

test('a walk of which all is made has no next stop, and a planting that is gone is none', () => {
  expect(start({ stops: [made('a'), made('b'), made('c')] }).book.next(round)).toBeUndefined();
  TestBed.resetTestingModule();
  expect(start().book.next({ ...round, walk: ['gone', 'c'] })).toBe('c');
});

test('a wet spell brings the assessments nearer, with its reason', () => {
  expect(start().book.due()).toHaveLength(0);
  TestBed.resetTestingModule();
  const { book } = start({ wetHours: 40 });
  expect(book.due().map(({ id }) => id)).toEqual(['a', 'b', 'c']);
  expect(book.due()[0]!.why.map(({ code }) => code)).toContain('wet');
});

test('beginning and ending are kept on the device, by the garden’s clock', async () => {
  const { book, kept } = start();
  const id = await book.begin(['c', 'a'], 'Isa');
  await book.end(round);
  expect(kept).toEqual([
    ['scoutingRounds', id, 0, { startedAt: now, endedAt: null, by: 'Isa', walk: ['c', 'a'] }],
    ['scoutingRounds', 'r', 1, { startedAt: round.startedAt, by: 'Wren', walk: round.walk, endedAt: now }, round],
  ]);
});
