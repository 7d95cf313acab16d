import { keptProduct, productOf, productUnits, productWord } from './product-amount';

test.each([
  ['ml', 20, { productMl: 20 }],
  ['l', 0.5, { productMl: 500 }],
  ['tsp-us', 2, { productMl: 9.8578431875 }],
  ['kg', 0.06, { productG: 60 }],
  ['oz', 1, { productG: 28.349523125 }],
  ['pieces', 250, { productPieces: 250 }],
] as const)('%s: %d is kept by volume, by mass or by the piece', (unit, amount, kept) => {
  const stored = keptProduct(amount, unit);
  const [[field, value]] = Object.entries(kept) as [[keyof typeof stored, number]];
  expect(stored[field]).toBeCloseTo(value, 6);
  expect(Object.values(stored).filter((one) => one !== null)).toHaveLength(1);
});

test('what is not said is not kept', () => {
  const none = { productMl: null, productG: null, productPieces: null };
  expect([keptProduct(null, 'ml'), keptProduct(3, null)]).toEqual([none, none]);
  expect(productOf(none)).toEqual({ amount: null, unit: null });
  expect(productWord({ ...none, collected: null }, 'metric')).toBe('');
});

test('what a form shows of it is kept as it was', () => {
  for (const unit of productUnits) {
    const stored = keptProduct(3, unit);
    const { amount, unit: shown } = productOf(stored);
    expect(keptProduct(amount, shown)).toEqual(stored);
  }
});

test('it is read in the garden’s units', () => {
  const sixty = { ...keptProduct(60, 'g'), collected: null };
  expect([productWord(sixty, 'metric'), productWord(sixty, 'us')]).toEqual(['60 g', '2.12 oz']);
  expect(productWord({ ...keptProduct(1, 'pieces'), collected: null }, 'us')).toBe('1 piece');
  expect(productWord({ ...keptProduct(null, null), collected: 1200 }, 'metric')).toBe('1,200 collected');
});
