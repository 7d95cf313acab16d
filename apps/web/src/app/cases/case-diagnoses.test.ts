import { toggled, withDiagnosis, workingConditions } from './case-diagnoses';

const first = { on: '2026-05-12', conditions: ['sun-scorch'], why: 'window side' };

test('the newest entry is what the case works with', () => {
  expect(workingConditions([])).toEqual([]);
  expect(workingConditions([first, { on: '2026-06-02', conditions: ['thrips', 'sun-scorch'], why: '' }])).toEqual(['thrips', 'sun-scorch']);
});

test('a second and a third cause stay beside the first, a fourth takes the place of the third, and each can go', () => {
  expect(toggled([], 'a')).toEqual(['a']);
  expect(toggled(['a'], 'b')).toEqual(['a', 'b']);
  expect(toggled(['a', 'b'], 'c')).toEqual(['a', 'b', 'c']);
  expect(toggled(['a', 'b', 'c'], 'd')).toEqual(['a', 'b', 'd']);
  expect(toggled(['a', 'b'], 'a')).toEqual(['b']);
});

test('a new diagnosis keeps the old one in the history, and a day holds one', () => {
  const changed = withDiagnosis([first], '2026-06-02', ['thrips'], '');
  expect(changed.map(({ on }) => on)).toEqual(['2026-05-12', '2026-06-02']);
  expect(withDiagnosis(changed, '2026-06-02', ['mealybug'], '')).toEqual([first, { on: '2026-06-02', conditions: ['mealybug'], why: '' }]);
});

test('letting go of the last cause of the day takes the day’s entry out', () => {
  expect(withDiagnosis([first], '2026-05-12', [], '')).toEqual([]);
});
