import fc from 'fast-check';
import { normalQuantile } from '../statistics/index';
import { damageLines, iwaoLines } from './confidenceLines';
import { greenTotal } from './fixedPrecision';
import { follow, moreToEnd } from './stopLines';
import { binomialLines, negativeBinomialLines } from './waldLines';

const tenth = { alpha: 0.1, beta: 0.1 };

describe('normal quantile', () => {
  // Published figures: Abramowitz & Stegun (1964), table 26.1 and its inverse.
  test.each([
    [0.5, 0],
    [0.9, 1.2815516],
    [0.95, 1.6448536],
    [0.975, 1.959964],
    [0.995, 2.5758293],
    [0.9999999, 5.1993376],
    [0.025, -1.959964],
  ])('of %d is %d', (p, z) => {
    expect(normalQuantile(p)).toBeCloseTo(z, 5);
  });

  test.each([0, 1, -1, 2, NaN])('refuses %d', (p) => {
    expect(() => normalQuantile(p)).toThrow(RangeError);
  });
});

describe('shares of plants', () => {
  test('worked by hand: 0.1 against 0.3 with one in ten either way', () => {
    // ln(0.3·0.9/(0.1·0.7)) = 1.34993; ln(0.9/0.7) = 0.25131; ln 9 = 2.19722
    const lines = binomialLines(0.1, 0.3, tenth);
    expect(lines.slope).toBeCloseTo(0.25131 / 1.34993, 4);
    expect(lines.actIntercept).toBeCloseTo(2.19722 / 1.34993, 4);
    expect(lines.leaveIntercept).toBeCloseTo(-2.19722 / 1.34993, 4);
  });

  test('nine clean plants end it: the first n with 0 at or below the lower line', () => {
    const lines = binomialLines(0.1, 0.3, tenth);
    expect(follow(lines, Array(8).fill(0) as number[])).toMatchObject({ decision: 'continue', n: 8 });
    expect(follow(lines, Array(12).fill(0) as number[])).toMatchObject({ decision: 'leave', n: 9 });
    expect(moreToEnd(lines, { decision: 'continue', n: 4, total: 0 }, 0, 50)).toBe(5);
    expect(moreToEnd(lines, { decision: 'continue', n: 4, total: 0 }, 0, 3)).toBeUndefined();
  });

  test.each([
    [0, 0.3],
    [0.3, 0.1],
    [0.1, 1],
  ])('refuses shares of %d and %d', (p0, p1) => {
    expect(() => binomialLines(p0, p1, tenth)).toThrow('0 < p0 < p1 < 1');
  });

  test.each([0, 0.5, 1])('refuses an error rate of %d', (alpha) => {
    expect(() => binomialLines(0.1, 0.3, { alpha, beta: 0.1 })).toThrow('alpha must lie between 0 and 0.5');
  });
});

describe('counts', () => {
  test('worked by hand: means 2 and 4, k of 2', () => {
    // b = ln(4·(2+2)/(2·(4+2))) = ln 1.33333 = 0.287682; slope = 2·ln(6/4)/b = 2.81884
    const lines = negativeBinomialLines(2, 4, 2, tenth);
    expect(lines.slope).toBeCloseTo(2.81884, 4);
    expect(lines.actIntercept).toBeCloseTo(2.197225 / 0.287682, 4);
  });

  test('the slope lies between the two levels', () => {
    const level = fc.double({ min: 0.05, max: 50, noNaN: true });
    fc.assert(
      fc.property(level, fc.double({ min: 1.1, max: 5, noNaN: true }), fc.double({ min: 0.2, max: 20, noNaN: true }), (m0, times, k) => {
        const { slope } = negativeBinomialLines(m0, m0 * times, k, tenth);
        expect(slope).toBeGreaterThan(m0);
        expect(slope).toBeLessThan(m0 * times);
      }),
    );
  });

  test('with a large k they come near those of random counts: slope (m1−m0)/ln(m1/m0)', () => {
    expect(negativeBinomialLines(2, 4, 1e6, tenth).slope).toBeCloseTo(2 / Math.LN2, 3);
  });

  test.each([
    [0, 4, 1],
    [4, 2, 1],
    [2, 4, 0],
  ])('refuses means %d and %d with k %d', (m0, m1, k) => {
    expect(() => negativeBinomialLines(m0, m1, k, tenth)).toThrow(RangeError);
  });
});

describe('around a critical mean', () => {
  test('Iwao worked by hand: mean 4, a 1, b 1.5 has variance 16, so 25 plants 100 ± 1.645·20', () => {
    const lines = iwaoLines(4, { a: 1, b: 1.5 }, 0.1);
    expect(lines.act(25)).toBeCloseTo(132.9, 1);
    expect(lines.leave(25)).toBeCloseTo(67.1, 1);
  });

  test('a regression that gives no variance is refused', () => {
    expect(() => iwaoLines(4, { a: -1, b: 1 }, 0.1)).toThrow('must be above 0');
    expect(() => iwaoLines(4, { a: 1, b: 1.5 }, 1)).toThrow('alpha');
  });

  test('damage: a tenth of the leaf, 16 plants: 160 ± 1.645·√(16·0.2·10·90)', () => {
    expect(damageLines(10, 0.1).act(16)).toBeCloseTo(160 + 1.644854 * Math.sqrt(16 * 180), 3);
    expect(() => damageLines(0, 0.1)).toThrow('between 0 and 100 percent');
  });
});

describe('fixed precision', () => {
  test('worked by hand', () => {
    expect(greenTotal(10, { a: 1, b: 1 }, 0.25)).toBeCloseTo(16, 9);
    // (2·100^−0.5/0.0625)^2 = (0.2/0.0625)^2 = 10.24
    expect(greenTotal(100, { a: 2, b: 1.5 }, 0.25)).toBeCloseTo(10.24, 9);
  });

  test.each([
    [0, { a: 1, b: 1 }, 0.2],
    [5, { a: 0, b: 1 }, 0.2],
    [5, { a: 1, b: 2 }, 0.2],
    [5, { a: 1, b: 1 }, 1],
  ])('refuses n %d, %j, precision %d', (n, law, precision) => {
    expect(() => greenTotal(n, law, precision)).toThrow(RangeError);
  });
});

test('a sample refuses negative sights', () => {
  expect(() => follow(binomialLines(0.1, 0.3, tenth), [0, -1])).toThrow('0 or more, got -1');
});
