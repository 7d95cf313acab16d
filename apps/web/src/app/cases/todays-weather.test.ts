/** @jest-environment jsdom */
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { BrowserTestingModule, platformBrowserTesting } from '@angular/platform-browser/testing';
import { Garden } from '../gardens/garden';
import { now, summary, today } from '../testing/test-garden';
import { GardenWeather } from '../weather/garden-weather';
import { TodaysWeather } from './todays-weather';

beforeAll(() => TestBed.initTestEnvironment(BrowserTestingModule, platformBrowserTesting()));
afterEach(() => TestBed.resetTestingModule());

function weatherOf(day = signal(today)) {
  const hour = { at: now, temperatureC: 15, windKmh: 10, rainMm: 0, rh: 60, wet: null };
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      { provide: Garden, useValue: { summary: signal(summary), today: day, now: () => now } },
      { provide: GardenWeather, useValue: { measured: () => [hour], forecast: () => [] } },
    ],
  });
  return TestBed.inject(TodaysWeather);
}

test('the station is believed outdoors and under cover, and says nothing of a room', () => {
  const weather = weatherOf();
  expect(['outdoor', 'greenhouse', undefined].map((setting) => weather.said(setting).temperatureC)).toEqual([15, 15, 15]);
  expect(weather.said('indoor')).toEqual({ temperatureC: null, warmestC: null, windKmh: null, rainInHours: null, daysToFrost: null });
});

test('what was typed goes before it everywhere, until the day is over', () => {
  const day = signal(today);
  const weather = weatherOf(day);
  weather.set('temperatureC', 22);
  expect([weather.said('outdoor').temperatureC, weather.said('indoor').temperatureC]).toEqual([22, 22]);
  day.set('2026-07-19');
  expect([weather.said('outdoor').temperatureC, weather.said('indoor').temperatureC]).toEqual([15, null]);
});
