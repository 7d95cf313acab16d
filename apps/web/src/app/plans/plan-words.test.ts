import { costWord, skyWord, whyWord } from './plan-words';

const today = '2026-07-18';
const at = (date: string, slot: 'morning' | 'evening' = 'evening') => ({ round: 'r', date, slot, product: 'soap' });

test.each([
  ['new', undefined, [], 'new'],
  ['rain', at('2026-07-19'), ['rain'], 'was tomorrow evening. It would not stay dry'],
  ['nothing but money', at('2026-07-19'), [], 'was tomorrow evening. All plans together lose less so.'],
  ['a day that is over', at('2026-07-16'), [], 'was Thu 16 Jul, evening, which is past.'],
  ['this morning, in the evening', at(today, 'morning'), ['earliest'], 'was this morning, which is past.'],
] as const)('%s: why it moves', (_, from, why, words) => {
  expect(whyWord({ round: 'r', from, to: at('2026-07-20'), why: [...why] }, today)).toContain(words);
});

test('what stays where it is changes its product', () => {
  expect(whyWord({ round: 'r', from: at('2026-07-20'), to: at('2026-07-20'), why: [] }, today)).toBe('Something else does more for less.');
});

test.each([
  [0, 'costs nothing'],
  [0.004, 'costs nothing'],
  [3.2, 'costs 3.20 more'],
  [41.6, 'costs 42 more'],
])('%d %s', (extra, words) => expect(costWord(extra)).toBe(words));

test.each([
  [{ rainMm: 4, windKmh: 5 }, '4.0 mm of rain'],
  [{ rainMm: 4, rainChance: 0.62, windKmh: 5 }, '4.0 mm of rain, 62 % likely'],
  [{ rainMm: 0, rainChance: 0.02, windKmh: 5 }, 'dry'],
  [{ rainMm: 0, rainChance: 0.2, windKmh: 22.4 }, 'dry, though rain is 20 % likely, wind 22 km/h'],
])('the sky of a half-day: %o', (half, word) => expect(skyWord(half)).toBe(word));
