import { decision, look } from '../testing/test-garden';
import { nextAssessmentOn, statusOf } from './case-assessments';

test('no look and no decision: nothing is due', () => {
  expect(nextAssessmentOn([], [])).toBeUndefined();
});

test('the newest of look and decision says when; a decision of the same day wins', () => {
  expect(nextAssessmentOn([], [decision])).toBe('2026-07-11');
  expect(nextAssessmentOn([{ ...look, nextAssessmentOn: '2026-07-09' }], [decision])).toBe('2026-07-09');
  expect(nextAssessmentOn([{ ...look, assessedOn: '2026-07-01', nextAssessmentOn: '2026-07-09' }], [decision])).toBe('2026-07-11');
  expect(nextAssessmentOn([look], [decision])).toBeUndefined();
});

test('the status is that of the series, by days and not by places in the list', () => {
  expect(statusOf([])).toBeUndefined();
  expect(statusOf([look])).toBe('first-look');
  expect(statusOf([look, { ...look, assessedOn: '2026-07-10', severity: 30 }])).toBe('relapsing');
  expect(statusOf([look, { ...look, assessedOn: '2026-07-10', severity: 3 }])).toBe('recovering');
});
