import { hourMs, sprayWindows } from '@field-nurse/core/timing';
import type { WeatherHour } from '@field-nurse/core/timing';
import fc from 'fast-check';
import { readWeatherFile } from '../calc/read-weather-file';
import { gapsIn, layOutRibbon } from './ribbon';
import { windowWord } from './window-words';

const zone = 'Europe/London';
const hoursIn = (text: string) => {
  const read = readWeatherFile(text, zone);
  return 'hours' in read ? read.hours : read.refused;
};
const nothing = { temperatureC: null, humidityPercent: null, rainMm: null, windKmh: null, leafWetMinutes: null };

describe('a file of weather', () => {
  test('CSV by its heads, in any order, times by the garden’s clock', () => {
    const text = 'Rain (mm),Time,Air temperature\n0.4,2026-07-17 09:00,17.5\n,2026-07-17 10:00,18\n';
    expect(hoursIn(text)).toEqual([
      { ...nothing, at: '2026-07-17T08:00:00.000Z', temperatureC: 17.5, rainMm: 0.4 },
      { ...nothing, at: '2026-07-17T09:00:00.000Z', temperatureC: 18 },
    ]);
  });

  test.each([
    ['Temp °F', '68', 'temperatureC', 20],
    ['Wind mph', '10', 'windKmh', 16.09],
    ['Wind m/s', '2.5', 'windKmh', 9],
    ['Wind speed (knots)', '5', 'windKmh', 9.26],
    ['Rain inch', '0.1', 'rainMm', 2.54],
    ['RH', '81', 'humidityPercent', 81],
    ['Leaf wetness', '25', 'leafWetMinutes', 25],
    ['temperature', '17,5', 'temperatureC', 17.5],
  ])('%s becomes SI', (head, cell, quantity, value) => {
    const [hour] = hoursIn(`time;${head}\n2026-07-17T09:00Z;${cell}\n`);
    expect(hour).toMatchObject({ at: '2026-07-17T09:00:00.000Z', [quantity]: value });
  });

  test('rows within an hour: rain is added, warmth averaged, wet minutes end at sixty', () => {
    const rows = ['00', '15', '30', '45'].map((minute, i) => ({
      time: `2026-07-17T09:${minute}:00Z`,
      rain: 0.2,
      temperature: 16 + i,
      'leaf wet': 20,
    }));
    expect(hoursIn(JSON.stringify({ hours: rows }))).toEqual([
      { ...nothing, at: '2026-07-17T09:00:00.000Z', rainMm: 0.8, temperatureC: 17.5, leafWetMinutes: 60 },
    ]);
  });

  test('what is exported can be read again', () => {
    const hours = [{ ...nothing, at: '2026-07-17T09:00:00.000Z', temperatureC: 12.5, windKmh: 3 }];
    const renamed = hours.map(({ at, temperatureC, windKmh }) => ({ at, temperatureC, windKmh }));
    expect(hoursIn(JSON.stringify(renamed))).toEqual(hours);
  });

  test.each([
    ['nothing', '', 'no rows'],
    ['no column of time', 'rain,wind\n1,2\n', 'No column says when'],
    ['no column that is known', 'time,mood\n2026-07-17 09:00,sunny\n', 'No column is known'],
    ['a time that is none', 'time,rain\nnoon,1\n', 'row 1: “noon” is no time'],
    ['a day that is none', 'time,rain\n2026-02-30 09:00,1\n', 'row 1'],
    ['rain below zero', 'time,rain\n2026-07-17 09:00,-3\n', 'row 1, rain: “-3” is not from 0 to 300'],
    ['a word for a number', 'time,rain\n2026-07-17 09:00,much\n', '“much”'],
    ['broken JSON', '{"hours": [', 'begins like JSON but is none'],
    ['JSON of another kind', '{"weather": 3}', 'no list of hours'],
    ['a row that is too long', 'time,rain\n2026-07-17 09:00,1,2,3\n', 'does not fit its heads'],
  ])('%s is refused in words', (_, text, said) => {
    expect(hoursIn(text)).toContain(said);
  });

  test('any text is read or refused, never anything else', () => {
    fc.assert(fc.property(fc.string(), (text) => expect(['string', 'object']).toContain(typeof hoursIn(text))));
  });

  test('forty thousand rows of one hour, and a file of a million rows, are no more work than others', () => {
    const rows = (count: number) => `time,rain\n${'2026-07-17 09:00,0.001\n'.repeat(count)}`;
    // Were each row to copy those before it, this would take many seconds.
    expect(hoursIn(rows(40_000))).toEqual([{ ...nothing, at: '2026-07-17T08:00:00.000Z', rainMm: 40 }]);
    expect(hoursIn(rows(1_000_000))).toContain('more than 200,000 rows');
  });
});

describe('the ribbon', () => {
  const now = '2026-07-18T09:30:00.000Z';
  const from = '2026-07-16T23:00:00.000Z';
  const hours = (start: string, count: number, change: (i: number) => Partial<WeatherHour> = () => ({})) =>
    Array.from({ length: count }, (_, i): WeatherHour => ({
      ...nothing,
      temperatureC: 15,
      rainMm: 0,
      windKmh: 5,
      at: new Date(Date.parse(start) + i * hourMs).toISOString(),
      ...change(i),
    }));
  const ask = (measured: WeatherHour[], forecast: WeatherHour[] = []) =>
    layOutRibbon({
      measured,
      forecast,
      windows: sprayWindows(forecast, zone),
      from,
      now,
      timeZone: zone,
      days: 4,
      width: 960,
      curve: { top: 40, bottom: 90 },
      rainHeight: 40,
    });

  test('days are as wide as they are long, and now lies where it is', () => {
    const { days, nowX } = ask(hours(from, 34));
    expect(days.map(({ day, x }) => [day, x])).toEqual([
      ['2026-07-17', 0],
      ['2026-07-18', 240],
      ['2026-07-19', 480],
      ['2026-07-20', 720],
    ]);
    expect(days.map(({ past }) => past)).toEqual([true, false, false, false]);
    expect(nowX).toBe(345);
  });

  test('what nobody measured is a gap, and the line breaks there', () => {
    const measured = hours(from, 34).filter((_, i) => i < 6 || i >= 9);
    const { gaps, temperature } = ask(measured);
    expect(gaps).toEqual([{ x: 60, width: 30, hours: 3 }]);
    expect(temperature[0]!.path.match(/M/g)).toHaveLength(2);
  });

  test('the newest two hours may still be on their way', () => {
    expect(ask(hours(from, 33)).gaps).toEqual([]);
    expect(ask(hours(from, 30)).gaps).toHaveLength(1);
    expect(gapsIn([], Date.parse(from), Date.parse(now))[0]!.hours).toBe(34);
  });

  test('rain stands on the ground, heavy rain as high as it goes', () => {
    const { rain, days } = ask(hours(from, 34, (i) => ({ rainMm: i === 2 ? 1.5 : i === 3 ? 60 : 0 })));
    expect(rain.map(({ x, height }) => [x, height])).toEqual([
      [20, 20],
      [30, 40],
    ]);
    expect(days[0]!.rainMm).toBe(61.5);
  });

  test('hours to spray in, in words', () => {
    const { windows } = ask(hours(from, 34), hours('2026-07-18T10:00:00.000Z', 40));
    expect(windows.map(({ window }) => windowWord(window, zone))).toEqual(['Sat 18, 11 to 21 o’clock', 'Sun 19, 5 to 21 o’clock']);
  });
});
