import { trapIntervals, weeklyCatch } from './trapIntervals';

const reading = (checkedOn: string, count: number, emptied = true) => ({ checkedOn, count, emptied });
const door = [{ from: '2026-07-01', name: 'door' }];

test('what an emptied trap holds is new', () => {
  expect(trapIntervals(door, [reading('2026-07-15', 3), reading('2026-07-08', 5)])).toEqual([
    { spot: 'door', days: 7, caught: 5, until: '2026-07-08' },
    { spot: 'door', days: 7, caught: 3, until: '2026-07-15' },
  ]);
});

test('in a trap that was not emptied only what is more counts', () => {
  const caught = trapIntervals(door, [reading('2026-07-08', 5, false), reading('2026-07-15', 12, false), reading('2026-07-22', 10)]).map(
    (one) => one.caught,
  );
  expect(caught).toEqual([5, 7, 0]);
});

test('a trap that was moved counts for where it stood', () => {
  const moved = [...door, { from: '2026-07-08', name: 'wall' }];
  expect(trapIntervals(moved, [reading('2026-07-08', 5), reading('2026-07-15', 1)]).map(({ spot }) => spot)).toEqual(['door', 'wall']);
});

test('a second reading on one day makes no interval of no days', () => {
  expect(
    trapIntervals(door, [reading('2026-07-08', 5), reading('2026-07-08', 1), reading('2026-07-10', 4)]).map(({ days }) => days),
  ).toEqual([7, 2]);
});

test.each([
  ['a rest within the interval', [{ from: '2026-07-03', until: '2026-07-05' }], [5, 7]],
  ['a rest across a reading', [{ from: '2026-07-06', until: '2026-07-10' }], [5, 5]],
  ['a rest that goes on', [{ from: '2026-07-12', until: null }], [7, 4]],
  ['a rest over all of it', [{ from: '2026-06-01', until: null }], []],
])('%s does not count', (_, pauses, days) => {
  expect(trapIntervals(door, [reading('2026-07-08', 5), reading('2026-07-15', 3)], pauses).map((one) => one.days)).toEqual(days);
});

test('the newest rate in a week', () => {
  expect(weeklyCatch([])).toBeNull();
  expect(weeklyCatch(trapIntervals(door, [reading('2026-07-08', 5), reading('2026-07-10', 4)]))).toBe(14);
});
