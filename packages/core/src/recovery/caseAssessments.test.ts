import type { CaseAssessment } from './lookOfDay';
import { nextAssessmentOn, statusOf } from './caseAssessments';
import { looksByDay } from './lookOfDay';

const decision = { decidedOn: '2026-07-01', nextAssessmentOn: '2026-07-11' };
const assessment: CaseAssessment = {
  assessedOn: '2026-07-03',
  partId: null,
  plant: null,
  severity: 10,
  count: null,
  newGrowth: 'marked',
  nextAssessmentOn: null,
};

test('no assessment and no decision: nothing is due', () => {
  expect(nextAssessmentOn([], [])).toBeUndefined();
});

test('the newest of assessment and decision says when; a decision of the same day wins', () => {
  expect(nextAssessmentOn([], [decision])).toBe('2026-07-11');
  expect(nextAssessmentOn([{ ...assessment, nextAssessmentOn: '2026-07-09' }], [decision])).toBe('2026-07-09');
  expect(nextAssessmentOn([{ ...assessment, assessedOn: '2026-07-01', nextAssessmentOn: '2026-07-09' }], [decision])).toBe('2026-07-11');
  expect(nextAssessmentOn([assessment], [decision])).toBeUndefined();
});

test('a look at one plant does not take away what the look at the whole of that day said', () => {
  const whole = { ...assessment, nextAssessmentOn: '2026-07-12' };
  const plant = { ...assessment, plant: 4 };
  expect(nextAssessmentOn([whole, plant], [])).toBe('2026-07-12');
  expect(nextAssessmentOn([whole, { ...plant, nextAssessmentOn: '2026-07-08' }], [])).toBe('2026-07-08');
  expect(nextAssessmentOn([whole, { ...plant, assessedOn: '2026-07-05' }], [])).toBeUndefined();
});

test('the status is that of the series, by days and not by places in the list', () => {
  expect(statusOf([])).toBeUndefined();
  expect(statusOf([assessment])).toBe('first-look');
  expect(statusOf([assessment, { ...assessment, assessedOn: '2026-07-10', severity: 30 }])).toBe('relapsing');
  expect(statusOf([assessment, { ...assessment, assessedOn: '2026-07-10', severity: 3 }])).toBe('recovering');
});

test('parts and plants of a day come together, where the whole was not looked at', () => {
  const part = { ...assessment, partId: 'treated', severity: 4, count: 3, newGrowth: 'clean' as const };
  const other = { ...assessment, partId: 'alone', severity: 20, count: null };
  const later = { ...assessment, assessedOn: '2026-07-10', severity: 2 };
  expect(looksByDay([part, other, later])).toEqual([{ ...other, severity: 12, count: 3 }, later]);
  expect(looksByDay([part, assessment, other])).toEqual([assessment]);
});
