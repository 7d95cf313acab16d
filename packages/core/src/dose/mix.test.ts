import fc from 'fast-check';
import Fraction from 'fraction.js';
import { mixFor } from './mix';
import type { Mix, MixQuestion } from './mix';
import { inSpoons } from './spoons';

const mixOf = (question: MixQuestion): Mix => {
  const answer = mixFor(question);
  if (!('mix' in answer)) throw new Error(answer.refused.text);
  return answer.mix;
};
const perLitre = { amount: 20, unit: 'ml', per: { amount: 1, unit: 'l' } } as const;

test('a rate per litre of water', () => {
  const { product, water } = mixOf({ rate: perLitre, make: { amount: 5, unit: 'l' } });
  expect([product, water]).toEqual([
    { amount: 100, unit: 'ml' },
    { amount: 5, unit: 'l' },
  ]);
});

test('percent and parts are shares of the finished mix', () => {
  const percent = mixOf({ rate: { amount: 2, unit: 'percent' }, make: { amount: 10, unit: 'l' } });
  expect([percent.product.amount, percent.water.amount]).toEqual([200, 9.8]);
  const parts = mixOf({ rate: { amount: 1, unit: 'parts', per: { amount: 9, unit: 'parts' } }, make: { amount: 1, unit: 'l' } });
  expect([parts.product.amount, parts.water.amount]).toEqual([100, 0.9]);
});

test('fills of a sprayer end with a part fill that has its own share', () => {
  const { fills } = mixOf({ rate: perLitre, make: { amount: 12, unit: 'l' }, sprayer: { amount: 5, unit: 'l' } });
  expect(fills.map(({ water, product }) => [water.amount, product.amount])).toEqual([
    [5, 100],
    [5, 100],
    [2, 40],
  ]);
});

test('water for plants follows from what one takes', () => {
  const { water, product } = mixOf({
    rate: { amount: 3, unit: 'g', per: { amount: 1, unit: 'l' } },
    treat: { plants: 90, coverage: { amount: 100, unit: 'ml', per: 'plant' } },
  });
  expect([water.amount, product]).toEqual([9, { amount: 27, unit: 'g' }]);
});

test('more made than is needed is left over; less is told', () => {
  const treat = { plants: 90, coverage: { amount: 50, unit: 'ml', per: 'plant' } } as const;
  expect(mixOf({ rate: perLitre, make: { amount: 5, unit: 'l' }, treat }).leftOver).toEqual({ amount: 0.5, unit: 'l' });
  const { leftOver, alerts } = mixOf({ rate: perLitre, make: { amount: 3, unit: 'l' }, treat });
  expect([leftOver, alerts.find(({ code }) => code === 'not-enough')?.text]).toEqual([null, 'That is enough for 66 % of it.']);
});

test('spoons hold a powder by its own density, and by none else', () => {
  const rate = { amount: 4, unit: 'g', per: { amount: 1, unit: 'l' } } as const;
  const make = { amount: 1, unit: 'l' } as const;
  expect(mixOf({ rate, make, spoons: 'metric', density: 0.8 }).inSpoons).toEqual({ text: '1 teaspoon (5 ml)', errorPercent: 0 });
  expect(mixOf({ rate, make, spoons: 'metric' }).inSpoons).toBeNull();
});

test.each([
  ['more water than it needs', { amount: 6, unit: 'l', of: 'water' }, 'pour 1 l out'],
  ['mix enough already', { amount: 5, unit: 'l', of: 'mix' }, 'nothing is mixed'],
  ['a weight', { amount: 1, unit: 'kg', of: 'mix' }, 'given as a volume'],
] as const)('%s in the sprayer: nothing is mixed, and why', (_, standing, words) => {
  const answer = mixFor({ rate: perLitre, make: { amount: 5, unit: 'l' }, sprayer: { amount: 8, unit: 'l' }, standing });
  expect('refused' in answer && answer.refused.text).toContain(words);
});

test('how it is put on decides the order of work', () => {
  const codesOf = (way: MixQuestion['way']) => mixOf({ rate: perLitre, make: { amount: 5, unit: 'l' }, way }).steps.map(({ code }) => code);
  expect(codesOf('drench')).toContain('wet-first');
  expect(codesOf('slurry')).toContain('seed-label');
  expect(codesOf(undefined)).toEqual(codesOf('spray'));
});

test.each([
  [
    {
      rate: { amount: 30, unit: 'ml', per: { amount: 1, unit: 'l' } },
      make: { amount: 1, unit: 'l' },
      labelMax: { amount: 25, unit: 'ml' },
    },
    'label-max',
  ],
  [{ rate: perLitre }, 'nothing-to-treat'],
  [{ rate: perLitre, make: { amount: 1, unit: 'kg' } }, 'units-differ'],
  [{ rate: { amount: 20, unit: 'ml' }, make: { amount: 1, unit: 'l' } }, 'rate-per'],
  [{ rate: { amount: 100, unit: 'percent' }, make: { amount: 1, unit: 'l' } }, 'above-whole'],
] as const)('refuses %j with %s', (question, code) => {
  expect(mixFor(question)).toMatchObject({ refused: { code } });
});

test('product scales with water', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 1, max: 9 }), (litres, times) => {
      const one = mixOf({ rate: perLitre, make: { amount: litres, unit: 'l' } }).product.amount;
      expect(mixOf({ rate: perLitre, make: { amount: litres * times, unit: 'l' } }).product.amount).toBeCloseTo(one * times, 6);
    }),
  );
});

test('spoons are named from the largest down', () => {
  expect(inSpoons(new Fraction(20n), 'metric')).toEqual({ text: '1 tablespoon (15 ml) + 1 teaspoon (5 ml)', errorPercent: 0 });
});

test('spoons never pass the label maximum', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5000 }), fc.constantFrom('us', 'metric'), (tenths, set) => {
      const volume = new Fraction(BigInt(tenths), 10n);
      expect(inSpoons(volume, set, volume)?.errorPercent ?? 0).toBeLessThanOrEqual(0);
    }),
  );
});
