import { openQuestions } from './openQuestions';
import { condition, situation, spray, treatment } from './testSituation';

const known = { bare: false, hidden: 'stem', stage: 'colony', flowersInDays: 90, waterNear: false, animalsNear: false, temperatureC: 18 };
const asks = (card: object, change: object = {}) =>
  openQuestions([{ ...spray, ...card }], { ...situation, ...known, ...change } as typeof situation);

test('nothing is asked that changes no verdict', () => {
  expect(asks({ reach: 'systemic' })).toEqual([]);
  expect(asks({ reach: 'systemic', water: 'serious' })).toEqual([]);
});

test.each([
  ['waterNear', { water: 'serious' }, { waterNear: undefined }],
  ['animalsNear', { animals: 'care' }, { animalsNear: undefined }],
  ['flowersInDays', { bees: 'serious' }, { flowersInDays: undefined }],
  ['bare', { when: 'dormant' }, { bare: undefined }],
  ['daysToHarvest', { preHarvestDays: 7 }, { daysToHarvest: undefined }],
  ['temperatureC', { temperatureC: { min: 8, max: 27 } }, { temperatureC: undefined }],
  ['stage', {}, { stage: undefined, conditions: [condition('aphid', [treatment('spray', { stages: ['egg'] })])] }],
] as const)('%s is asked where it decides', (fact, card, change) => {
  expect(asks({ reach: 'systemic', ...card }, change)).toEqual([fact]);
});
