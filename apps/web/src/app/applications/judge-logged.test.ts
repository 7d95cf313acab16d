import type { Intervention } from '@field-nurse/library';
import { planting } from '../testing/test-garden';
import { judgeLogged } from './judge-logged';
import type { BeingLogged } from './judge-logged';

const card = {
  id: 'sulphur',
  name: 'Sulphur',
  repeatDays: [7, 10],
  seasonMax: 2,
  onEaten: true,
  preHarvestDays: 1,
  preHarvestOn: [],
  daysBeforeFlower: 0,
  kills: [],
  countsAs: [],
  bees: 'none',
  settings: ['outdoor'],
  harmsHosts: [{ host: 'alliums', harm: 'serious', why: 'it scorches' }],
  apartFrom: [],
} as unknown as Intervention;

const logged: BeingLogged = {
  typical: card,
  product: undefined,
  cards: new Map([['sulphur', card]]),
  planting,
  host: undefined,
  against: [],
  on: '2026-07-18',
  others: [],
  seasonStart: '01-01',
  weather: {},
  used: undefined,
};
const used = (...days: string[]) => ({ others: days.map((appliedOn) => ({ intervention: 'sulphur', appliedOn })) });
const told = (change: Partial<BeingLogged>) => judgeLogged({ ...logged, ...change }).broken;

test('nothing to say when the card is kept, or for what came later', () => {
  expect(told(used('2026-07-11', '2026-07-19'))).toEqual([]);
});

test('too soon, too often in the garden’s own season', () => {
  expect(told(used('2026-07-12'))).toEqual(['The card asks for 7 days between two, and the last was 6 days before.']);
  expect(told(used('2026-05-01', '2026-06-01'))).toEqual(['The card allows 2 a season, and this is number 3.']);
  expect(told({ ...used('2026-05-01', '2026-06-01'), seasonStart: '07-01' })).toEqual([]);
});

test('by the planting’s own family, harvest and flowers', () => {
  expect(told({ host: { id: 'leek', family: 'alliums' } as BeingLogged['host'] })).toEqual(['It harms this plant: it scorches.']);
  expect(told({ typical: { ...card, preHarvestDays: 5 } })).toEqual([
    'The card asks for 5 days before harvest, and harvest was 4 days away: move the harvest.',
  ]);
  expect(told({ typical: { ...card, bees: 'serious' }, planting: { ...planting, inFlower: true } })).toHaveLength(1);
});
