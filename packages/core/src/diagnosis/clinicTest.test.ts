import fc from 'fast-check';
import { chanceAfter, likelihoodRatio } from './clinicTest';

const quality = { sensitivity: 0.9, specificity: 0.95 };
const share = fc.double({ min: 0.01, max: 0.99, noNaN: true });

test('the examples of the docs', () => {
  expect(likelihoodRatio({ result: 'positive', ...quality })).toBeCloseTo(18, 10);
  expect(likelihoodRatio({ result: 'negative', ...quality })).toBeCloseTo(0.105, 3);
  expect(chanceAfter(0.5, { result: 'positive', ...quality })).toBeCloseTo(0.947, 3);
  expect(chanceAfter(0, { result: 'positive', ...quality })).toBe(0);
  expect(() => chanceAfter(1.2, { result: 'positive', ...quality })).toThrow('chanceAfter requires a chance from 0 to 1, got 1.2');
});

test('predictive values as published: 2.3 % ill, sensitivity 90 %, specificity 90 %', () => {
  // A hand-worked table of 1000: 23 ill of whom 20.7 positive; 977 well of whom 97.7 positive.
  expect(chanceAfter(0.023, { result: 'positive', sensitivity: 0.9, specificity: 0.9 })).toBeCloseTo(20.7 / (20.7 + 97.7), 10);
  expect(chanceAfter(0.023, { result: 'negative', sensitivity: 0.9, specificity: 0.9 })).toBeCloseTo(2.3 / (2.3 + 879.3), 10);
});

test('what the results would say, weighed by how likely they are, is what is thought now', () => {
  fc.assert(
    fc.property(share, share, share, (chance, sensitivity, specificity) => {
      const positive = chance * sensitivity + (1 - chance) * (1 - specificity);
      const after = (result: 'positive' | 'negative') => chanceAfter(chance, { result, sensitivity, specificity });
      expect(positive * after('positive') + (1 - positive) * after('negative')).toBeCloseTo(chance, 8);
    }),
  );
});

test('even the best test leaves a doubt', () => {
  expect(chanceAfter(0.5, { result: 'positive', sensitivity: 1, specificity: 1 })).toBeLessThan(1);
  expect(chanceAfter(0.5, { result: 'negative', sensitivity: 1, specificity: 1 })).toBeGreaterThan(0);
});
