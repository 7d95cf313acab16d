import type { Host, Intervention } from '@field-nurse/library';
import { sulphurCard, sulphurPack } from '../testing/test-shelf';
import { packInHand } from './pack-in-hand';

const sulphur = {
  id: 'sulphur',
  preHarvestDays: 1,
  preHarvestOn: [],
  apartFrom: [],
  settings: ['outdoor'],
  rate: {
    strength: { amount: 80, unit: 'percent' },
    amount: 2,
    unit: 'g',
    per: { amount: 1, unit: 'l' },
    labelMax: { amount: 4, unit: 'g' },
  },
} as unknown as Intervention;
const leek = { id: 'leek', family: 'alliaceae', habit: 'blades' } as Host;
const rose = { id: 'rose', family: 'rosaceae', habit: 'bush' } as Host;
const onShelf = (of: object = {}) => ({ product: sulphurPack, left: 100, states: [], card: sulphurCard, ...of });

test('by the highest rate of the line for the plant, what a treatment takes and how often it is enough', () => {
  // 220 leeks take 50 ml each: 11 litres of 3 g.
  expect(packInHand(sulphur, onShelf(), leek, ['leek-rust'], 220)).toMatchObject({ needed: 33, times: 3, card: { preHarvestDays: 3 } });
  expect(packInHand(sulphur, onShelf({ left: 32.9 }), leek, ['leek-rust'], 220).times).toBe(0);
  expect(packInHand(sulphur, onShelf({ left: 33 }), leek, ['leek-rust'], 220).times).toBe(1);
});

test('without a label, by the typical maximum for the strength on the pack', () => {
  expect(packInHand(sulphur, onShelf({ card: undefined }), leek, [], 220)).toMatchObject({ needed: 44, times: 2 });
  const weak = { ...sulphurPack, strength: { amount: 40, unit: 'percent' as const } };
  expect(packInHand(sulphur, onShelf({ card: undefined, product: weak }), leek, [], 220).needed).toBe(88);
});

test('what can’t be told is not told', () => {
  expect(packInHand(sulphur, onShelf({ left: null }), leek, ['leek-rust'], 220)).toMatchObject({ needed: 33, times: undefined });
  // A percentage of a powder, which is poured: without a density nothing follows for a bag that is weighed.
  expect(packInHand(sulphur, onShelf(), rose, ['black-spot'], 3).needed).toBeUndefined();
  const dense = { ...sulphurPack, densityGPerMl: 0.5 };
  expect(packInHand(sulphur, onShelf({ product: dense }), rose, ['black-spot'], 5).needed).toBe(20);
});
