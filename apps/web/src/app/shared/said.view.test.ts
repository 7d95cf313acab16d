import { jest } from '@jest/globals';
import { fireEvent } from '@testing-library/dom';
import { TestBed } from '@angular/core/testing';
import { provideZonelessChangeDetection } from '@angular/core';
import { BrowserTestingModule, platformBrowserTesting } from '@angular/platform-browser/testing';
import { Said } from './said';

beforeAll(() => TestBed.initTestEnvironment(BrowserTestingModule, platformBrowserTesting()));
beforeEach(() => {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
  jest.useFakeTimers();
});
afterEach(() => jest.useRealTimers());

const notes = () => [...document.querySelectorAll('fn-said-note[role=status] span')].map((note) => note.textContent.trim());

test('what was done is said until it has had its time, and the next word takes its place', () => {
  const said = TestBed.inject(Said);
  said.say('Place saved.', 4000);
  said.say('Planting saved.', 4000);
  jest.advanceTimersByTime(1);
  expect(notes()).toEqual(['Planting saved.']);
  jest.advanceTimersByTime(4001);
  expect(notes()).toEqual([]);
});

test('undo is offered where there is a way back, and taken once', () => {
  const said = TestBed.inject(Said);
  const undone = jest.fn();
  said.say('Case closed.', 8000, undone);
  jest.advanceTimersByTime(1);
  fireEvent.click(document.querySelector('fn-said-note button')!);
  expect(undone).toHaveBeenCalledTimes(1);
  expect(notes()).toEqual([]);
});

test.each([
  ['beside what was tapped', 'main', '.cdk-overlay-connected-position-bounding-box'],
  ['under the head, where that led away', 'header', '.cdk-global-overlay-wrapper'],
])('it stands %s', (_, root, where) => {
  const said = TestBed.inject(Said);
  const [frame, button] = [document.createElement(root), document.createElement('button')];
  frame.append(button);
  document.body.append(frame);
  fireEvent.click(button);
  said.say('Done.', 4000);
  expect(document.querySelector(`${where} fn-said-note`)).not.toBeNull();
  frame.remove();
});
