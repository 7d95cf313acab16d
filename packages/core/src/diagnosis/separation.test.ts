import { differenceOf, separation } from './separation';
import { testKnowledge } from './testKnowledge';

const signs = new Map(testKnowledge.signs.map((sign) => [sign.id, sign]));
const cause = (id: string) => testKnowledge.conditions.find((one) => one.id === id)!;

test('the sign on which two conditions differ most comes first', () => {
  const [first] = separation(cause('mite'), cause('rust'), signs);
  // dots: always against never named: 1 − 0.98·0.07 against the leak of 0.02; dust: 1 − 0.996·0.07 against 0.004
  expect(first!.sign).toBe('dust');
  expect(first!.first).toBeCloseTo(0.004, 12);
  expect(first!.second).toBeCloseTo(1 - 0.996 * 0.07, 12);
  expect(differenceOf(first!)).toBeCloseTo(1 - 0.996 * 0.07 - 0.004, 12);
});

test('signs that neither shows are left out, and a condition is no different from itself', () => {
  expect(separation(cause('aphid'), cause('gnat'), signs).map(({ sign }) => sign)).not.toContain('dust');
  expect(Math.max(...separation(cause('mite'), cause('mite'), signs).map(differenceOf))).toBe(0);
});
