import { rateAt } from '@field-nurse/core/dose';
import { mixFor } from '@field-nurse/core/dose';
import type { MixQuestion } from '@field-nurse/core/dose';
import type { BenchInput, CardRate } from './mix-question';
import { benchFaults, isByArea, isSpread, mixQuestion } from './mix-question';

const soap: CardRate = {
  product: 'soap',
  strength: { amount: 50, unit: 'percent' },
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
  coverage: undefined,
};
const bench: BenchInput = { plants: 40, each: 100, areaM2: null, strength: 50, rate: 20, sprayerL: 5, spoons: 'metric' };

test('forty plants at 100 ml, 20 ml a litre: 4 l and 80 ml', () => {
  expect(mixFor(mixQuestion(soap, bench) as MixQuestion)).toMatchObject({
    mix: { product: { amount: 80, unit: 'ml' }, water: { amount: 4, unit: 'l' } },
  });
});

test('ten square metres at 5 g a square metre: 50 g and no sprayer, whatever stands there', () => {
  const question = mixQuestion(pellets, { ...bench, areaM2: 10, rate: 5 });
  expect(isSpread(pellets)).toBe(true);
  expect(question).not.toHaveProperty('sprayer');
  expect(mixFor(question as MixQuestion)).toMatchObject({ mix: { product: { amount: 50, unit: 'g' } } });
});

test('a litre to a square metre is counted by ground and not by plants: thirty beetroots on one square metre get one gram of borax', () => {
  const borax: CardRate = {
    ...soap,
    amount: 1,
    unit: 'g',
    labelMax: { amount: 1, unit: 'g' },
    coverage: { amount: 1, unit: 'l', per: 'm2' },
  };
  expect(isByArea(borax)).toBe(true);
  const question = mixQuestion(borax, { ...bench, plants: 30, each: 1, areaM2: 1, rate: 1 });
  expect(mixFor(question as MixQuestion)).toMatchObject({ mix: { product: { amount: 1, unit: 'g' }, water: { amount: 1, unit: 'l' } } });
  expect([...benchFaults(borax, { ...bench, each: 1, rate: 1 }).keys()]).toEqual(['areaM2']);
});

test('a product of a quarter of the strength is taken four times, and so is its maximum', () => {
  const spinosad: CardRate = { ...soap, strength: { amount: 480, unit: 'g/l' }, amount: 0.2, labelMax: { amount: 0.25, unit: 'ml' } };
  expect(rateAt(spinosad, 120)).toEqual({ rate: 0.8, most: 1 });
  expect(rateAt({ ...spinosad, unit: 'parts', amount: 1, labelMax: { amount: 1, unit: 'parts' } }, 1)).toEqual({ rate: 1, most: 1 });
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
  [{ strength: null }, ['strength']],
  [{ strength: 0 }, ['strength']],
  [{ strength: 25, rate: 40 }, []],
  [{ strength: 25, rate: 51 }, ['rate']],
  [{ each: 0, sprayerL: 0 }, ['each', 'sprayerL']],
] as const)('%j has faults at %j', (change, fields) => {
  expect([...benchFaults(soap, { ...bench, ...change }).keys()]).toEqual(fields);
});

test('where pellets are spread, the sprayer does not matter', () => {
  expect(benchFaults(pellets, { ...bench, areaM2: 10, rate: 5, sprayerL: 0 }).size).toBe(0);
});

test('the label of the pack in hand goes before the typical maximum, in both directions', () => {
  expect([...benchFaults(soap, { ...bench, rate: 18.1 }, 18).values()]).toEqual([
    'The label of your pack allows 18 ml at most. Nothing is mixed above it.',
  ]);
  expect(benchFaults(soap, { ...bench, rate: 30 }, 30).size).toBe(0);
  expect(mixFor(mixQuestion(soap, { ...bench, rate: 19 }, 18) as MixQuestion)).toMatchObject({ refused: { code: 'label-max' } });
});
