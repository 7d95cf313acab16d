import fc from 'fast-check';
import Fraction from 'fraction.js';
import { fromBase, fromDecimal, inBase } from '../units/index';
import { mixSteps } from './mixSteps';
import { mixFor } from './mix';
import { inSpoons } from './spoons';

const ml = (volume: number) => fromDecimal(volume);

test.each([
  [5, 'metric', '1 teaspoon (5 ml)', 0],
  [2.5, 'metric', '½ teaspoon', 0],
  [17.5, 'metric', '1 tablespoon (15 ml) + ½ teaspoon', 0],
  [250, 'metric', '1 cup (250 ml)', 0],
  [20.625, 'metric', '1 tablespoon (15 ml) + 1 teaspoon (5 ml) + ⅛ teaspoon', 0],
  [0.5, 'metric', '⅛ teaspoon', 25],
  [14.78676478125, 'us', '1 tablespoon', 0],
] as const)('%d ml in %s spoons is %s', (volume, set, text, errorPercent) => {
  expect(inSpoons(ml(volume), set)).toEqual({ text, errorPercent });
});

test('less than half an eighth of a teaspoon is not measured with spoons', () => {
  expect(inSpoons(ml(0.3), 'metric')).toBeUndefined();
});

test('rounding up is not allowed where the label ends', () => {
  expect(inSpoons(ml(0.6), 'metric', ml(0.6))).toBeUndefined();
  expect(inSpoons(ml(0.6), 'metric', ml(0.625))?.text).toBe('⅛ teaspoon');
});

test('spoons are off by at most half of the smallest one', () => {
  const halfEighth = 5 / 16;
  fc.assert(
    fc.property(fc.integer({ min: 7, max: 20_000 }), (tenths) => {
      const volume = new Fraction(BigInt(tenths), 10n);
      const measure = inSpoons(volume, 'metric');
      if (measure) expect(Math.abs((measure.errorPercent / 100) * volume.valueOf())).toBeLessThanOrEqual(halfEighth + 1e-9);
    }),
  );
});

describe('a mix', () => {
  const perLitre = { amount: 20, unit: 'ml', per: { amount: 1, unit: 'l' } } as const;

  test('per area: product for the bed, water only when a coverage is said', () => {
    const rate = { amount: 250, unit: 'g', per: { amount: 1, unit: 'm2' } } as const;
    expect(mixFor({ rate, treat: { area: { amount: 12, unit: 'm2' } } })).toMatchObject({
      mix: { product: { amount: 3000, unit: 'g' }, water: { amount: 0 } },
    });
    expect(mixFor({ rate, treat: { area: { amount: 12, unit: 'm2' }, coverage: { amount: 0.5, unit: 'l', per: 'm2' } } })).toMatchObject({
      mix: { water: { amount: 6 } },
    });
  });

  test('an ounce per US gallon, worked by hand: 28.349523125 g in 3.785411784 l, so 74.9 g in 10 l', () => {
    const answer = mixFor({ rate: { amount: 1, unit: 'oz', per: { amount: 1, unit: 'gal-us' } }, make: { amount: 10, unit: 'l' } });
    if (!('mix' in answer)) throw new Error('refused');
    expect(answer.mix.product.amount).toBeCloseTo((28.349523125 / 3.785411784) * 10, 9);
  });

  test('the fills together are the whole', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 1, max: 20 }), (make, tank) => {
        const answer = mixFor({ rate: perLitre, make: { amount: make, unit: 'l' }, sprayer: { amount: tank, unit: 'l' } });
        if (!('mix' in answer)) throw new Error('refused');
        const { fills, product, water } = answer.mix;
        const sum = (pick: (fill: (typeof fills)[number]) => number) => fills.reduce((so, fill) => so + pick(fill), 0);
        expect(sum((fill) => fill.product.amount)).toBeCloseTo(product.amount, 6);
        expect(sum((fill) => fill.water.amount)).toBeCloseTo(water.amount, 6);
        expect(fills.every((fill) => fill.water.amount <= tank)).toBe(true);
      }),
    );
  });

  test('at the label maximum it is given, a hair above it is refused', () => {
    const at = (amount: number) =>
      mixFor({ rate: { ...perLitre, amount }, make: { amount: 1, unit: 'l' }, labelMax: { amount: 25, unit: 'ml' } });
    expect(at(25)).toHaveProperty('mix');
    expect(at(25.0001)).toMatchObject({ refused: { code: 'label-max' } });
  });

  test('a label in other units of the same kind is compared exactly', () => {
    const label = { amount: 0.025, unit: 'l' } as const;
    expect(mixFor({ rate: { ...perLitre, amount: 25 }, make: { amount: 1, unit: 'l' }, labelMax: label })).toHaveProperty('mix');
    expect(mixFor({ rate: { ...perLitre, amount: 26 }, make: { amount: 1, unit: 'l' }, labelMax: label })).toHaveProperty('refused');
    expect(mixFor({ rate: perLitre, make: { amount: 1, unit: 'l' }, labelMax: { amount: 20, unit: 'g' } })).toMatchObject({
      refused: { code: 'units-differ' },
    });
  });

  test('powders are weighed, not spooned', () => {
    const answer = mixFor({ rate: { ...perLitre, unit: 'g' }, make: { amount: 1, unit: 'l' }, spoons: 'metric' });
    expect(answer).toMatchObject({ mix: { inSpoons: null, alerts: [{ code: 'weigh' }] } });
  });

  test('nothing is brought from mass to volume', () => {
    expect(fromBase(inBase({ amount: 1, unit: 'kg' }), 'g').amount).toBe(1000);
  });
});

test('the step of measuring again is only there for more fills than one', () => {
  expect(mixSteps('spray', 1).map(({ code }) => code)).not.toContain('one-fill-at-a-time');
  expect(mixSteps('spray', 2).map(({ code }) => code)).toContain('one-fill-at-a-time');
  expect(mixSteps('spray', 1)[0]!.code).toBe('protect');
});
