import { continentAt } from './continentAt';

test.each([
  ['a fen in the Low Countries', 52, 5, 'europe'],
  ['southern Spain', 37.9, -4, 'europe'],
  ['Sicily', 37.5, 14, 'europe'],
  ['the Gulf of Guinea coast', 5, 0, 'africa'],
  ['Algiers', 36.7, 3, 'africa'],
  ['the Nile delta', 31, 31, 'africa'],
  ['the Cape', -34, 18.5, 'africa'],
  ['Anatolia', 39, 35, 'asia'],
  ['the Ganges', 26, 80, 'asia'],
  ['Java', -7, 110, 'asia'],
  ['New South Wales', -33, 150, 'australasia'],
  ['New Zealand', -41, 175, 'australasia'],
  ['the Great Lakes', 43, -80, 'north-america'],
  ['Costa Rica', 10, -84, 'north-america'],
  ['the Pampas', -35, -60, 'south-america'],
  ['Antarctica', -75, 0, undefined],
] as const)('%s', (_, latitude, longitude, continent) => {
  expect(continentAt(latitude, longitude)).toBe(continent);
});
