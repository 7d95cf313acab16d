import { productNeeded } from './index';

const leeks = { plants: 220, litresPerPlant: 0.05 };

test.each<[string, Parameters<typeof productNeeded>[0], Parameters<typeof productNeeded>[1], object | undefined]>([
  ['by water', { amount: 30, unit: 'g', per: { amount: 10, unit: 'l' } }, leeks, { amount: 33, unit: 'g' }],
  [
    'by water, in US measures',
    { amount: 1, unit: 'tbsp-us', per: { amount: 1, unit: 'gal-us' } },
    { plants: 1, litresPerPlant: 3.785411784 },
    { amount: 14.78676478125, unit: 'ml' },
  ],
  ['a percentage of the water', { amount: 2, unit: 'percent', per: null }, leeks, { amount: 220, unit: 'ml' }],
  ['by the plant', { amount: 5, unit: 'g', per: { amount: 1, unit: 'plant' } }, leeks, { amount: 1100, unit: 'g' }],
  [
    'by ground that is known',
    { amount: 200, unit: 'ml', per: { amount: 1, unit: 'ha' } },
    { ...leeks, areaM2: 36 },
    { amount: 0.72, unit: 'ml' },
  ],
  ['by ground that is not', { amount: 200, unit: 'ml', per: { amount: 1, unit: 'ha' } }, leeks, undefined],
  ['by length', { amount: 20, unit: 'ml', per: { amount: 1, unit: 'm' } }, leeks, undefined],
  ['nothing to go by', { amount: 20, unit: 'ml', per: null }, leeks, undefined],
  ['what is neither poured nor weighed', { amount: 20, unit: 'm', per: { amount: 1, unit: 'l' } }, leeks, undefined],
])('what one treatment takes: %s', (_, rate, treated, needed) => {
  expect(productNeeded(rate, treated)).toEqual(needed);
});
