import { labelMost } from './index';

const inTenLitres = { high: 200, unit: 'ml' as const, per: { amount: 10, unit: 'l' as const } };
const mlPerLitre = { unit: 'ml' as const, per: { amount: 1, unit: 'l' as const } };

test.each<[string, Parameters<typeof labelMost>[0], Parameters<typeof labelMost>[1], number | undefined]>([
  ['so much in ten litres, to the litre', inTenLitres, mlPerLitre, 20],
  [
    'in US measures',
    { high: 1, unit: 'tsp-us', per: { amount: 1, unit: 'qt-us' } },
    { unit: 'tsp-us', per: { amount: 1, unit: 'gal-us' } },
    4,
  ],
  ['a percentage, in ml to the litre', { high: 2, unit: 'percent', per: null }, mlPerLitre, 20],
  [
    'kilograms on a hectare, in grams on a square metre',
    { high: 25, unit: 'kg', per: { amount: 1, unit: 'ha' } },
    { unit: 'g', per: { amount: 1, unit: 'm2' } },
    2.5,
  ],
  ['by ground against by water', { ...inTenLitres, per: { amount: 1, unit: 'ha' } }, mlPerLitre, undefined],
  ['weighed against poured', { ...inTenLitres, unit: 'g' }, mlPerLitre, undefined],
  ['by the plant', { ...inTenLitres, per: { amount: 1, unit: 'plant' } }, mlPerLitre, undefined],
])('%s', (_, rate, terms, most) => {
  expect(labelMost(rate, terms)).toBe(most);
});
