import fc from 'fast-check';
import { add, compare, divide, floor, fromDecimal, multiply, rational, subtract, toNumber } from './rational';

const anyRational = fc
  .tuple(fc.bigInt({ min: -(10n ** 12n), max: 10n ** 12n }), fc.bigInt({ min: 1n, max: 10n ** 9n }))
  .map(([n, d]) => rational(n, d));

test('lowest terms, with a positive denominator', () => {
  expect(rational(6n, -4n)).toEqual({ n: -3n, d: 2n });
  expect(rational(0n, -7n)).toEqual({ n: 0n, d: 1n });
});

test('a denominator of zero is refused, and so is dividing by zero', () => {
  expect(() => rational(1n, 0n)).toThrow(RangeError);
  expect(() => divide(rational(1n), rational(0n))).toThrow(RangeError);
});

test.each([
  [0.1, 1n, 10n],
  [2.5, 5n, 2n],
  [1e-7, 1n, 10_000_000n],
  [3e21, 3n * 10n ** 21n, 1n],
  [-0.125, -1n, 8n],
])('%d as it was typed', (value, n, d) => {
  expect(fromDecimal(value)).toEqual({ n, d });
});

test.each([NaN, Infinity, -Infinity])('%d is no amount', (value) => {
  expect(() => fromDecimal(value)).toThrow(`got ${value}`);
});

test('a tenth three times is three tenths: no binary dust', () => {
  const tenth = fromDecimal(0.1);
  expect(add(add(tenth, tenth), tenth)).toEqual(fromDecimal(0.3));
});

test('what is added can be taken away, what is multiplied divided', () => {
  fc.assert(
    fc.property(anyRational, anyRational, (a, b) => {
      expect(subtract(add(a, b), b)).toEqual(a);
      fc.pre(b.n !== 0n);
      expect(divide(multiply(a, b), b)).toEqual(a);
    }),
  );
});

test('order agrees with subtraction', () => {
  fc.assert(fc.property(anyRational, anyRational, (a, b) => expect(compare(a, b)).toBe(Math.sign(Number(subtract(a, b).n)))));
});

test('the floor is the last whole number, below zero too', () => {
  expect([floor(rational(7n, 2n)), floor(rational(-7n, 2n)), floor(rational(-4n, 2n))]).toEqual([3n, -4n, -2n]);
  fc.assert(
    fc.property(anyRational, (a) => {
      const whole = rational(floor(a));
      expect(compare(whole, a)).toBeLessThanOrEqual(0);
      expect(compare(add(whole, rational(1n)), a)).toBe(1);
    }),
  );
});

test('every double that a person types comes back as it was', () => {
  fc.assert(
    fc.property(fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e9, max: 1e9 }), (value) =>
      expect(toNumber(fromDecimal(value))).toBeCloseTo(value, 9),
    ),
  );
});
