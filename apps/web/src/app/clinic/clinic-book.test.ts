/** @jest-environment jsdom */
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { BrowserTestingModule, platformBrowserTesting } from '@angular/platform-browser/testing';
import type { ClinicReport, ClinicSample } from '@field-nurse/contract';
import { of, throwError } from 'rxjs';
import type { Observable } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Offline } from '../offline/offline';
import { now, sample, summary } from '../testing/test-garden';
import { ClinicSamples } from './clinic-samples';

const sent: ClinicSample = { ...sample, sentOn: '2026-07-07' };
const other: ClinicSample = { ...sample, id: 'later', caseId: 'moth', registeredOn: '2026-07-09' };
const found = { condition: 'leek-rust', result: 'positive', sensitivity: 0.9, specificity: 0.95 } as const;
const report: ClinicReport = {
  sample: 's',
  reference: 'RB-1',
  status: 'reported',
  since: '2026-07-14',
  results: [found],
  askedAt: now,
  failedAt: null,
};

beforeAll(() => TestBed.initTestEnvironment(BrowserTestingModule, platformBrowserTesting()));
afterEach(() => TestBed.resetTestingModule());

/** A book over an api that answers as it is told, and a device that keeps what it is given. */
function start(first: () => Observable<readonly ClinicReport[]>, written: readonly ClinicSample[] = [other, sent]) {
  let reply = first;
  const calls: string[] = [];
  const kept = new Map<string, readonly ClinicReport[]>();
  const answer = (name: string) => (garden: string) => {
    calls.push(`${name} ${garden}`);
    return reply();
  };
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      { provide: Api, useValue: { clinicReports: answer('read'), askClinics: answer('ask') } },
      { provide: Garden, useValue: { id: signal(summary.id), summary: signal(summary), now: () => now, clinicSamples: signal(written) } },
      {
        provide: Offline,
        useValue: {
          saveClinicReports: async (garden: string, reports: readonly ClinicReport[]) => void kept.set(garden, reports),
          clinicReports: async (garden: string) => kept.get(garden),
        },
      },
    ],
  });
  const book = TestBed.inject(ClinicSamples);
  return { book, calls, kept, answerWith: (next: typeof first) => (reply = next) };
}

const gone = () => throwError(() => new ApiError(0, 'offline', 'No answer.'));

test('samples stand in the order of registering, each with what its clinic said', async () => {
  const { book, kept } = start(() => of([report]));
  await book.load();
  expect(book.states().map(({ sample: { id }, step }) => [id, step])).toEqual([
    ['s', 'reported'],
    ['later', 'to-pack'],
  ]);
  expect(kept.get('g')).toEqual([report]);
});

test('a case is told its own results only', async () => {
  const { book } = start(() => of([report]));
  await book.load();
  expect(book.of('rust').map(({ reference }) => reference)).toEqual(['RB-1']);
  expect(book.testsOf('rust')).toEqual([found]);
  expect(book.testsOf('moth')).toEqual([]);
});

test('a garden without samples asks nobody', async () => {
  const { book, calls } = start(() => of([report]), []);
  await book.load();
  await book.ask();
  expect(calls).toEqual([]);
  expect(book.states()).toEqual([]);
});

test('asking now asks the clinics, not just the server', async () => {
  const { book, calls } = start(() => of([]));
  await book.ask();
  expect(calls).toContain('ask g');
});

test('without signal it is what the device last knew, with a word why; with signal the word goes', async () => {
  const { book, answerWith } = start(() => of([report]));
  await book.load();
  answerWith(gone);
  await book.load();
  expect(book.testsOf('rust')).toEqual([found]);
  expect(book.fault()).toBe('No answer.');
  answerWith(() => of([report]));
  await book.load();
  expect(book.fault()).toBe('');
});

test('a device that knows nothing keeps what was written, and invents no result', async () => {
  const { book } = start(gone);
  await book.load();
  expect(book.states().map(({ step }) => step)).toEqual(['under-way', 'to-pack']);
  expect(book.testsOf('rust')).toEqual([]);
});
