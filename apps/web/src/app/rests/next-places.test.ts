import { planRotation } from '@field-nurse/core/ground';
import { reference } from '../testing/reference';
import { place, planting, today } from '../testing/test-garden';
import { rotationQuestion } from './next-places';
import type { RotationFacts } from './next-places';

const hosts = new Map(reference.hosts.map((host) => [host.id, host]));
const bed = (id: string, change: object = {}) => ({ ...place, id, name: id, ...change });
const crop = (id: string, host: string, placeId: string, change: object = {}) => ({ ...planting, id, host, placeId, ...change });
const facts = (change: Partial<RotationFacts> = {}): RotationFacts => ({
  plantings: [
    crop('leeks', 'leek', 'a'),
    crop('kale', 'kale', 'b'),
    crop('rose', 'rose', 'c'),
    crop('strawberries', 'strawberry', 'd', { plantedOn: '2024-03-01' }),
  ],
  places: [
    bed('a'),
    bed('b'),
    bed('c'),
    bed('d'),
    bed('empty'),
    bed('old', { endedOn: '2025-01-01' }),
    bed('sill', { kind: 'windowsill' }),
  ],
  hosts,
  rests: [],
  sights: [],
  today,
  seasonStart: '01-01',
  ...change,
});

test('crops of this season move; what stands for years stays, and its place is no place for others', () => {
  const question = rotationQuestion(facts());
  expect(question.crops.map(({ id }) => id)).toEqual(['leeks', 'kale']);
  expect(question.slots.map(({ placeId }) => placeId)).toEqual(['a', 'b', 'empty']);
  expect(question.on).toBe('2027-01-01');
  const { places, isOptimal } = planRotation(question);
  expect(places.every(({ crop: id, placeId }) => !(id === 'leeks' && placeId === 'a') && !(id === 'kale' && placeId === 'b'))).toBe(true);
  expect(isOptimal).toBe(true);
});

test('the light of a place and what a crop bears come into the question', () => {
  const { crops, slots } = rotationQuestion(facts({ places: [bed('a', { light: 'half' }), bed('b')] }));
  expect(slots.map(({ light }) => light)).toEqual(['half', null]);
  expect(crops.every(({ bearsShade }) => bearsShade)).toBe(true);
  expect(rotationQuestion(facts({ plantings: [crop('t', 'tomato', 'a')] })).crops[0]!.bearsShade).toBe(false);
});

test('a bed takes as many as it takes now, each with its part of the ground', () => {
  const question = rotationQuestion(
    facts({ plantings: [crop('x', 'leek', 'a'), crop('y', 'kale', 'a')], places: [bed('a', { areaM2: 12 })] }),
  );
  expect(question.slots).toEqual([
    { placeId: 'a', setting: 'outdoor', areaM2: 6, light: null },
    { placeId: 'a', setting: 'outdoor', areaM2: 6, light: null },
  ]);
});

test('what an earlier case says grew there counts, too', () => {
  const sight = { place: 'empty', host: 'onion', openedOn: '2025-06-01' } as RotationFacts['sights'][number];
  expect(rotationQuestion(facts({ sights: [sight] })).grew).toContainEqual({
    placeId: 'empty',
    family: hosts.get('onion')!.family,
    year: 2025,
  });
});
