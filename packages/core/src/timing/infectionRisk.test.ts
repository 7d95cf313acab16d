import { hourMs, hoursNeeded, infectionDays, infectionPeriods, temperatureResponse } from './index';
import type { InfectionHour, InfectionModel } from './index';

const scab: InfectionModel = { tMin: 1, tOpt: 20, tMax: 35, wMin: 6, wMax: 40.5 };
const start = Date.parse('2026-05-01T00:00:00Z');
const hours = (pattern: string, temperatureC = 20): InfectionHour[] =>
  [...pattern].flatMap((one, i) =>
    one === ' '
      ? []
      : [{ time: new Date(start + i * hourMs).toISOString(), ms: start + i * hourMs, temperatureC, wet: one === '?' ? null : one === 'w' }],
  );
const lengths = (pattern: string, dryHoursForgiven?: number) =>
  infectionPeriods(hours(pattern), { ...scab, dryHoursForgiven }).map(({ wetHours }) => wetHours);

// Hours of wetness until ascospores of apple scab have infected, by temperature: MacHardy & Gadoury (1989), Phytopathology 79:304–310, table 1.
const published: readonly (readonly [number, number])[] = [
  [1, 40.5],
  [2, 34.7],
  [3, 29.6],
  [4, 27.8],
  [5, 21.2],
  [6, 18],
  [7, 15.4],
  [8, 13.4],
  [9, 12.2],
  [10, 11],
  [11, 9],
  [12, 8.3],
  [13, 8],
  [14, 7],
  [15, 7],
  [16, 6.1],
  [17, 6],
  [18, 6],
  [20, 6],
  [22, 6],
  [24, 6.1],
  [25, 8],
  [26, 11.3],
];

test('against the published hours of apple scab: within two hours from 5 to 25 °C; in the cold it asks for up to ten more', () => {
  const error = ([celsius, wetness]: readonly [number, number]) => hoursNeeded(celsius, scab)! - wetness;
  const errors = published.filter(([celsius]) => celsius >= 5 && celsius <= 25).map(error);
  for (const one of errors) expect(Math.abs(one)).toBeLessThan(2.1);
  expect(Math.sqrt(errors.reduce((sum, one) => sum + one ** 2, 0) / errors.length)).toBeLessThan(1);
  for (const one of published.filter(([celsius]) => celsius > 1 && celsius < 5).map(error)) {
    expect(one).toBeGreaterThan(0);
    expect(one).toBeLessThan(11);
  }
});

test('the response by hand: nothing at the limits, all at the best', () => {
  expect([0, 1, 20, 35, 40].map((celsius) => temperatureResponse(celsius, scab))).toEqual([0, 0, 1, 0, 0]);
  // (25/15) × (9/19)^(19/15) = 1.66667 × 0.38814
  expect(temperatureResponse(10, scab)).toBeCloseTo(0.6469, 3);
  expect(hoursNeeded(10, scab)).toBeCloseTo(9.275, 2);
  expect(hoursNeeded(1.5, scab)).toBe(40.5);
  expect(hoursNeeded(0, scab)).toBeNull();
});

test.each([
  ['wwwdww', undefined, [3, 2]],
  ['wwwdww', 1, [5]],
  ['wwwddww', 1, [3, 2]],
  ['dwd', 4, [1]],
  ['', 0, []],
  ['ww ww', 3, [2, 2]],
  ['ww?ww', 3, [2, 2]],
  ['wwd?www', 9, [2, 3]],
])('“%s” with %s dry hours forgiven is %j', (pattern, forgiven, expected) => expect(lengths(pattern, forgiven)).toEqual(expected));

test('a period tells its hours, what it took, and how far it went', () => {
  expect(infectionPeriods(hours('dwwwwwwwwd', 10), scab)).toEqual([
    {
      start: '2026-05-01T01:00:00.000Z',
      end: '2026-05-01T08:00:00.000Z',
      wetHours: 8,
      meanC: 10,
      needed: expect.closeTo(9.275, 2) as number,
      infected: false,
      severity: expect.closeTo(8 / 9.275 / 2, 3) as number,
    },
  ]);
  expect(infectionPeriods(hours('w'.repeat(12)), scab)[0]).toMatchObject({ needed: 6, infected: true, severity: 1 });
  expect(infectionPeriods(hours('w'.repeat(60), 0), scab)[0]).toMatchObject({ needed: null, infected: false, severity: 0 });
});

test('what makes no sense is said', () => {
  expect(() => infectionPeriods([], { ...scab, tOpt: 40 })).toThrow('tMin < tOpt < tMax');
  expect(() => infectionPeriods([], { ...scab, wMax: 2 })).toThrow('must not be below wMin');
  const [one, two] = hours('ww') as [InfectionHour, InfectionHour];
  expect(() => infectionPeriods([two, one], scab)).toThrow('times must ascend');
});

test('by days: as long as it takes at the mean, and nothing of what is not known', () => {
  const day = (date: number, minC: number | null, maxC: number | null, wetHours: number | null) => ({
    day: `2026-05-0${date}`,
    minC,
    maxC,
    wetHours,
  });
  // At 10 °C it takes 9.275 h, at 0 °C it can't be.
  const days = [day(1, 5, 15, 9), day(2, 5, 15, 10), day(3, -5, 5, 24), day(4, null, 15, 24), day(5, 5, 15, null), day(6, 8, 12, 9.3)];
  expect(infectionDays(days, scab)).toEqual(['2026-05-02', '2026-05-06']);
});
