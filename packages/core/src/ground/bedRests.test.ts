import { bedRestsOf } from './bedRests';

const conditions = new Map([
  ['rot', { restYears: 15, hosts: { often: ['onion', 'roses'], sometimes: ['leek'] } }],
  ['rust', { hosts: { often: ['leek'], sometimes: [] } }],
]);
const familyOf = (host: string) => ({ onion: 'alliums', leek: 'alliums' })[host];
const rot = { placeId: 'bed', openedOn: '2025-06-20', closedOn: '2025-06-24', conditions: ['rust', 'rot'] };

test('what lasts in the soil closes the place to its families, from the day the case was closed', () => {
  expect(bedRestsOf([rot], conditions, familyOf)).toEqual([
    { placeId: 'bed', condition: 'rot', families: ['alliums', 'roses'], from: '2025-06-20', until: '2040-06-24' },
  ]);
});

test('while the case is open it counts from its opening; what does not last closes nothing', () => {
  expect(bedRestsOf([{ ...rot, closedOn: null }], conditions, familyOf)[0]!.until).toBe('2040-06-20');
  expect(
    bedRestsOf(
      [
        { ...rot, conditions: ['rust'] },
        { ...rot, conditions: [] },
        { ...rot, conditions: ['unheard-of'] },
      ],
      conditions,
      familyOf,
    ),
  ).toEqual([]);
});
