import fc from 'fast-check';
import { commonnessTable, frequencyTable, leakTable, leakUnderNever, misreadLeak } from './probabilityTable';

test('each word of the tables says less than the one before', () => {
  for (const table of [frequencyTable, leakTable, commonnessTable]) {
    const values = Object.values(table);
    expect(values).toEqual([...values].sort((a, b) => b - a));
    expect(new Set(values).size).toBe(values.length);
    expect(values.every((value) => value >= 0 && value < 1)).toBe(true);
  }
  expect(leakUnderNever).toBeLessThan(1);
});

test('“always” may be missed, and “never” is never', () => {
  expect(frequencyTable.always).toBeLessThan(1);
  expect(frequencyTable.never).toBe(0);
});

test('a sure reading leaks nothing more; one that is as likely wrong as right leaks π / (1 − π)', () => {
  expect(misreadLeak(1)).toBe(0);
  expect(misreadLeak(0.5)).toBeCloseTo(0.06 / 0.94, 12);
  expect(misreadLeak(0.9)).toBeCloseTo((0.1 / 0.9) * (0.06 / 0.94), 12);
});

test('the surer the reading, the smaller the leak, which is a chance', () => {
  const sure = fc.double({ min: 0.001, max: 1, noNaN: true });
  fc.assert(
    fc.property(sure, sure, (one, other) => {
      const [low, high] = one < other ? [one, other] : [other, one];
      expect(misreadLeak(low)).toBeGreaterThanOrEqual(misreadLeak(high));
      expect(misreadLeak(low)).toBeGreaterThanOrEqual(0);
      expect(misreadLeak(low)).toBeLessThanOrEqual(1);
    }),
  );
});

test('by Bayes, words that were read with so much leak are sure again by just as much', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 1, noNaN: true }), (sure) => {
      const base = 0.06;
      const leak = misreadLeak(sure);
      // the words are there with the sign for certain, and without it as often as they are misread
      expect(base / (base + leak * (1 - base))).toBeCloseTo(sure, 9);
    }),
  );
});
