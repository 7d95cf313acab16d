/** @jest-environment jsdom */
import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { BrowserTestingModule, platformBrowserTesting } from '@angular/platform-browser/testing';
import { Theme, themeNames } from './theme';

beforeAll(() => TestBed.initTestEnvironment(BrowserTestingModule, platformBrowserTesting()));
beforeEach(() => localStorage.clear());
afterEach(() => {
  TestBed.resetTestingModule();
  document.documentElement.removeAttribute('data-theme');
});

function start() {
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
  const theme = TestBed.inject(Theme);
  TestBed.tick();
  return theme;
}
const shown = () => document.documentElement.getAttribute('data-theme');

test('without a choice it is as the device says', () => {
  expect(start().name()).toBe('auto');
  expect(shown()).toBeNull();
});

test('a choice is shown, and kept for the next time', () => {
  const theme = start();
  theme.name.set('sun');
  TestBed.tick();
  expect(shown()).toBe('sun');
  TestBed.resetTestingModule();
  expect(start().name()).toBe('sun');
  expect(shown()).toBe('sun');
});

test('one button goes round all of them', () => {
  const theme = start();
  const seen = themeNames.map(() => (theme.next(), theme.name()));
  expect([...seen].sort()).toEqual([...themeNames].sort());
  expect(theme.name()).toBe('auto');
});

test('a name that is none, left by an older version, is as no choice', () => {
  localStorage.setItem('field-nurse-theme', 'neon');
  expect(start().name()).toBe('auto');
});

test('where storage is off, the choice lasts as long as the page', () => {
  const { setItem } = Storage.prototype;
  Storage.prototype.setItem = () => {
    throw new Error('off');
  };
  const theme = start();
  theme.name.set('dark');
  TestBed.tick();
  expect(shown()).toBe('dark');
  Storage.prototype.setItem = setItem;
});
