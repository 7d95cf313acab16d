import { rainChance, usualRainChance } from './index';

test.each([
  ['now it is taken at its word, wet', { isWet: true, daysAhead: 0, usual: 0.3 }, 1],
  ['now it is taken at its word, dry', { isWet: false, daysAhead: 0, usual: 0.3 }, 0],
  // e^(−4/5) = 0.4493: 0.4493 + 0.3 × 0.5507
  ['four days ahead, wet', { isWet: true, daysAhead: 4, usual: 0.3 }, 0.6145],
  ['four days ahead, dry', { isWet: false, daysAhead: 4, usual: 0.3 }, 0.1652],
  ['far ahead it says nothing', { isWet: true, daysAhead: 90, usual: 0.3 }, 0.3],
])('%s', (_, forecast, chance) => expect(rainChance(forecast)).toBeCloseTo(chance, 4));

test.each([0, 1, 3, 9])('%d days ahead, what is forecast wet as often as is usual comes as often as is usual', (daysAhead) => {
  const usual = 0.35;
  const [wet, dry] = [true, false].map((isWet) => rainChance({ isWet, daysAhead, usual })) as [number, number];
  expect(usual * wet + (1 - usual) * dry).toBeCloseTo(usual, 12);
  expect(wet).toBeGreaterThanOrEqual(dry);
});

test('what is usual comes from here, and from elsewhere where little was measured', () => {
  expect(usualRainChance([])).toBeCloseTo(0.3);
  expect(usualRainChance(Array.from({ length: 20 }, () => true))).toBeCloseTo(0.65);
  expect(usualRainChance(Array.from({ length: 2000 }, () => false))).toBeLessThan(0.01);
});
