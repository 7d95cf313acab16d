import fc from 'fast-check';
import { hourMs, leafWetMinutes, recentWeather, sprayWindows, usualSprayLimits, weatherDays } from './index';
import type { WeatherHour } from './index';

const dry: Omit<WeatherHour, 'at'> = { temperatureC: 16, humidityPercent: 60, rainMm: 0, windKmh: 6, leafWetMinutes: null };
const from = (start: string, count: number, change: (i: number) => Partial<WeatherHour> = () => ({})): WeatherHour[] =>
  Array.from({ length: count }, (_, i) => ({ ...dry, at: new Date(Date.parse(start) + i * hourMs).toISOString(), ...change(i) }));

test.each([
  ['the sensor goes before all else', { leafWetMinutes: 20, rainMm: 5 }, 20],
  ['rain wets', { rainMm: 0.2 }, 60],
  ['so does air at 90 %', { humidityPercent: 90 }, 60],
  ['and 89 % does not', { humidityPercent: 89 }, 0],
  ['nothing known, nothing said', { rainMm: null, humidityPercent: null }, null],
])('wet leaves: %s', (_, change, minutes) => {
  expect(leafWetMinutes({ ...dry, at: '2026-07-18T00:00:00Z', ...change })).toBe(minutes);
});

test('a day on the garden’s calendar is put together from its own hours', () => {
  // Midnight in London in summer is eleven at night in UTC.
  const hours = from('2026-07-17T23:00:00Z', 24, (i) => ({ temperatureC: 10 + i / 2, rainMm: i < 3 ? 1.5 : 0 }));
  expect(weatherDays(hours, 'Europe/London', '2026-07-18', '2026-07-18')).toEqual([
    { day: '2026-07-18', minC: 10, maxC: 21.5, rainMm: 4.5, wetHours: 3, maxWindKmh: 6, missing: 0 },
  ]);
});

test('hours that nobody measured are missing, and not filled in', () => {
  const hours = from('2026-07-17T23:00:00Z', 24).filter((_, i) => i < 5 || i >= 11);
  const nothing = { temperatureC: null, humidityPercent: null, rainMm: null, windKmh: null };
  const [day, next] = weatherDays([...hours.slice(1), { ...hours[0]!, ...nothing }], 'Europe/London', '2026-07-18', '2026-07-19');
  expect(day!.missing).toBe(7);
  expect(next).toEqual({ day: '2026-07-19', minC: null, maxC: null, rainMm: null, wetHours: null, maxWindKmh: null, missing: 24 });
});

test('the days on which the clocks change have 23 and 25 hours', () => {
  const missing = (day: string) => weatherDays([], 'Europe/London', day, day)[0]!.missing;
  expect([missing('2026-03-29'), missing('2026-10-25'), missing('2026-07-01')]).toEqual([23, 25, 24]);
  expect(() => weatherDays([], 'UTC', '2026-07-02', '2026-07-01')).toThrow('requires to ≥ from');
});

test('rain of the days adds up to the rain of the hours, in any time zone', () => {
  const zones = ['UTC', 'Europe/London', 'Pacific/Auckland', 'Asia/Kolkata'];
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 40 }), { minLength: 48, maxLength: 48 }), fc.constantFrom(...zones), (rain, zone) => {
      const hours = from('2026-07-10T00:00:00Z', 48, (i) => ({ rainMm: rain[i]! }));
      const days = weatherDays(hours, zone, '2026-07-08', '2026-07-13');
      expect(days.reduce((so, day) => so + (day.rainMm ?? 0), 0)).toBe(rain.reduce((so, mm) => so + mm, 0));
    }),
  );
});

test('the last three days: wet hours and the warmest; too little known says nothing', () => {
  const hours = from('2026-07-15T09:00:00Z', 72, (i) => ({ humidityPercent: i % 4 === 0 ? 95 : 70, temperatureC: i === 40 ? 31 : 18 }));
  expect(recentWeather(hours, '2026-07-18T09:00:00Z')).toEqual({ wetHours: 18, maxC: 31 });
  expect(recentWeather(hours.slice(0, 30), '2026-07-18T09:30:00Z')).toBeNull();
  expect(recentWeather(hours, '2026-07-30T09:30:00Z')).toBeNull();
});

test('windows lie by day, before the rain by the hours that a film needs', () => {
  const hours = from('2026-07-18T00:00:00Z', 24, (i) => ({ rainMm: i === 15 ? 2 : 0 }));
  expect(sprayWindows([...hours, ...from('2026-07-19T00:00:00Z', 4)], 'UTC')).toEqual([
    { from: '2026-07-18T05:00:00.000Z', until: '2026-07-18T11:00:00.000Z' },
    { from: '2026-07-18T16:00:00.000Z', until: '2026-07-18T21:00:00.000Z' },
  ]);
});

test.each([
  ['wind', { windKmh: usualSprayLimits.maxWindKmh + 1 }],
  ['heat', { temperatureC: usualSprayLimits.maxC + 1 }],
  ['cold', { temperatureC: usualSprayLimits.minC - 1 }],
  ['rain that is not known', { rainMm: null }],
  ['wind that is not known', { windKmh: null }],
])('%s is no weather to spray in', (_, change) => {
  expect(
    sprayWindows(
      from('2026-07-18T00:00:00Z', 48, () => change),
      'UTC',
    ),
  ).toEqual([]);
});

test('in no window is there rain within the hours after it', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { minLength: 60, maxLength: 60 }), (wet) => {
      const hours = from('2026-07-18T00:00:00Z', 60, (i) => ({ rainMm: wet[i] ? 1 : 0 }));
      for (const window of sprayWindows(hours, 'UTC')) {
        const end = Date.parse(window.until) + usualSprayLimits.dryAfterHours * hourMs;
        const within = hours.filter(({ at }) => Date.parse(at) >= Date.parse(window.from) && Date.parse(at) < end);
        expect(within.every(({ rainMm }) => rainMm === 0)).toBe(true);
      }
    }),
  );
});
