import { writtenRecords } from '@field-nurse/contract';
import { begunCase } from '../cases/begun-case';
import { firstGarden, firstPlace, toldPlanting } from './told-planting';

const id = '11111111-1111-4111-8111-111111111111';
const orchid = { id: 'moth-orchid' };
const told = { beside: '', setting: 'indoor' as const, eaten: false, inFlower: false, picked: false, plants: 1, assumed: [] };

test('what is made from a few words is what the server takes', () => {
  expect(writtenRecords.places.safeParse(firstPlace('indoor')).success).toBe(true);
  expect(writtenRecords.plantings.safeParse(toldPlanting(orchid, id, '2026-07-18', { ...told, inFlower: true })).success).toBe(true);
  const words = 'white fluff';
  expect(writtenRecords.cases.safeParse(begunCase(id, '2026-07-18', { words, working: ['mealybug'] })).success).toBe(true);
});

test('a garden is named for who makes it, and a variety for what was typed beside the plant', () => {
  expect(firstGarden('Ida Brook', 'Europe/London').name).toBe('Ida’s garden');
  expect(toldPlanting(orchid, id, '2026-07-18', { ...told, beside: "'White Sail' in the tunnel" }).cultivar).toBe('White Sail');
});

test('what is in flower flowers from the day it was told', () => {
  const on = '2026-07-18';
  expect(toldPlanting(orchid, id, on, { ...told, inFlower: true }).events).toEqual([{ kind: 'flowering', on, until: null }]);
});

test('what is eaten and picked now is picked from the day it was told', () => {
  const on = '2026-07-18';
  const picked = { ...told, eaten: true, picked: true };
  expect(toldPlanting({ id: 'courgette' }, id, on, picked).events).toEqual([{ kind: 'harvest', on, until: null }]);
  expect(toldPlanting({ id: 'courgette' }, id, on, { ...picked, eaten: false }).events).toEqual([]);
});

test('a case begins with the causes that options were shown for, or with none', () => {
  expect(begunCase(id, '2026-07-18', { working: ['mealybug'] }).diagnoses).toEqual([
    { on: '2026-07-18', conditions: ['mealybug'], why: '' },
  ]);
  expect(begunCase(id, '2026-07-18').diagnoses).toEqual([]);
});
