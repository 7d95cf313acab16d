import { daysBetween, waitsAfter } from './waits';

test('re-entry is an instant, harvest a day of the garden’s calendar', () => {
  expect(waitsAfter('2026-07-18T19:00:00Z', 'Europe/London', { reEntryHours: 12, harvestDays: 1 }, true)).toEqual({
    reEntryAt: '2026-07-19T07:00:00Z',
    harvestSafeOn: '2026-07-19',
    repeatFrom: null,
  });
});

test('an evening in Auckland is already the next day there', () => {
  const waits = waitsAfter('2026-07-18T19:00:00Z', 'Pacific/Auckland', { reEntryHours: 0, harvestDays: 3, repeatDays: [7, 10] }, true);
  expect([waits.harvestSafeOn, waits.repeatFrom]).toEqual(['2026-07-22', '2026-07-26']);
});

test('what is not eaten has no harvest day, and an unknown zone is refused', () => {
  expect(waitsAfter('2026-07-18T19:00:00Z', 'UTC', { reEntryHours: 0, harvestDays: 3 }, false).harvestSafeOn).toBeNull();
  expect(() => waitsAfter('2026-07-18T19:00:00Z', 'Reach/Nowhere', { reEntryHours: 0, harvestDays: 3 }, true)).toThrow(RangeError);
});

test('days over the end of a month', () => {
  expect(daysBetween('2026-02-27', '2026-03-02')).toBe(3);
});
