import type { Assessment, CasePart } from '@field-nurse/contract';
import type { Gone } from '@field-nurse/core/recovery';
import { reference } from '../testing/reference';
import { assessment } from '../testing/test-garden';
import { failureFacts, hidingOf } from './case-facts';
import { cameBack, clearLooks, comparedCases, comparedParts, plantsFollowed } from './case-looks';
import { numberFault } from './number-field';
import { comparisonWord, goneWord } from './proof-words';

const part = (id: string, intervention: string | null): CasePart => ({ id, name: id, intervention, plants: null, strips: [] });
const look = (change: Partial<Assessment>): Assessment => ({ ...assessment, ...change });
const counted = (partId: string | null, assessedOn: string, ...counts: number[]) => look({ partId, assessedOn, counts });
const today = '2026-07-18';

describe('parts side by side', () => {
  const looks = [
    counted('soaped', '2026-07-01', 20, 22, 18, 20, 21),
    counted('alone', '2026-07-01', 21, 19, 20, 22, 20),
    counted('soaped', '2026-07-09', 3, 2, 4, 2, 3),
    counted('alone', '2026-07-09', 25, 28, 22, 26, 24),
  ];
  const parts = [part('soaped', 'insecticidal-soap'), part('alone', null)];

  test('treated beside left alone, with what that proves', () => {
    const [pair, ...others] = comparedParts(parts, looks, () => '2026-07-02');
    expect(others).toEqual([]);
    expect(pair).toMatchObject({ treated: { name: 'soaped' }, comparison: { verdict: 'less', before: '2026-07-01' } });
    expect(comparisonWord('soaped', 'alone', pair!.comparison)).toMatch(
      /^“soaped” has 8\d % less than “alone”, between .* That is more than chance does\.$/,
    );
  });

  test('not yet treated, or not counted on one day: it says what to do', () => {
    expect(comparedParts(parts, looks, () => undefined)[0]!.comparison).toBeUndefined();
    expect(comparisonWord('soaped', 'alone', undefined)).toContain('Count in “soaped” and in “alone” on one day');
  });

  test('two that are treated otherwise stand beside each other', () =>
    expect(comparedParts([part('a', 'sulphur'), part('b', 'insecticidal-soap')], [], () => today)).toHaveLength(1));

  test('a case beside another of its trouble, where both were counted on one day', () => {
    const of = (id: string, ...own: Assessment[]) => ({ side: { id, name: id }, looks: own });
    const own = of('copper', counted(null, '2026-07-16', 2, 3, 2, 3));
    const others = [of('alone', counted(null, '2026-07-16', 9, 8, 9, 10)), of('elsewhere', counted(null, '2026-07-01', 9))];
    expect(comparedCases(own, others, '2026-07-13').map(({ other }) => other.name)).toEqual(['alone']);
  });
});

test.each([
  [
    { verdict: 'cannot-tell', percent: 20, interval: [-30, 60], looksNeeded: 2, countsNeeded: 30 },
    'It cannot be told yet. So far it is 20 % less, between 30 % more and 60 % less. 2 more looks of this size would show it, if it is so.',
  ],
  [{ verdict: 'cannot-tell', percent: 20, interval: [-30, 60], looksNeeded: 1, countsNeeded: 20 }, 'One more look of this size'],
  [
    { verdict: 'cannot-tell', percent: 20, interval: [-30, 60], looksNeeded: 41, countsNeeded: 82 },
    'Count about 82 on each side to see it, if it is so.',
  ],
  [{ verdict: 'cannot-tell', percent: 0, interval: null, looksNeeded: null, countsNeeded: null }, 'are alike so far'],
  [
    { verdict: 'more', percent: -40, interval: [-80, -5], looksNeeded: 0, countsNeeded: 0 },
    'has 40 % more than “B”, between 80 % more and 5 % more. It did harm',
  ],
] as const)('%o', (comparison, words) => {
  const told = comparisonWord('A', 'B', { method: 'abbott', before: undefined, after: today, ...comparison });
  expect(told).toContain(words);
});

