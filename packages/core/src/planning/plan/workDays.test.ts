import type { Placing } from './placing';
import type { PlanPerson, PlanQuestion } from './planQuestion';
import { crowdedDays, piecesOf, shareOut, WorkDays } from './workDays';

const start = '2026-07-01';
const two: PlanPerson[] = [
  { id: 'wren', minutesPerDay: 90 },
  { id: 'ash', minutesPerDay: 60, minutesOn: { '2026-07-02': 0 } },
];
const product = (minutes: number) => ({ id: 'soap', efficacy: 1, cost: 0, minutes });
const placing = (round: number, minutes: number, day = 0): Placing => ({ round, day, evening: false, product: product(minutes), loss: 0 });
const question = (persons: readonly (string | undefined)[], rules: PlanQuestion['rules'] = { people: two }): PlanQuestion => ({
  start,
  days: 3,
  weather: [],
  rules,
  rounds: persons.map((person, i) => ({ id: `r${i}`, case: `c${i}`, dailyLoss: 1, value: 1, products: [product(10)], person })),
});

test('the minutes of a day are everybody’s, on that day, and no more than are given in all', () => {
  expect([0, 1].map((day) => new WorkDays(question([])).minutesOn(day))).toEqual([150, 90]);
  expect(new WorkDays(question([], { people: two, minutesPerDay: 100 })).minutesOn(0)).toBe(100);
  expect(new WorkDays(question([], {})).minutesOn(0)).toBe(Infinity);
});

test('each piece of work is one person’s', () => {
  const hands = new WorkDays(question([])).handsOn(0)!;
  const work = (...minutes: number[]) => minutes.map((one) => ({ minutes: one, person: undefined }));
  expect(shareOut(work(50, 60, 40), hands)).toEqual(['wren', 'ash', 'wren']);
  // 150 minutes in all, and no way to share them out.
  expect(shareOut(work(70, 40, 40), hands)).toBeUndefined();
  expect(shareOut([{ minutes: 61, person: 'ash' }], hands)).toBeUndefined();
});

test('who may do it alone: has the time on that day, and is the one who has to', () => {
  const days = new WorkDays(question([undefined, 'ash']));
  expect([placing(0, 60), placing(0, 61), placing(0, 91), placing(0, 30, 1)].map((one) => days.whoMayDo(one))).toEqual([
    ['wren', 'ash'],
    ['wren'],
    [],
    ['wren'],
  ]);
  expect(days.whoMayDo(placing(1, 30))).toEqual(['ash']);
});

test('a crowded day is told with as few rounds as collide; where nobody is named no day is', () => {
  const together = [placing(0, 10), placing(1, 70), placing(2, 40), placing(3, 40), placing(0, 90, 1)];
  const asked = question([undefined, undefined, undefined, undefined]);
  expect(crowdedDays(asked, together).map(({ day, colliding }) => [day, colliding.map(({ round }) => round)])).toEqual([[0, [1, 2, 3]]]);
  expect(crowdedDays({ ...asked, rules: { minutesPerDay: 10 } }, together)).toEqual([]);
});

test('pieces leave out what is over', () => {
  expect([piecesOf(70, 35), piecesOf(69, 35), piecesOf(0, 35), piecesOf(90, 30.000000001)]).toEqual([2, 1, 0, 3]);
});
