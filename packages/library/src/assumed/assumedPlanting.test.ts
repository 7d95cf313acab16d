import { findNamed } from '../names/find';
import { assumedPlanting } from './assumedPlanting';
import { library } from '../testLibrary';

const { hosts } = library;
const assumed = (typed: string, words = '', place?: Parameters<typeof assumedPlanting>[1]['place']) => {
  const { entry, qualifier } = findNamed(hosts, typed)!;
  return assumedPlanting(entry, { beside: qualifier, words, place });
};

test.each([
  ['moth orchid', '', 'indoor', 'plant'],
  ['courgette', '', 'outdoor', 'plant'],
  ['seedlings', '', 'indoor', 'plant'],
  ['hydroponic tomato', '', 'hydroponic', 'words'],
  ['tomatoes in the tunnel', '', 'greenhouse', 'words'],
  ['basil', 'it stands on the kitchen windowsill and goes yellow', 'indoor', 'words'],
  ['basil', 'I bought it at the garden centre', 'outdoor', 'plant'],
  ['monstera', 'I put it outside on the patio in May', 'outdoor', 'words'],
  ['feed store', '', 'outdoor', 'plant'],
] as const)('%s, “%s”: %s, by the %s', (typed, words, setting, by) => {
  expect(assumed(typed, words)).toMatchObject({ setting: { value: setting, by } });
});

test('a place says where it stands, unless the words say otherwise', () => {
  const sill = { name: 'Sill', setting: 'indoor' as const };
  expect(assumed('basil', '', sill).setting).toEqual({ value: 'indoor', by: 'place' });
  expect(assumed('basil in the greenhouse', '', sill).setting).toEqual({ value: 'greenhouse', by: 'words' });
});

test('what is eaten follows from the plant; of what only some eat it is asked', () => {
  expect(assumed('moth orchid').eaten).toEqual({ value: false, by: 'plant' });
  expect(assumed('courgette').eaten).toEqual({ value: true, by: 'plant' });
  expect(assumed('daylily').eaten).toEqual({ value: false, by: 'guess' });
});

test('how many there are and whether they flower are read from the words', () => {
  expect(assumed('12 leeks').plants).toEqual({ value: 12, by: 'words' });
  expect(assumed('leeks', 'all of my forty leeks').plants).toEqual({ value: 1, by: 'guess' });
  expect(assumed('leeks', 'three of my 40 leeks have orange dots').plants).toEqual({ value: 40, by: 'words' });
  expect(assumed('leeks', 'since week 12, in 5 days').plants).toEqual({ value: 1, by: 'guess' });
  expect(assumed('broad beans', 'they are in full flower and black with lice').inFlower).toEqual({ value: true, by: 'words' });
  expect(assumed('broad beans', 'not in flower yet').inFlower).toEqual({ value: false, by: 'words' });
});

test.each([
  ['courgette', 'we are picking them every other day', true, 'words'],
  ['lettuce', 'nearly ready to cut and now this', true, 'words'],
  ['tomato', 'not ready to pick yet', false, 'words'],
  ['tomato', 'I stopped picking them, they look sick', false, 'guess'],
  ['cabbage', 'slugs are eating the leaves, should I be cutting them off', false, 'guess'],
  ['tomato', 'I am picking off the beetles every morning', false, 'guess'],
  ['moth orchid', 'it is being picked at by the cat', false, 'plant'],
] as const)('whether %s is picked now, from “%s”: %s, by %s', (typed, words, value, by) => {
  expect(assumed(typed, words).picked).toEqual({ value, by });
});

test.each([
  ['kale', 'just planted them out and the leaves have holes', true, 'words'],
  ['20 leek seedlings', '', true, 'words'],
  ['seedlings', '', true, 'plant'],
  ['monstera', 'brown spots', false, 'guess'],
] as const)('whether %s is young, from “%s”: %s', (typed, words, value, by) => {
  expect(assumed(typed, words).young).toEqual({ value, by });
});

describe('of others of its kind', () => {
  const sill = { setting: 'indoor', eaten: false, inFlower: false, picked: false } as const;
  const bed = { setting: 'outdoor', eaten: true, inFlower: true, picked: true } as const;
  const among = (typed: string, neighbours: (typeof sill | typeof bed)[], words = '') =>
    assumedPlanting(findNamed(hosts, typed)!.entry, { words, neighbours });

  test('it stands where all of them stand, unless the words say otherwise', () => {
    expect(among('basil', [sill, sill]).setting).toEqual({ value: 'indoor', by: 'neighbours' });
    expect(among('basil', [sill, bed]).setting).toEqual({ value: 'outdoor', by: 'plant' });
    expect(among('basil', [sill], 'in the tunnel').setting).toEqual({ value: 'greenhouse', by: 'words' });
  });

  test('it is eaten as they are, where that is not known by the plant', () => {
    expect(among('daylily', [bed]).eaten).toEqual({ value: true, by: 'neighbours' });
    expect(among('moth orchid', [bed]).eaten).toEqual({ value: false, by: 'plant' });
  });

  test('it flowers and is picked when one of them is', () => {
    expect(among('courgette', [sill, bed])).toMatchObject({
      inFlower: { value: true, by: 'neighbours' },
      picked: { value: true, by: 'neighbours' },
    });
    expect(among('courgette', [bed], 'no longer in flower').inFlower).toEqual({ value: false, by: 'words' });
  });
});
