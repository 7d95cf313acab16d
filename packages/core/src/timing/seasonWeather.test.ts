import { seasonWeather } from './seasonWeather.js';
import type { WeatherDay } from './weatherDays.js';

const day = (n: number, change: Partial<WeatherDay> = {}): WeatherDay => ({
  day: `2026-04-${String(n).padStart(2, '0')}`,
  minC: 4,
  maxC: 12,
  rainMm: 0,
  wetHours: 2,
  maxWindKmh: 10,
  missing: 0,
  ...change,
});
const unknown = { minC: null, maxC: null, rainMm: null, wetHours: null, maxWindKmh: null, missing: 24 };

test('rain, frost and warmth of a run of days', () => {
  const days = [day(1, { rainMm: 0.4 }), day(2, { rainMm: 1, minC: 0 }), day(3, { rainMm: 7.2, minC: -2 }), day(4, { maxC: 19 }), day(5)];
  expect(seasonWeather(days)).toEqual({
    rainMm: expect.closeTo(8.6) as number,
    rainDays: 2,
    frostDays: 2,
    lastFrost: '2026-04-03',
    warmest: { day: '2026-04-04', maxC: 19 },
    longestDry: { from: '2026-04-04', days: 2 },
    poorlyKnown: 0,
  });
});

test('the longest dry run is the first of its length; a day that nobody measured ends it, for it may have rained', () => {
  const days = [
    day(1),
    day(2),
    day(3, unknown),
    day(4),
    day(5, { missing: 7 }),
    day(6, { rainMm: 3 }),
    day(7),
    day(8),
    day(9, { rainMm: 2 }),
  ];
  expect(seasonWeather(days)).toMatchObject({ longestDry: { from: '2026-04-01', days: 2 }, poorlyKnown: 2 });
  expect(seasonWeather([day(1, { rainMm: 2 }), day(2)]).longestDry).toBeNull();
});

test('of no days there is nothing', () => {
  expect(seasonWeather([])).toEqual({
    rainMm: 0,
    rainDays: 0,
    frostDays: 0,
    lastFrost: null,
    warmest: null,
    longestDry: null,
    poorlyKnown: 0,
  });
});
