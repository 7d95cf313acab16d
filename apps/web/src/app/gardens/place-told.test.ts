import { place } from '../testing/test-garden';
import { placeTold } from './place-told';

const bed = { ...place, id: 'bed', name: 'North bed' };
const long = { ...place, id: 'long', name: 'North bed, long end' };
const sill = { ...place, id: 'sill', name: 'Sill', setting: 'indoor' as const };
const places = [bed, long, sill];
const at = (placeId: string) => ({ placeId });

test.each([
  ['my kale in the north bed', 'bed'],
  ['kale, North Bed (long end)', 'long'],
  ['by the windowsill', undefined],
  ['the sill!', 'sill'],
  ['', undefined],
])('“%s” names %s', (said, id) => {
  expect(placeTold(places, said)?.id).toBe(id);
});

test('a name outranks where others stand, and most of them outrank the rest', () => {
  const others = [at('bed'), at('sill'), at('sill')];
  expect(placeTold(places, '', others)?.id).toBe('sill');
  expect(placeTold(places, 'in the north bed', others)?.id).toBe('bed');
});

test('what is closed, or has a name without a letter, is never meant', () => {
  expect(placeTold([{ ...bed, endedOn: '2026-05-01' }], 'north bed', [at('bed')])).toBeUndefined();
  expect(placeTold([{ ...bed, name: '–' }], 'kale')).toBeUndefined();
});
