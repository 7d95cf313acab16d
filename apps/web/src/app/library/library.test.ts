/** @jest-environment jsdom */
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { BrowserTestingModule, platformBrowserTesting } from '@angular/platform-browser/testing';
import { Store } from '@ngrx/store';
import { of, Subject, throwError } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Library } from './library';

beforeAll(() => TestBed.initTestEnvironment(BrowserTestingModule, platformBrowserTesting()));
afterEach(() => TestBed.resetTestingModule());

const others = { hosts: [], checks: [], regions: [], languages: [] };
const part = (name: string, version = '1') => ({
  version,
  conditions: [],
  signs: [],
  checks: [],
  ...(name === 'diagnosis' ? others : {}),
  interventions: [],
  tasks: [],
});

/** The library over a server that answers each asking by the next of these. */
function over(answers: Record<string, (() => unknown)[]>) {
  const asked: string[] = [];
  const libraryPart = (name: string) => {
    asked.push(name);
    return answers[name]!.length > 1 ? answers[name]!.shift()!() : answers[name]![0]!();
  };
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      { provide: Api, useValue: { libraryPart } },
      { provide: Store, useValue: { selectSignal: () => signal([]) } },
    ],
  });
  return { library: TestBed.inject(Library), asked };
}

test('the first part is known before the whole is there', async () => {
  const rest = new Subject<object>();
  const { library } = over({ diagnosis: [() => of(part('diagnosis'))], treatment: [() => rest] });
  await library.first();
  expect([library.known()?.version, library.index()]).toEqual(['1', undefined]);
  rest.next(part('treatment'));
  rest.complete();
  await library.whole();
  expect(library.index()?.version).toBe('1');
});

test('a release between the two parts has the first one fetched anew', async () => {
  const { library, asked } = over({
    diagnosis: [() => of(part('diagnosis', '1')), () => of(part('diagnosis', '2'))],
    treatment: [() => of(part('treatment', '2'))],
  });
  await library.whole();
  expect(asked).toEqual(['diagnosis', 'treatment', 'diagnosis']);
  expect(library.index()?.version).toBe('2');
});

test('what failed is said, asked again, and no longer said once it is there', async () => {
  const down = () => throwError(() => new ApiError(0, 'offline', 'The server does not answer.'));
  const { library } = over({ diagnosis: [down, () => of(part('diagnosis'))], treatment: [() => of(part('treatment'))] });
  await expect(library.whole()).rejects.toThrow();
  expect(library.failed()).toBe('The server does not answer.');
  await library.whole();
  expect([library.failed(), library.index()?.version]).toEqual([undefined, '1']);
});
