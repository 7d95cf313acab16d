/** @jest-environment jsdom */
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { BrowserTestingModule, platformBrowserTesting } from '@angular/platform-browser/testing';
import type { WeatherAnswer } from '@field-nurse/contract';
import { hourMs } from '@field-nurse/core/timing';
import { of, Subject, throwError } from 'rxjs';
import type { Observable } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Offline } from '../offline/offline';
import { now, summary, today } from '../testing/test-garden';
import { GardenWeather } from './garden-weather';

const hour = { temperatureC: 18, humidityPercent: 60, rainMm: 0, windKmh: 6, leafWetMinutes: null };
const hoursFrom = (start: string, count: number) =>
  Array.from({ length: count }, (_, i) => ({ ...hour, at: new Date(Date.parse(start) + i * hourMs).toISOString() }));
const answer: WeatherAnswer = {
  hours: hoursFrom('2026-07-15T09:00:00.000Z', 72),
  forecast: { issuedAt: '2026-07-18T08:00:00.000Z', hours: hoursFrom('2026-07-18T08:00:00.000Z', 30) },
  station: { name: 'Weir', simulated: true, readAt: now, failedAt: null },
};

beforeAll(() => TestBed.initTestEnvironment(BrowserTestingModule, platformBrowserTesting()));
afterEach(() => TestBed.resetTestingModule());

/** A book over an api that answers as it is told, and a device that keeps what it is given. */
function start(first: () => Observable<WeatherAnswer>) {
  let reply = first;
  const asked: string[][] = [];
  const kept = new Map<string, WeatherAnswer>();
  const open = signal(summary);
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      {
        provide: Api,
        useValue: {
          weather: (...question: string[]) => {
            asked.push(question);
            return reply();
          },
        },
      },
      { provide: Garden, useValue: { summary: open, now: () => now, today: () => today } },
      {
        provide: Offline,
        useValue: {
          saveWeather: async (garden: string, one: WeatherAnswer) => void kept.set(garden, one),
          weather: async (garden: string) => kept.get(garden),
        },
      },
    ],
  });
  const book = TestBed.inject(GardenWeather);
  return { book, asked, kept, open, answerWith: (next: typeof first) => (reply = next) };
}

const gone = () => throwError(() => new ApiError(0, 'offline', 'No answer.'));

test('three days back are asked for, and kept on the device', async () => {
  const { book, asked, kept } = start(() => of(answer));
  await book.load();
  expect(asked.at(-1)).toEqual(['g', '2026-07-14T23:00:00Z', now]);
  expect(kept.get('g')).toBe(answer);
  expect(book.recent()).toEqual({ wetHours: 0, maxC: 18 });
});

test('only hours to come are a forecast, and hours to spray in lie in them', async () => {
  const { book } = start(() => of(answer));
  await book.load();
  expect(book.forecast()[0]!.at).toBe('2026-07-18T10:00:00.000Z');
  expect(book.windows()[0]!.from).toBe('2026-07-18T10:00:00.000Z');
});

test('without signal it is what the device last knew, with a word why; and with signal the word goes', async () => {
  const { book, answerWith } = start(() => of(answer));
  await book.load();
  answerWith(gone);
  await book.load();
  expect(book.measured()).toHaveLength(72);
  expect(book.fault()).toBe('No answer.');
  answerWith(() => of(answer));
  await book.load();
  expect(book.fault()).toBe('');
});

test('a device that knows nothing shows nothing and invents nothing', async () => {
  const { book } = start(gone);
  await book.load();
  expect(book.answer()).toBeNull();
  expect(book.recent()).toBeUndefined();
  expect(book.windows()).toEqual([]);
});

test('an answer for a garden that was left meanwhile is not shown in the next', async () => {
  const late = new Subject<WeatherAnswer>();
  const { book, open } = start(() => late);
  const loading = book.load();
  open.set({ ...summary, id: 'other' });
  late.next(answer);
  late.complete();
  await loading;
  expect(book.answer()).toBeNull();
});
