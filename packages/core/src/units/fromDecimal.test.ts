import fc from 'fast-check';
import { fromDecimal } from './fromDecimal';

test.each([
  [0.1, '1/10'],
  [2.5, '5/2'],
  [1e-7, '1/10000000'],
  [3e21, '3000000000000000000000'],
  [-0.125, '-1/8'],
  [3785.411784, '473176473/125000'],
])('%d as it was typed', (value, fraction) => {
  expect(fromDecimal(value).toFraction()).toBe(fraction);
});

test.each([NaN, Infinity, -Infinity])('%d is no amount', (value) => {
  expect(() => fromDecimal(value)).toThrow(`got ${value}`);
});

test('a tenth three times is three tenths: no binary dust', () => {
  expect(fromDecimal(0.1).mul(3).equals(fromDecimal(0.3))).toBe(true);
});

test('every double that a person types comes back as it was', () => {
  const typed = fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e9, max: 1e9 }).filter((value) => Math.abs(value) > 1e-9);
  fc.assert(
    fc.property(typed, (value) =>
      // Two roundings on the way back: of the last digit.
      expect(Math.abs(fromDecimal(value).valueOf() - value)).toBeLessThanOrEqual(Math.abs(value) * 2 ** -51),
    ),
  );
});
