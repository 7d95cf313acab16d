import { seasonSentences } from './season-weather-words';

const sums = { rainMm: 8.6, rainDays: 1, frostDays: 0, lastFrost: null, warmest: null, longestDry: null, poorlyKnown: 0 };

test('a season in sentences, in the garden’s units, without what there was not', () => {
  expect(seasonSentences(sums, 'metric')).toEqual(['8.6 mm of rain on 1 day.', 'No frost.']);
  const more = {
    ...sums,
    rainDays: 2,
    frostDays: 12,
    lastFrost: '2026-04-03',
    warmest: { day: '2026-07-01', maxC: 30 },
    longestDry: { from: '2026-06-20', days: 9 },
    poorlyKnown: 3,
  };
  expect(seasonSentences(more, 'us')).toEqual([
    '0.339 in of rain on 2 days.',
    'The longest dry spell began on 20 Jun and lasted 9 days.',
    'Frost on 12 days, the last on 3 Apr.',
    'The warmest day was 1 Jul, with 86 °F.',
    'Of 3 days too little was measured to tell.',
  ]);
});
