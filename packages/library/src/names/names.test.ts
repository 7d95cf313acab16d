import { cultivarIn, findNamed, nearNames, searchByName, settingIn } from './find';
import { library } from '../testLibrary';

const { hosts, conditions, interventions } = library;
const host = (typed: string) => findNamed(hosts, typed);

test.each([
  ['tomato plants', 'tomato', 'plants'],
  ['potatos', 'potato', ''],
  ['Old apple tree', 'apple', 'Old'],
  ['pak choi', 'pak-choi', ''],
  ['pakchoi', 'pak-choi', ''],
  ['bok-choy', 'pak-choi', ''],
  ['back lawn', 'lawn', ''],
  ['daffs', 'daffodil', ''],
  ['strawberries in pots', 'strawberry', 'in pots'],
  ['box balls', 'box', ''],
  ['xmas cactus', 'christmas-cactus', ''],
  ['hydroponic lettuce', 'lettuce', ''],
  ['lettuce seedlings', 'lettuce', 'seedlings'],
  ['seedlings', 'seed-tray', ''],
  ["rose 'Iceberg'", 'rose', "'Iceberg'"],
  ['cherry tomatoes', 'tomato', ''],
  ['indoor palm', 'palm', ''],
  ['hedge of box', 'box', 'hedge of'],
  ['pumpkin vine', 'winter-squash', 'vine'],
  ['vines', 'grape', ''],
  ['tomatoes next to the potatoes', 'tomato', 'next to the potatoes'],
  ['rhododendrun', 'rhododendron', ''],
  ['chrysanths', 'chrysanthemum', ''],
  ['zukes', 'courgette', ''],
])('“%s” means %s', (typed, id, qualifier) => {
  const found = host(typed)!;
  expect(found.entry.id).toBe(id);
  if (qualifier) expect(found.qualifier).toBe(qualifier);
});

test('a name that several plants share is answered with the usual one, and the others are named', () => {
  for (const [typed, id, other] of [
    ['lime', 'citrus', 'lime-tree'],
    ['geranium', 'pelargonium', 'cranesbill'],
    ['laurel', 'cherry-laurel', 'sweet-bay'],
  ] as const) {
    const { entry, couldBe } = host(typed)!;
    expect([entry.id, couldBe.map(({ id: one }) => one).includes(other)]).toEqual([id, true]);
  }
});

test.each([
  ['cabbage aphid', 'mealy-cabbage-aphid'],
  ['Apple Scabs', 'apple-scab'],
  ['colorado potato beetle', 'colorado-beetle'],
  ['gray mold', 'grey-mould'],
])('the trouble “%s” is %s', (typed, id) => {
  expect(findNamed(conditions, typed)!.entry.id).toBe(id);
});

test('ingredients are found in either spelling', () => {
  expect(findNamed(interventions, 'sulfur')!.entry.id).toBe('sulphur');
});

test('every name of every plant leads to it, or to one that shares the name', () => {
  for (const one of hosts)
    for (const name of [one.name, ...one.names]) {
      const { entry, couldBe } = findNamed(hosts, name)!;
      expect([entry, ...couldBe].map(({ id }) => id)).toContain(one.id);
    }
});

test('what is no plant has no entry, and the nearest names are offered', () => {
  expect(host('triffid')).toBeUndefined();
  expect(host('')).toBeUndefined();
  expect(host('!?')).toBeUndefined();
  expect(nearNames(hosts, 'tomahto').map(({ id }) => id)).toContain('tomato');
  expect(nearNames(hosts, 'qqqq')).toEqual([]);
  expect(searchByName(hosts, 'tomahto').map(({ id }) => id)).toContain('tomato');
});

test('words about a plant tell where it stands', () => {
  expect([settingIn('in the polytunnel'), settingIn('indoor'), settingIn('old')]).toEqual(['greenhouse', 'indoor', undefined]);
});

test.each([
  ['Ferry Red in the tunnel', 'Ferry Red'],
  ["'White Sail'", 'White Sail'],
  ['old', ''],
  ['in pots', ''],
  ['young indoor', ''],
])('“%s” names the variety “%s”', (words, variety) => {
  expect(cultivarIn(words)).toBe(variety);
});
