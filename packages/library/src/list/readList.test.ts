import { placeNamed } from './placeNamed';
import { readCells, readList } from './readList';
import { library } from '../testLibrary';

const { hosts } = library;
/** What was read, in short: number, plant, variety, place. */
const read = (text: string) =>
  readList(hosts, text).map(({ plants, host, cultivar, place }) => [plants, host, cultivar, place?.name ?? ''].join(' | '));

test('a sentence: numbers, varieties and places, each to its own', () => {
  expect(read('3 tomatoes Ferry Red in the tunnel, 40 leeks, 9 pots on the sill')).toEqual([
    '3 | tomato | Ferry Red | Tunnel',
    '40 | leek |  | ',
    '9 | other-houseplant |  | Sill',
  ]);
});

test.each([
  ["- 12x Broad bean 'Tall Reed'", '12 | broad-bean | Tall Reed | '],
  ['* cucumbers (6) in polytunnel', '6 | cucumber |  | Polytunnel'],
  ['peppers x 8', '8 | pepper |  | '],
  ['courgettes 2', '2 | courgette |  | '],
  ['a dozen strawberries in pots', '12 | strawberry |  | Pots'],
  ['two aubergines', '2 | aubergine |  | '],
  ['a couple of chilli plants', '2 | pepper |  | '],
  ['seed trays of lettuce', '1 | lettuce |  | '],
  ['1. basil', '1 | basil |  | '],
  ['potatos 60 in field 2', '60 | potato |  | Field 2'],
  ['Roses, Ferry Gold, 5, front border', '5 | rose | Ferry Gold | Front border'],
  ['1 moth orchid on the kitchen windowsill', '1 | moth-orchid |  | Kitchen windowsill'],
  ['leeks in full flower', '1 | leek |  | '],
])('“%s”', (line, as) => expect(read(line)).toEqual([as]));

test('a heading says the place of what follows; before something, of its line alone', () => {
  expect(read('Tunnel:\npeppers\nbasil\n\nLean-to: monstera and hoya\nkale')).toEqual([
    '1 | pepper |  | Tunnel',
    '1 | basil |  | Tunnel',
    '1 | monstera |  | Lean-to',
    '1 | hoya |  | Lean-to',
    '1 | kale |  | ',
  ]);
});

test('rows are counted as rows, and metres are no plants; what nobody counted says so', () => {
  expect(
    readList(hosts, '2 rows of carrots, 6 m of box hedge, 3 leeks').map(({ plants, rows, counted }) => [plants, rows, counted]),
  ).toEqual([
    [2, 2, false],
    [1, 1, false],
    [3, 1, true],
  ]);
});

test('what is not understood is kept as it stands, with what is called nearly so', () => {
  const [odd] = readList(hosts, '7 flurbs by the gate');
  expect(odd).toMatchObject({ host: undefined, plants: 7, text: '7 flurbs by the gate', place: { name: 'Gate' } });
});

test('a table: each column for itself', () => {
  expect(readCells(hosts, { plant: 'Tomato', cultivar: 'Ferry Red', plants: '3 plants', place: 'the tunnel' })).toMatchObject({
    host: 'tomato',
    cultivar: 'Ferry Red',
    plants: 3,
    counted: true,
    place: { name: 'Tunnel', kind: 'tunnel' },
  });
  expect(readCells(hosts, { plant: 'leeks', plants: 'many' })).toMatchObject({ plants: 1, counted: false, place: undefined });
});

test('nothing, a life story and a very long list are read without harm', () => {
  expect(readList(hosts, ' \n\n , ;')).toEqual([]);
  expect(readList(hosts, 'leek\n'.repeat(2000))).toHaveLength(500);
  expect(readList(hosts, `999999999 leeks`)[0]!.plants).toBeLessThanOrEqual(100_000);
  expect(() => readList(hosts, 'Я '.repeat(500) + '🌱 ((((( x x x')).not.toThrow();
});

test('places by their words', () => {
  expect(placeNamed('in the old tunnel')).toEqual({ name: 'Old tunnel', kind: 'tunnel', setting: 'greenhouse' });
  expect(placeNamed('kitchen sill')).toMatchObject({ kind: 'windowsill', setting: 'indoor' });
  expect(placeNamed('pots in the greenhouse')).toMatchObject({ kind: 'greenhouse', setting: 'greenhouse' });
  expect(placeNamed('somewhere')).toBeUndefined();
});
