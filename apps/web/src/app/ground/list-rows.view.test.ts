import { writtenRecords } from '@field-nurse/contract';
import { readList } from '@field-nurse/library/list';
import { reference } from '../testing/show';
import { place, today } from '../testing/test-garden';
import { NotAPlan } from './geojson';
import { readListFile } from './list-file';
import { placeOfRow, recordsOf, rowsOf } from './list-rows';

const hosts = new Map(reference.hosts.map((host) => [host.id, host]));
const rows = (text: string) => rowsOf(readList(reference.hosts, text), []);
const made = (text: string, places = [place], shapes = new Map()) =>
  recordsOf(rows(text), shapes, { hosts, places, today, placeId: () => crypto.randomUUID() });

test('a place that is there is taken, another is made before what grows in it, each once', () => {
  const records = made(`3 tomatoes in the ${place.name}\nTunnel: cucumbers, peppers`);
  expect(records.map(({ subject }) => subject)).toEqual(['places', 'plantings', 'plantings', 'plantings']);
  expect(records[0]!.value).toMatchObject({ name: 'Tunnel', kind: 'tunnel', setting: 'greenhouse' });
  expect(records[1]!.value).toMatchObject({ host: 'tomato', placeId: place.id, plants: 3 });
  expect(records[3]!.value).toMatchObject({ setting: 'greenhouse', placeId: records[0]!.id });
  for (const { subject, value } of records)
    expect(writtenRecords[subject].safeParse({ ...value, ...('placeId' in value && { placeId: crypto.randomUUID() }) }).success).toBe(true);
});

test('where no place is told, the kind of plant decides; what nobody counted is taken for granted', () => {
  const records = made('moth orchid, 40 leeks', []);
  expect(records.filter(({ subject }) => subject === 'places').map(({ value }) => value)).toMatchObject([
    { name: 'Indoors', kind: 'windowsill' },
    { name: 'Outdoors', kind: 'bed' },
  ]);
  const plantings = records.filter((record) => record.subject === 'plantings').map(({ value }) => value);
  expect(plantings).toMatchObject([{ assumed: ['inFlower', 'plants', 'plantedOn'] }, { plants: 40, assumed: ['inFlower', 'plantedOn'] }]);
});

test('what was not understood is left out; a line that stays keeps what was put right in it', () => {
  expect(made('7 flurbs by the gate')).toEqual([]);
  const [odd] = rows('7 flurbs by the gate');
  const right = { ...odd!, host: 'leek', place: 'Long bed' };
  const again = rowsOf(readList(reference.hosts, '7 flurbs by the gate, 2 kale'), [right]);
  expect(again[0]).toEqual(right);
  expect(again[1]).toMatchObject({ host: 'kale', place: '' });
  expect(placeOfRow(right, hosts.get('leek'), [])).toMatchObject({ name: 'Long bed', kind: 'bed' });
});

test('a table with a head line is read by its columns, whatever their order; without one it is words', () => {
  const table = 'Place;Qty;Crop;Variety\nTunnel;3;Tomato;Ferry Red\n;40;Leeks;\n;;;\n';
  expect(readListFile(reference.hosts, table).listed).toMatchObject([
    { host: 'tomato', plants: 3, cultivar: 'Ferry Red', place: { name: 'Tunnel' } },
    { host: 'leek', plants: 40, place: undefined },
  ]);
  expect(readListFile(reference.hosts, 'name,\nleek').listed.length).toBeGreaterThan(0);
  expect(readListFile(reference.hosts, '').listed).toEqual([]);
});

test('a plan: areas are places with their shapes, and what grows in them is planted; JSON that is no plan is refused', () => {
  const ring = [
    [0, 0],
    [4, 0],
    [4, 2],
    [0, 2],
    [0, 0],
  ];
  const area = (properties: object) => ({ type: 'Feature', properties, geometry: { type: 'Polygon', coordinates: [ring] } });
  const plan = {
    type: 'FeatureCollection',
    coordinates: 'local-metres',
    features: [area({ name: 'Tunnel', crop: 'tomatoes' }), area({ name: 'Orchard' })],
  };
  const { listed, shapes } = readListFile(reference.hosts, JSON.stringify(plan));
  expect(listed).toMatchObject([{ host: 'tomato', place: { name: 'Tunnel', setting: 'greenhouse' } }]);
  const records = recordsOf(rowsOf(listed, []), shapes, { hosts, places: [], today, placeId: () => crypto.randomUUID() });
  expect(records.map(({ subject, value }) => ('name' in value ? value.name : subject))).toEqual(['Tunnel', 'Orchard', 'plantings']);
  expect(records[0]!.value).toMatchObject({ areaM2: 8, kind: 'tunnel' });
  expect(() => readListFile(reference.hosts, '{"a":1}')).toThrow(NotAPlan);
});