describe('gone, in words', () => {
  const gone: Gone = {
    probability: 0.876,
    believeFrom: null,
    cleanLooksNeeded: 1,
    history: [],
    lastFound: '2026-07-01',
    hiddenUntil: null,
    nextLookOn: '2026-07-20',
    expected: '2026-07-27',
  };
  test.each<[Partial<Gone>, string]>([
    [{}, 'That it is gone: 87 in 100. Look on Mon 20 Jul, in 2 days; if every look stays clean, believe it from Mon 27 Jul.'],
    [{ believeFrom: '2026-07-10', probability: 0.97 }, 'You may believe it gone, since Fri 10 Jul: 97 in 100.'],
    [{ hiddenUntil: '2026-07-22' }, 'What hides now comes out by Wed 22 Jul.'],
    [{ expected: null }, 'It comes in faster than such looks can clear it'],
  ])('%o', (change, words) => {
    const told = goneWord({ ...gone, ...change }, today);
    expect(told.replace(/\b(?:Mon|Tue|Wed|Thu|Fri|Sat|Sun) /g, '')).toContain(words.replace(/\b(?:Mon|Tue|Wed|Thu|Fri|Sat|Sun) /g, ''));
  });
});

test('a look tells by its count, by its plants, or by fresh marks', () => {
  const found = (change: Partial<Assessment>) => clearLooks([look({ severity: 0, newGrowth: 'clean', ...change })])[0]!.found;
  expect(found({ count: 0, severity: 18 })).toBe(false);
  expect(found({ count: 2 })).toBe(true);
  expect(found({ plantsLooked: 10, plantsMarked: 0, severity: 5 })).toBe(false);
  expect(found({ plantsLooked: 10, plantsMarked: 1 })).toBe(true);
  expect(found({ newGrowth: 'marked' })).toBe(true);
  expect(found({ severity: 4 })).toBe(true);
  expect(found({})).toBe(false);
});

test('plants that are followed, with those that lag', () => {
  const of = (plant: number, first: number, last: number) => [
    look({ plant, assessedOn: '2026-07-01', severity: first }),
    look({ plant, assessedOn: '2026-07-09', severity: last }),
  ];
  const followed = plantsFollowed([...of(7, 40, 38), ...of(2, 40, 8), ...of(4, 36, 10), look({})]);
  expect(followed.map(({ plant, lags }) => [plant, lags])).toEqual([
    [2, false],
    [4, false],
    [7, true],
  ]);
});

test.each([
  [[20, 8, 30], true],
  [[20, 25, 30], false],
  [[20, 8, 9], false],
  [[20, 30], false],
])('%j came back: %s', (severities, expected) => expect(cameBack(severities.map((severity) => ({ severity })))).toBe(expected));

describe('what is known of a trouble', () => {
  const condition = (id: string) => reference.conditions.find((one) => one.id === id)!;
  const card = (id: string) => reference.interventions.find((one) => one.id === id)!;

  test('how long it hides: by heat where that is known, by its kind where not', () => {
    // 136 °C days above 12 °C, at 18 °C.
    expect(hidingOf(condition('spider-mite'), 'greenhouse')).toEqual({ hiddenDays: 23, comesByItself: false });
    expect(hidingOf(condition('leek-rust'), 'outdoor')).toMatchObject({ comesByItself: true });
    expect(hidingOf(condition('slugs'), 'outdoor').comesByItself).toBe(false);
  });

  test('rain within the hours that a spray needs, and none that is told where nobody measured', () => {
    const hour = (at: string, rainMm: number | null) => ({
      at,
      rainMm,
      temperatureC: 15,
      humidityPercent: null,
      windKmh: null,
      leafWetMinutes: null,
    });
    const facts = (hours: ReturnType<typeof hour>[], coveredPart = '') =>
      failureFacts(
        condition('leek-rust'),
        { card: card('sulphur'), appliedAt: '2026-07-10T18:20:00Z', coveredPart, sameMode: 2 },
        { chanceOfCause: 0.8, month: 7, hours, sources: 1, cameBack: false },
      );
    expect(facts([hour('2026-07-10T17:00:00Z', 9), hour('2026-07-10T19:00:00Z', 2), hour('2026-07-10T20:00:00Z', null)]).rainMm).toBe(2);
    expect(facts([]).rainMm).toBeUndefined();
    expect([facts([]).coveredAll, facts([], 'both sides').coveredAll, facts([], 'tops').coveredAll]).toEqual([undefined, true, false]);
    expect(facts([]).isContact).toBe(true);
  });
});

test.each([
  ['', 0, 9, ''],
  ['4', 0, 9, ''],
  ['4.5', 0, 9, 'A whole number from 0 to 9, or empty.'],
  ['12', 1, 9, 'A whole number from 1 to 9, or empty.'],
  ['x', 0, 1_000_000, 'A whole number from 0, or empty.'],
])('the number “%s” from %d to %d', (typed, least, most, fault) => expect(numberFault(typed, least, most)).toBe(fault));
