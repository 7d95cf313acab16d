import { addDays, heatOn, sightForecast } from './index';
import type { HeatDay } from './index';

/** A year of days, each as warm as it is told. */
const year = (of: number, warmth: (day: number) => number | null, length = 365): HeatDay[] =>
  Array.from({ length }, (_, i) => ({ date: addDays(`${of}-01-01`, i), dd: warmth(i) }));
const even = () => 5;
const ask = (days: readonly HeatDay[], seenOn: readonly string[], today: string) =>
  sightForecast({ seenOn, days, seasonStart: '01-01', today });

test('a year twice as warm brings it in half the days; one like the last, on the same', () => {
  // Seen on the 100th day at 500; today is the 30th, and 40 days are known.
  const last = year(2025, even);
  const seen = [addDays('2025-01-01', 99)];
  expect(ask([...last, ...year(2026, even, 40)], seen, '2026-01-30')).toMatchObject({ expectedOn: addDays('2026-01-01', 99), by: 'heat' });
  // 40 days at 10 are 400; the last 100 go on at 5 a day: 20 days more.
  expect(ask([...last, ...year(2026, () => 10, 40)], seen, '2026-01-30')?.expectedOn).toBe(addDays('2026-01-01', 59));
  // It is there within what is forecast.
  expect(ask([...last, ...year(2026, () => 20, 40)], seen, '2026-01-30')?.expectedOn).toBe(addDays('2026-01-01', 24));
});

test('one year gives a fortnight; years that agree narrow it, years that differ widen it', () => {
  const days = [2022, 2023, 2024, 2025].flatMap((of) => year(of, even));
  const width = (seen: readonly string[]) => {
    const { earliest, latest } = ask([...days, ...year(2026, even, 40)], seen, '2026-01-30')!;
    return (Date.parse(latest) - Date.parse(earliest)) / 86_400_000;
  };
  expect(width(['2025-04-10'])).toBe(16);
  expect(width(['2022-04-10', '2023-04-10', '2024-04-10', '2025-04-10'])).toBe(8);
  expect(width(['2022-03-10', '2023-04-10', '2024-05-10', '2025-04-10'])).toBeGreaterThan(40);
});

test('without weather it goes by the calendar; without anything nothing is said', () => {
  expect(ask([], ['2024-06-10', '2025-06-20'], '2026-03-01')).toMatchObject({ expectedOn: '2026-06-16', by: 'calendar' });
  const holes = year(2025, (day) => (day % 3 ? 5 : null));
  expect(ask([...holes, ...year(2026, even, 60)], ['2025-06-10'], '2026-03-01')?.by).toBe('calendar');
  expect(ask([], [], '2026-03-01')).toBeUndefined();
});

test('a heat of the library needs no earlier sight, only earlier warmth', () => {
  const days = [...year(2025, even), ...year(2026, even, 60)];
  expect(sightForecast({ heats: [400], seenOn: [], days, seasonStart: '01-01', today: '2026-02-20' })?.expectedOn).toBe(
    addDays('2026-01-01', 79),
  );
});

test('in the south a season runs over the new year', () => {
  const days = Array.from({ length: 365 + 200 }, (_, i) => ({ date: addDays('2024-07-01', i), dd: 4 }));
  const answer = sightForecast({ seenOn: ['2025-01-10'], days, seasonStart: '07-01', today: '2025-12-20' });
  expect(answer).toMatchObject({ expectedOn: '2026-01-10', by: 'heat' });
});

test('heat up to a day: a few days that nobody measured are taken to be like the rest', () => {
  expect(
    heatOn(
      year(2025, (day) => (day === 4 ? null : 6)),
      '2025-01-20',
      '01-01',
    ),
  ).toBeCloseTo(120);
  expect(
    heatOn(
      year(2025, (day) => (day < 5 ? null : 6)),
      '2025-01-20',
      '01-01',
    ),
  ).toBeUndefined();
});
