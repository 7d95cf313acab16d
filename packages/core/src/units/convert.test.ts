import fc from 'fast-check';
import { convert } from './convert';
import { unitNames, unitTable } from './unitTable';

test.each([
  [{ amount: 1, unit: 'gal-us' }, 'l', 3.785411784],
  [{ amount: 3, unit: 'tsp-us' }, 'tbsp-us', 1],
  [{ amount: 1, unit: 'cup-us' }, 'ml', 236.5882365],
  [{ amount: 1, unit: 'lb' }, 'g', 453.59237],
  [{ amount: 1, unit: 'gal-imp' }, 'ml', 4546.09],
  [{ amount: 1, unit: 'acre' }, 'm2', 4046.8564224],
] as const)('%j in %s is %d', (quantity, unit, expected) => {
  expect(convert(quantity, unit).amount).toBe(expected);
});

test('refuses units of two kinds, naming both', () => {
  expect(() => convert({ amount: 1, unit: 'g' }, 'ml')).toThrow('got g (mass) and ml (volume)');
});

test('there and back is the same, for every pair of one dimension', () => {
  const pairs = unitNames.flatMap((a) =>
    unitNames.filter((b) => unitTable[a].dimension === unitTable[b].dimension).map((b) => [a, b] as const),
  );
  fc.assert(
    fc.property(fc.constantFrom(...pairs), fc.integer({ min: 1, max: 1_000_000 }), ([a, b], amount) => {
      expect(convert(convert({ amount, unit: a }, b), a).amount).toBeCloseTo(amount, 6);
    }),
  );
});
