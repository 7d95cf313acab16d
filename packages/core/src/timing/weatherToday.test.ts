import { weatherToday } from './weatherToday';
import type { WeatherHour } from './weatherHour';

const now = '2026-05-02T10:00:00.000Z';
const hour = (hours: number, weather: Partial<WeatherHour>): WeatherHour => ({
  at: new Date(Date.parse(now) + hours * 3_600_000).toISOString(),
  temperatureC: null,
  humidityPercent: null,
  rainMm: null,
  windKmh: null,
  leafWetMinutes: null,
  ...weather,
});

test('now is the newest measured hour; what comes is forecast', () => {
  const measured = [hour(-5, { temperatureC: 3 }), hour(-1, { temperatureC: 12, windKmh: 9 }), hour(-2, { temperatureC: 11 })];
  const forecast = [
    hour(30, { temperatureC: -1 }),
    hour(2, { temperatureC: 15, rainMm: 0.1 }),
    hour(6, { temperatureC: 18, rainMm: 1 }),
    hour(26, { temperatureC: 24 }),
  ];
  expect(weatherToday(measured, forecast, now)).toEqual({
    temperatureC: 12,
    warmestC: 18,
    windKmh: 9,
    rainInHours: 6,
    daysToFrost: 1,
  });
});

test('a station that has been silent for hours says nothing of now: the forecast does', () => {
  expect(weatherToday([hour(-4, { temperatureC: 3 })], [hour(1, { temperatureC: 9 })], now).temperatureC).toBe(9);
});

test('what nobody knows is null', () => {
  expect(weatherToday([], [], now)).toEqual({ temperatureC: null, warmestC: null, windKmh: null, rainInHours: null, daysToFrost: null });
});
