import { fromField, inGardenUnits, inOtherUnits, toField } from './units';

test('a measure is shown short, in the garden’s unit, and in the other one beside it', () => {
  expect([inGardenUnits('water', 20, 'metric'), inGardenUnits('water', 20, 'us')]).toEqual(['20 l', '5.28 gal']);
  expect([inGardenUnits('water', 0.25, 'metric'), inGardenUnits('water', 0.25, 'us')]).toEqual(['250 ml', '8.45 fl oz']);
  expect([inGardenUnits('temperature', -3, 'us'), inOtherUnits('temperature', -3, 'us')]).toEqual(['26.6 °F', '-3 °C']);
  expect(inGardenUnits('area', 1234.5, 'metric')).toBe('1235 m²');
});

test('a field takes a measure in the garden’s unit; an empty one stays empty', () => {
  expect(toField('wind', 10, 'us')).toBe(6.21);
  expect(fromField('temperature', 50, 'us')).toBe(10);
  expect([toField('water', null, 'us'), fromField('water', null, 'us', 3)]).toEqual([null, null]);
});

test('what a field still shows stays to the last digit; what was typed is taken as typed', () => {
  expect(fromField('water', toField('water', 2, 'us'), 'us', 2)).toBe(2);
  expect(fromField('water', 0.528, 'us')).not.toBe(2);
  expect(fromField('water', 1, 'us', 2)).toBeCloseTo(3.785, 3);
});
