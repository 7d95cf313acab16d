import { firstLetters } from './first-letters';
import { dayWord, fromToday, instantWord, longDay } from './days';
import { amountWord, fromField, inGardenUnits, inOtherUnits, toField } from './units';

describe('days', () => {
  test('in words, with the year when it is another', () => {
    expect(dayWord('2026-07-18')).toBe('18 Jul');
    expect(dayWord('2025-07-18', '2026-01-01')).toBe('18 Jul 2025');
    expect(longDay('2026-07-18')).toMatch(/Saturday,? 18 July 2026/);
  });

  test.each([
    ['2026-07-18', 'today'],
    ['2026-07-19', 'tomorrow'],
    ['2026-07-17', 'yesterday'],
    ['2026-07-28', 'in 10 days'],
    ['2026-07-08', '10 days ago'],
  ])('%s is %s', (day, words) => {
    expect(fromToday(day, '2026-07-18')).toBe(words);
  });

  test('an instant is told on the garden’s clock', () => {
    expect(instantWord('2026-07-18T23:30:00Z', 'Europe/London')).toBe('19 Jul, 00:30');
  });
});

describe('units', () => {
  test('follow the garden, with the other system beside', () => {
    expect([inGardenUnits('water', 20, 'metric'), inOtherUnits('water', 20, 'metric')]).toEqual(['20 l', '5.28 gal']);
    expect([inGardenUnits('water', 0.6, 'metric'), inGardenUnits('water', 0.6, 'us')]).toEqual(['600 ml', '20.3 fl oz']);
    expect(inGardenUnits('temperature', 18, 'us')).toBe('64.4 °F');
    expect(inGardenUnits('wind', 16.09344, 'us')).toBe('10 mph');
    expect(inGardenUnits('area', 10, 'us')).toBe('108 ft²');
    expect([inGardenUnits('rain', 12.7, 'us'), inGardenUnits('length', 5, 'us')]).toEqual(['0.5 in', '1.97 in']);
  });

  test.each(['water', 'temperature', 'wind', 'area', 'rain', 'length'] as const)('%s goes into a field and comes back', (name) => {
    expect(fromField(name, toField(name, 20, 'us'), 'us')).toBeCloseTo(20, 1);
    expect(fromField(name, toField(name, 20, 'metric'), 'metric')).toBe(20);
    expect([toField(name, null, 'us'), fromField(name, null, 'us')]).toEqual([null, null]);
  });

  test('three figures are enough at the bench', () => {
    expect([
      amountWord({ amount: 66.666, unit: 'g' }),
      amountWord({ amount: 1234.5, unit: 'ml' }),
      amountWord({ amount: 0.12345, unit: 'tsp-us' }),
    ]).toEqual(['66.7 g', '1235 ml', '0.123 tsp']);
  });
});

test.each([
  ['short', 120, 'short'],
  ['leek', 3, 'lee'],
  ['ab🌱', 3, 'ab'],
  ['ab👩‍🌾c', 5, 'ab'],
  ['e\u0301x', 2, 'e\u0301'],
])('the first letters of %j, %d at most, are never half of one', (text, most, first) => {
  expect(firstLetters(text, most)).toBe(first);
});
