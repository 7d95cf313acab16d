import type { Host } from '@field-nurse/library';
import { hostByName, matchingHosts } from './host-names';

const host = (id: string, name: string, names: string[] = []): Host => ({
  id,
  name,
  names,
  maybe: [],
  sometimesEaten: false,
  deciduous: false,
  tender: false,
  family: 'x',
  kind: 'vegetable',
  eaten: true,
  leaf: 'ovate',
  habit: 'bush',
});
const hosts = [host('potato', 'Potato', ['spuds', 'taters']), host('sweet-potato', 'Sweet potato'), host('leek', 'Leek')];

test('a plant is found by any of its names, in any case', () => {
  expect([hostByName(hosts, 'SPUDS')?.id, hostByName(hosts, ' leek ')?.id, hostByName(hosts, 'potato')?.id]).toEqual([
    'potato',
    'leek',
    'potato',
  ]);
  expect(hostByName(hosts, 'tater')).toBeUndefined();
});

test('names that begin with what was typed come first', () => {
  expect(matchingHosts(hosts, 'pot').map(({ id }) => id)).toEqual(['potato', 'sweet-potato']);
});

test('a long list is cut', () => {
  expect(
    matchingHosts(
      Array.from({ length: 40 }, (_, i) => host(`h${i}`, `Host ${i}`)),
      'host',
    ),
  ).toHaveLength(8);
});
