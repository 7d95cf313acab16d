import { bedRestsOf, restsAgainst } from './bedRests';

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

test('against a plant counts what rests from its family on that day; each trouble once, with the longest rest', () => {
  const again = { ...rot, openedOn: '2026-07-01', closedOn: '2026-07-10' };
  const rests = bedRestsOf([rot, again, { ...rot, placeId: 'sill' }], conditions, familyOf);
  expect(restsAgainst(rests, 'bed', 'alliums', '2027-03-01')).toEqual([expect.objectContaining({ condition: 'rot', until: '2041-07-10' })]);
  // Before it was found, and when it is over, nothing was against it; nor is it against other families.
  for (const [family, day] of [
    ['alliums', '2025-06-19'],
    ['alliums', '2041-07-10'],
    ['brassicas', '2027-03-01'],
  ] as const)
    expect(restsAgainst(rests, 'bed', family, day)).toEqual([]);
});

test('a test that finds nothing ends it on its day; one that finds it begins the years anew; the last counts', () => {
  const test = (on: string, found: boolean) => ({ placeId: rot.placeId, condition: 'rot', on, found });
  const until = (...tests: readonly ReturnType<typeof test>[]) => bedRestsOf([rot], conditions, familyOf, tests)[0]!.until;
  const usual = until();
  expect(until(test('2029-03-01', false))).toBe('2029-03-01');
  expect(until(test('2029-03-01', false), test('2030-03-01', true)) > usual).toBe(true);
  expect(until(test('2030-03-01', true), test('2031-03-01', false))).toBe('2031-03-01');
  // A test before it was found says nothing.
  expect(until(test('2001-01-01', false))).toBe(usual);
  expect(until({ ...test('2029-03-01', false), placeId: 'elsewhere' })).toBe(usual);
});
