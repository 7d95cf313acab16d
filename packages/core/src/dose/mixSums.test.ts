import fc from 'fast-check';
import { mixFor } from './index';
import type { MixQuestion } from './index';

// The other way to reckon: everything in litres, kilograms, metres and floating point, from sizes looked up apart from the application's own table.
const litres = {
  ml: 0.001,
  l: 1,
  'tsp-us': 0.00492892159375,
  'tbsp-us': 0.01478676478125,
  'floz-us': 0.0295735295625,
  'cup-us': 0.2365882365,
  'pt-us': 0.473176473,
  'qt-us': 0.946352946,
  'gal-us': 3.785411784,
  'tsp-metric': 0.005,
  'tbsp-metric': 0.015,
  'cup-metric': 0.25,
  'floz-imp': 0.0284130625,
  'pt-imp': 0.56826125,
  'gal-imp': 4.54609,
  ft3: 28.316846592,
} as const;
const kilograms = { g: 0.001, kg: 1, oz: 0.028349523125, lb: 0.45359237 } as const;
const squareMetres = { m2: 1, ft2: 0.09290304, ha: 10_000, acre: 4046.8564224 } as const;
const metres = { m: 1, cm: 0.01, ft: 0.3048, in: 0.0254 } as const;
const size: Readonly<Record<string, number>> = { ...litres, ...kilograms, ...squareMetres, ...metres, plant: 1 };

const amount = fc.integer({ min: 1, max: 4000 }).map((quarters) => quarters / 4);
const of = <U extends string>(units: Readonly<Record<U, number>>) =>
  fc.record({ amount, unit: fc.constantFrom(...(Object.keys(units) as U[])) });
const volume = of(litres);
const product = fc.oneof(volume, of(kilograms));
const si = ({ amount, unit }: { amount: number; unit: string }): number => amount * size[unit]!;
const plants = fc.integer({ min: 1, max: 900 });

/** A sum with what it must come to: of the product in kg or litres, of the water in litres. */
type Sum = { question: MixQuestion; product: number; water: number };
const sums: Readonly<Record<string, fc.Arbitrary<Sum>>> = {
  'by water': fc.tuple(product, volume, volume).map(([rate, per, make]) => ({
    question: { rate: { ...rate, per }, make },
    product: (si(rate) / si(per)) * si(make),
    water: si(make),
  })),
  'by plants, with the water that each takes': fc.tuple(product, plants, volume, plants).map(([rate, per, each, count]) => ({
    question: { rate: { ...rate, per: { amount: per, unit: 'plant' } }, treat: { plants: count, coverage: { ...each, per: 'plant' } } },
    product: (si(rate) * count) / per,
    water: si(each) * count,
  })),
  'by ground, dry': fc.tuple(product, of(squareMetres), of(squareMetres)).map(([rate, per, area]) => ({
    question: { rate: { ...rate, per }, treat: { area } },
    product: (si(rate) * si(area)) / si(per),
    water: 0,
  })),
  'by the row': fc.tuple(product, of(metres), of(metres), volume).map(([rate, per, length, each]) => ({
    question: { rate: { ...rate, per }, treat: { length, coverage: { ...each, per: 'ft' } } },
    product: (si(rate) * si(length)) / si(per),
    water: (si(each) * si(length)) / 0.3048,
  })),
  'weight in weight, as a slurry': fc.tuple(product, of(kilograms), of(kilograms), volume).map(([rate, per, weight, each]) => ({
    question: { rate: { ...rate, per }, treat: { weight, coverage: { ...each, per: 'lb' } } },
    product: (si(rate) * si(weight)) / si(per),
    water: (si(each) * si(weight)) / 0.45359237,
  })),
  'by the compost of pots': fc.tuple(product, volume, volume, plants).map(([rate, per, pot, count]) => ({
    question: { rate: { ...rate, per: { ...per, of: 'compost' } }, treat: { pot, plants: count } },
    product: (si(rate) * si(pot) * count) / si(per),
    water: 0,
  })),
  'a drench of so much for the litre of compost': fc
    .tuple(product, volume, volume, volume, plants)
    .map(([rate, per, pot, each, count]) => ({
      question: { rate: { ...rate, per }, treat: { pot, plants: count, coverage: { ...each, per: 'l' } } },
      product: (si(rate) / si(per)) * (si(each) * si(pot) * count),
      water: si(each) * si(pot) * count,
    })),
  percent: fc.tuple(fc.integer({ min: 1, max: 99 }), volume).map(([percent, make]) => ({
    question: { rate: { amount: percent, unit: 'percent' }, make },
    product: (si(make) * percent) / 100,
    water: si(make) * (1 - percent / 100),
  })),
  parts: fc.tuple(plants, plants, volume).map(([one, to, make]) => ({
    question: { rate: { amount: one, unit: 'parts', per: { amount: to, unit: 'parts' } }, make },
    product: (si(make) * one) / (one + to),
    water: (si(make) * to) / (one + to),
  })),
  'parts in a million, by weight': fc.tuple(plants, volume).map(([ppm, make]) => ({
    question: { rate: { amount: ppm, unit: 'ppm' }, make },
    // A litre of water weighs a kilogram.
    product: (ppm / 1e6) * si(make),
    water: si(make),
  })),
  'so deep': fc.tuple(of(metres), of(squareMetres)).map(([depth, area]) => ({
    question: { rate: depth, treat: { area } },
    product: si(depth) * si(area) * 1000,
    water: 0,
  })),
};

