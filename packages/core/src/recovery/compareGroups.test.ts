import { seededRandom } from '../statistics';
import { compareGroups, fewestCases, groupMean } from '.';

test('few cases have a mean and no limits; from four on there are limits round it', () => {
  for (const few of [[12], [10, 14], [9, 12, 15]]) expect(groupMean(few)).toEqual({ mean: 12, interval: null });
  const { mean, interval } = groupMean([10, 12, 14, 16]);
  expect(mean).toBe(13);
  expect(interval![0]).toBeGreaterThanOrEqual(10);
  expect(interval![0]).toBeLessThan(13);
  expect(interval![1]).toBeGreaterThan(13);
  expect(() => groupMean([])).toThrow('at least one value');
});

test('groups that lie apart are told apart, and which one is less', () => {
  const [low, high] = [
    [5, 7, 6, 8, 4],
    [20, 25, 22, 19, 24],
  ] as const;
  expect(compareGroups(low, high)).toMatchObject({ difference: -16, verdict: 'less', casesNeeded: null });
  expect(compareGroups(high, low)).toMatchObject({ difference: 16, verdict: 'more' });
  expect(() => compareGroups([], high)).toThrow('either side');
});

test('three cases a side tell nothing, however far apart they lie', () => {
  expect(compareGroups([1, 2, 3], [50, 60, 70])).toMatchObject({ verdict: 'cannot-tell', interval: null, casesNeeded: fewestCases });
});

test('where it cannot be told it says how many it takes: by hand, 2 × 7.849 × 25 / 16 = 24.5', () => {
  // Both scatter with a variance of 25 about means 4 apart.
  const one = [5, 10, 15].map((value) => value - 4);
  expect(compareGroups(one, [5, 10, 15])).toMatchObject({ difference: -4, verdict: 'cannot-tell', casesNeeded: 25 });
  expect(compareGroups([3, 4], [4, 3])).toMatchObject({ difference: 0, casesNeeded: null });
});

test('of groups that are alike, it is wrongly sure in few', () => {
  const random = seededRandom(4);
  const draw = () => Array.from({ length: 8 }, () => random() + random() + random());
  const trials = 400;
  let sure = 0;
  for (let i = 0; i < trials; i++) if (compareGroups(draw(), draw(), { draws: 400, seed: i + 1 }).verdict !== 'cannot-tell') sure++;
  // Percentile limits are a little narrow with few cases: nominal are 5 %.
  expect(sure / trials).toBeLessThan(0.09);
});
