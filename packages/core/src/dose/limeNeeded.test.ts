import { limeNeeded } from './index';

test.each([
  [{ ph: 5.8, wanted: 6.5, soil: 'loam' as const }, 490, 1],
  [{ ph: 5, wanted: 7, soil: 'clay' as const }, 1600, 2],
  [{ ph: 6.2, wanted: 6.7, soil: 'sand' as const }, 300, 1],
  [{ ph: 7.4, wanted: 6.5, soil: 'clay' as const }, 0, 1],
])('%j takes %d g/m², in %d', (question, grams, gifts) => expect(limeNeeded(question)).toEqual({ gramsPerM2: grams, gifts }));

test.each([
  [{ ph: 1, wanted: 6 }, 'measured pH from 3 to 9'],
  [{ ph: 6, wanted: 9 }, 'wanted pH from 4 to 8'],
  [{ ph: NaN, wanted: 6 }, 'measured pH'],
])('%j is no soil test', (wrong, words) => expect(() => limeNeeded({ ...wrong, soil: 'loam' })).toThrow(words));
