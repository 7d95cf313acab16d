import { decision, look } from '../testing/test-garden';
import { nextLookOn, statusOf } from './case-looks';

test('no look and no decision: nothing is due', () => {
  expect(nextLookOn([], [])).toBeUndefined();
});

test('the newest of look and decision says when; a decision of the same day wins', () => {
  expect(nextLookOn([], [decision])).toBe('2026-07-11');
  expect(nextLookOn([{ ...look, nextLookOn: '2026-07-09' }], [decision])).toBe('2026-07-09');
  expect(nextLookOn([{ ...look, lookedOn: '2026-07-01', nextLookOn: '2026-07-09' }], [decision])).toBe('2026-07-11');
  expect(nextLookOn([look], [decision])).toBeUndefined();
});

test('the status is that of the series, by days and not by places in the list', () => {
  expect(statusOf([])).toBeUndefined();
  expect(statusOf([look])).toBe('first-look');
  expect(statusOf([look, { ...look, lookedOn: '2026-07-10', severity: 30 }])).toBe('relapsing');
  expect(statusOf([look, { ...look, lookedOn: '2026-07-10', severity: 3 }])).toBe('recovering');
});