const near = (found: number, wanted: number): void => expect(Math.abs(found - wanted)).toBeLessThanOrEqual(1e-9 * Math.max(wanted, 1e-12));

test.each(Object.entries(sums))('%s: 50 sums, against the same in other units', (_, sum) => {
  fc.assert(
    fc.property(sum, fc.constantFrom('us' as const, 'metric' as const, undefined), ({ question, product, water }, spoons) => {
      const answer = mixFor({ ...question, spoons });
      if (!('mix' in answer)) throw new Error(answer.refused.text);
      near(si(answer.mix.product), product);
      near(si(answer.mix.water), water);
    }),
    { numRuns: 50, seed: 20_261_129 },
  );
});

test('fills add up to the whole, with what stands in the sprayer', () => {
  const share = fc.double({ min: 0.01, max: 0.99, noNaN: true });
  fc.assert(
    fc.property(of(kilograms), volume, share, share, fc.constantFrom('water' as const, 'mix' as const), (rate, make, tank, there, kind) => {
      const sprayer = { amount: make.amount * tank, unit: make.unit };
      const standing = { amount: sprayer.amount * there, unit: make.unit, of: kind };
      const answer = mixFor({ rate: { ...rate, per: { amount: 1, unit: 'l' } }, make, sprayer, standing });
      if (!('mix' in answer)) throw new Error(answer.refused.text);
      const { fills, product, water } = answer.mix;
      const sum = (read: (fill: (typeof fills)[number]) => number) => fills.reduce((all, fill) => all + read(fill), 0);
      expect(sum(({ product: one }) => si(one))).toBeCloseTo(si(product), 6);
      expect(sum(({ water: one }) => si(one))).toBeCloseTo(si(water), 6);
      // What is poured and what was there is what was wanted.
      expect(sum(({ pour }) => si(pour)) + si(standing)).toBeCloseTo(si(make), 6);
      expect(Math.max(...fills.map(({ water: one }) => si(one)))).toBeLessThanOrEqual(si(sprayer) * (1 + 1e-9));
    }),
    { numRuns: 200, seed: 20_261_129 },
  );
});

test('a share of the mix takes up its room: no fill is more than the sprayer holds', () => {
  const answer = mixFor({ rate: { amount: 20, unit: 'percent' }, make: { amount: 12, unit: 'l' }, sprayer: { amount: 5, unit: 'l' } });
  if (!('mix' in answer)) throw new Error(answer.refused.text);
  expect(answer.mix.fills.map(({ water, product: one }) => [water.amount, one.amount])).toEqual([
    [4, 1000],
    [4, 1000],
    [1.6, 400],
  ]);
});
