import fc from 'fast-check';
import { addDays, clockAt, dayAt, daysBetween, instantOf, intervalsAfter, seasonOf, usualSeasonStart } from './index';

test('re-entry by the hour, harvest and repeat by the calendar of the garden', () => {
  expect(intervalsAfter('2026-07-18T19:00:00Z', 'Europe/London', { reEntryHours: 12, preHarvestDays: 1 }, true)).toEqual({
    reEntryAt: '2026-07-19T07:00:00Z',
    notPickedBefore: '2026-07-19',
    repeatFrom: null,
  });
});

test('the day is that of the garden, not of the server', () => {
  const intervals = intervalsAfter(
    '2026-07-18T19:00:00Z',
    'Pacific/Auckland',
    { reEntryHours: 0, preHarvestDays: 3, repeatDays: [7, 10] },
    true,
  );
  expect([intervals.notPickedBefore, intervals.repeatFrom]).toEqual(['2026-07-22', '2026-07-26']);
});

test('what is not eaten has no harvest day; a zone that is none is refused', () => {
  expect(intervalsAfter('2026-07-18T19:00:00Z', 'UTC', { reEntryHours: 0, preHarvestDays: 3 }, false).notPickedBefore).toBeNull();
  expect(() => intervalsAfter('2026-07-18T19:00:00Z', 'Reach/Nowhere', { reEntryHours: 0, preHarvestDays: 3 }, true)).toThrow(RangeError);
});

test('re-entry hours are hours, also over the night when the clocks go back', () => {
  // 25 October 2026, 01:00 UTC: London goes from summer time to standard time.
  const { reEntryAt } = intervalsAfter('2026-10-24T20:00:00Z', 'Europe/London', { reEntryHours: 12, preHarvestDays: 0 }, true);
  expect(reEntryAt).toBe('2026-10-25T08:00:00Z');
  expect(clockAt(reEntryAt, 'Europe/London')).toBe('2026-10-25T08:00');
});

test('days between are calendar days, over months, leap days and backwards', () => {
  expect(daysBetween('2026-02-27', '2026-03-02')).toBe(3);
  expect(daysBetween('2028-02-27', '2028-03-02')).toBe(4);
  expect(daysBetween('2026-03-02', '2026-02-27')).toBe(-3);
  expect(daysBetween('2026-03-02', '2026-03-02')).toBe(0);
});

test('days added can be counted again', () => {
  fc.assert(
    fc.property(fc.integer({ min: -4000, max: 4000 }), (days) => expect(daysBetween('2026-07-18', addDays('2026-07-18', days))).toBe(days)),
  );
});

test('the clock of the garden, there and back', () => {
  expect(clockAt('2026-07-18T19:00:00Z', 'Europe/London')).toBe('2026-07-18T20:00');
  expect(instantOf('2026-07-18T20:00', 'Europe/London')).toBe('2026-07-18T19:00:00Z');
  const zones = fc.constantFrom('UTC', 'Europe/London', 'America/New_York', 'Pacific/Auckland', 'Asia/Kolkata');
  const minutes = fc.integer({ min: 0, max: 525_000 });
  fc.assert(
    fc.property(zones, minutes, (zone, minute) => {
      const instant = new Date(Date.UTC(2026, 0, 1) + minute * 60_000).toISOString();
      const again = instantOf(clockAt(instant, zone), zone);
      // An hour that comes twice is read as the first of the two.
      expect([0, 3_600_000]).toContain(Date.parse(instant) - Date.parse(again));
    }),
  );
});

test('a clock time that was skipped becomes the one after the gap', () => {
  // 29 March 2026: London goes from 01:00 to 02:00.
  expect(clockAt(instantOf('2026-03-29T01:30', 'Europe/London'), 'Europe/London')).toBe('2026-03-29T02:30');
});

test('midnight belongs to the day that begins', () => {
  expect([dayAt('2026-07-17T23:00:00Z', 'Europe/London'), dayAt('2026-07-17T22:59:59Z', 'Europe/London')]).toEqual([
    '2026-07-18',
    '2026-07-17',
  ]);
});

test.each(['', 'yesterday', '2026-13-40T10:00'])('“%s” is no time', (text) => {
  expect(() => instantOf(text, 'UTC')).toThrow(RangeError);
});

test.each([
  ['2026-07-18', '01-01', '2026-01-01', '2026-12-31'],
  ['2027-02-03', '07-01', '2026-07-01', '2027-06-30'],
  ['2026-07-01', '07-01', '2026-07-01', '2027-06-30'],
  ['2026-06-30', '07-01', '2025-07-01', '2026-06-30'],
  ['2024-03-01', '03-01', '2024-03-01', '2025-02-28'],
])('%s in seasons that begin on %s: %s to %s', (day, start, from, to) => {
  expect(seasonOf(day, start)).toEqual({ from, to });
});

test('south of the line a summer is one season; where nobody knows, the year is', () => {
  expect([51, -33, null, 0].map(usualSeasonStart)).toEqual(['01-01', '07-01', '01-01', '01-01']);
});
