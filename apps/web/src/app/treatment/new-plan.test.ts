import { reference } from '../testing/reference';
import { newPlan, oneByOne } from './new-plan';

const entry = (id: string) => reference.interventions.find((one) => one.id === id)!;
const decided = (id: string, change: object = {}) =>
  newPlan({
    entry: entry(id),
    conditions: reference.conditions.filter((one) => one.id === 'leek-rust'),
    caseId: 'rust',
    plantingId: 'leeks',
    today: '2026-07-18',
    card: entry(id),
    used: 0,
    oneByOne: false,
    ...change,
  });

test('a decision leads to its rounds, as far apart as the card that counts says', () => {
  expect(decided('sulphur')).toMatchObject({ interventions: ['sulphur'], against: ['leek-rust'], startsOn: '2026-07-18', betweenDays: 7 });
  expect(decided('sulphur', { card: { repeatDays: [10, 14], seasonMax: 1 } })).toMatchObject({ rounds: 1, betweenDays: 10 });
});

test.each(['watch', 'call-authority'])('%s is no work that is planned', (id) => expect(decided(id)).toBeUndefined());

test('where each round is decided anew, one is planned', () => {
  const copper = entry('copper');
  const taken = [{ question: 'calendar-or-threshold', view: 'By the weather' }];
  expect(oneByOne(copper, taken)).toBe(true);
  expect(oneByOne(copper, [{ question: 'calendar-or-threshold', view: 'By the calendar' }])).toBe(false);
  expect(oneByOne(entry('sulphur'), taken)).toBe(false);
  expect(decided('sulphur', { oneByOne: true })?.rounds).toBe(1);
});
