import { eyeBias } from './bias';

const leaf = (eyedPercent: number | null, eatenPercent: number, discolouredPercent = 0) => ({
  eyedPercent,
  eatenPercent,
  discolouredPercent,
});

test('before the first leaf that was judged by eye nothing is said', () => {
  expect(eyeBias([])).toBeNull();
  expect(eyeBias([leaf(null, 10)])).toBeNull();
});

test('points too much or too little, and how far off either way', () => {
  expect(eyeBias([leaf(20, 10), leaf(10, 5, 15), leaf(null, 50)])).toEqual({ leaves: 2, points: 0, off: 10 });
  expect(eyeBias([leaf(30, 10), leaf(25, 10, 5)])).toEqual({ leaves: 2, points: 15, off: 15 });
});
