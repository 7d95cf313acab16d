import { residueLeft } from './index';

const dry = (days: number) => Array.from({ length: days + 1 }, () => 0);

test('dry, and on leaves that do not grow, a tenth is left when it is said to end', () => {
  const left = residueLeft(dry(10), { lastsDays: 10 });
  expect(left[0]).toBe(1);
  expect(left[10]).toBeCloseTo(0.1);
  // Half of the time leaves the root of a tenth.
  expect(left[5]).toBeCloseTo(Math.sqrt(0.1));
});

test('rain halves a film in so many millimetres, at once or bit by bit; what is taken up is not washed off', () => {
  // Four hours to dry: 30 mm halve it.
  const film = { lastsDays: 1000, rainFastHours: 4 };
  const [, , , at] = residueLeft([9, 10, 20, 0], film);
  expect(at).toBeCloseTo(0.5 * 0.1 ** (3 / 1000));
  expect(residueLeft([0, 30], { lastsDays: 1000 })[1]).toBeCloseTo(0.1 ** (1 / 1000));
  expect(residueLeft([0, null], film)[1]).toBeCloseTo(0.1 ** (1 / 1000));
});

test('new leaf is bare: ten percent of growth a day leaves as much less', () => {
  expect(residueLeft([0, 0], { lastsDays: 1000, growthPerDay: 0.1 })[1]).toBeCloseTo(0.1 ** (1 / 1000) / 1.1);
});

test('it never grows', () => {
  const left = residueLeft([0, 3, 0, 12, null, 1, 0], { lastsDays: 12, rainFastHours: 6 });
  for (let i = 1; i < left.length; i++) expect(left[i]!).toBeLessThan(left[i - 1]!);
});
