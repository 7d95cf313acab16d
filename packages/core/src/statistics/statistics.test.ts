import fc from 'fast-check';
import { entropyBits } from './entropy';
import { leastSquares } from './leastSquares';
import { logSumExp } from './logSumExp';
import { seededRandom } from './seededRandom';

const masses = fc.array(fc.integer({ min: 0, max: 1000 }), { maxLength: 20 });

describe('entropy', () => {
  test.each([
    [[1, 1], 1],
    [[1, 1, 1, 1], 2],
    [[5], 0],
    [[], 0],
    [[0, 0], 0],
    [[0.5, 0.25, 0.25], 1.5], // ½·1 + 2·¼·2
  ])('of %j is %d bits', (list, bits) => {
    expect(entropyBits(list)).toBeCloseTo(bits, 12);
  });

  test('is the same however the masses are scaled, and at most log2 of their number', () => {
    fc.assert(
      fc.property(masses, fc.double({ min: 0.01, max: 100, noNaN: true }), (list, factor) => {
        const bits = entropyBits(list);
        expect(entropyBits(list.map((mass) => mass * factor))).toBeCloseTo(bits, 6);
        expect(bits).toBeLessThanOrEqual(Math.log2(Math.max(1, list.length)) + 1e-9);
      }),
    );
  });
});

describe('least squares', () => {
  test('worked by hand: (1,1) (2,3) (3,2) has slope ½, intercept 1, r² ¼', () => {
    const line = leastSquares([
      [1, 1],
      [2, 3],
      [3, 2],
    ])!;
    expect([line.slope, line.intercept, line.rSquared]).toEqual([0.5, 1, 0.25]);
  });

  test('points that fix no line give none', () => {
    expect(leastSquares([])).toBeUndefined();
    expect(leastSquares([[0, 1]])).toBeUndefined();
    expect(
      leastSquares([
        [2, 1],
        [2, 5],
      ]),
    ).toBeUndefined();
  });

  test('level points are explained wholly', () => {
    expect(
      leastSquares([
        [0, 4],
        [9, 4],
      ]),
    ).toEqual({ intercept: 4, slope: 0, rSquared: 1 });
  });

  test('points on a line give that line back', () => {
    const small = fc.integer({ min: -50, max: 50 });
    fc.assert(
      fc.property(small, small, fc.uniqueArray(small, { minLength: 2, maxLength: 12 }), (slope, intercept, xs) => {
        const line = leastSquares(xs.map((x) => [x, intercept + slope * x]))!;
        expect(line.slope).toBeCloseTo(slope, 6);
        expect(line.intercept).toBeCloseTo(intercept, 6);
      }),
    );
  });
});

describe('log of a sum of exponentials', () => {
  test('examples of the docstring', () => {
    expect(logSumExp([Math.log(2), Math.log(3)])).toBeCloseTo(Math.log(5), 12);
    expect(logSumExp([-2000, -2000])).toBeCloseTo(-2000 + Math.LN2, 9);
    expect(logSumExp([])).toBe(-Infinity);
    expect(logSumExp([-Infinity, 0])).toBe(0);
  });

  test('agrees with the plain sum where that one can be had, in any order', () => {
    const values = fc.array(fc.double({ min: -20, max: 20, noNaN: true }), { minLength: 1, maxLength: 15 });
    fc.assert(
      fc.property(values, (list) => {
        const plain = Math.log(list.reduce((sum, value) => sum + Math.exp(value), 0));
        expect(logSumExp(list)).toBeCloseTo(plain, 9);
        expect(logSumExp([...list].reverse())).toBeCloseTo(plain, 9);
      }),
    );
  });
});

describe('seeded random', () => {
  const draws = (seed: number, count: number) => {
    const random = seededRandom(seed);
    return Array.from({ length: count }, random);
  };

  test('the same seed gives the same row, another one another', () => {
    expect(draws(7, 5)).toEqual(draws(7, 5));
    expect(draws(7, 5)).not.toEqual(draws(8, 5));
  });

  test('lies in [0, 1) and fills it evenly: chi-square over ten bins below the 0.1 % point of 27.9 (9 degrees of freedom)', () => {
    const row = draws(2026, 10_000);
    expect(row.every((value) => value >= 0 && value < 1)).toBe(true);
    const bins = Array.from({ length: 10 }, (_, i) => row.filter((value) => Math.floor(value * 10) === i).length);
    const chiSquare = bins.reduce((sum, count) => sum + (count - 1000) ** 2 / 1000, 0);
    expect(chiSquare).toBeLessThan(27.9);
  });
});
