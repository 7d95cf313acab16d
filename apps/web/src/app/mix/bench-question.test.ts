import { mixFor } from '@field-nurse/core/dose';
import type { MixQuestion } from '@field-nurse/core/dose';
import type { BenchInput, CardRate } from './mix-question';
import { benchFaults, isSpread, mixQuestion } from './mix-question';

const soap: CardRate = {
  product: 'soap',
  amount: 20,
  unit: 'ml',
  per: { amount: 1, unit: 'l' },
  labelMax: { amount: 25, unit: 'ml' },
  coverage: { amount: 100, unit: 'ml', per: 'plant' },
  basis: 'typical',
};
const pellets: CardRate = {
  ...soap,
  amount: 5,
  unit: 'g',
  per: { amount: 1, unit: 'm2' },
  labelMax: { amount: 5, unit: 'g' },
  coverage: { amount: 0.25, unit: 'm2', per: 'plant' },
};
const bench: BenchInput = { plants: 40, each: 100, rate: 20, sprayerL: 5, spoons: 'metric' };

test('forty plants at 100 ml, 20 ml a litre: 4 l and 80 ml', () => {
  expect(mixFor(mixQuestion(soap, bench) as MixQuestion)).toMatchObject({
    mix: { product: { amount: 80, unit: 'ml' }, water: { amount: 4, unit: 'l' } },
  });
});

test('forty plants on a quarter of a square metre each, 5 g a square metre: 50 g and no sprayer', () => {
  const question = mixQuestion(pellets, { ...bench, each: 0.25, rate: 5 });
  expect(isSpread(pellets)).toBe(true);
  expect(question).not.toHaveProperty('sprayer');
  expect(mixFor(question as MixQuestion)).toMatchObject({ mix: { product: { amount: 50, unit: 'g' } } });
});

test('the card’s limit always goes into the sum', () => {
  expect(mixFor(mixQuestion(soap, { ...bench, rate: 26 }) as MixQuestion)).toMatchObject({ refused: { code: 'label-max' } });
});

test.each([
  [{}, []],
  [{ rate: 25 }, []],
  [{ rate: 25.1 }, ['rate']],
  [{ rate: 0 }, ['rate']],
  [{ rate: NaN }, ['rate']],
  [{ plants: 0 }, ['plants']],
  [{ plants: 1.5 }, ['plants']],
  [{ each: 0, sprayerL: 0 }, ['each', 'sprayerL']],
] as const)('%j has faults at %j', (change, fields) => {
  expect([...benchFaults(soap, { ...bench, ...change }).keys()]).toEqual(fields);
});

test('where pellets are spread, the sprayer does not matter', () => {
  expect(benchFaults(pellets, { ...bench, each: 0.25, rate: 5, sprayerL: 0 }).size).toBe(0);
});
