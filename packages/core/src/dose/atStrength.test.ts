import { atStrength, sprayPerPlant } from './index';

test('of a quarter of the strength four times as much, exactly', () => {
  expect(atStrength(0.2, 480, 120)).toBe(0.8);
  expect(atStrength(3, 50, 77)).toBeCloseTo(1.948, 3);
  expect(atStrength(0.1, 0.3, 0.1)).toBe(0.3);
});

test('a strength of nothing is refused', () => {
  expect(() => atStrength(1, 10, 0)).toThrow(RangeError);
  expect(() => atStrength(1, NaN, 1)).toThrow(RangeError);
});

test('a tree takes litres, a tuft less than a tenth of one', () => {
  expect(sprayPerPlant('tree')).toBeGreaterThanOrEqual(1);
  expect(sprayPerPlant('tuft')).toBeLessThanOrEqual(0.1);
});
