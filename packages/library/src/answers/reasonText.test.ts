import { reasonText } from './reasonText';

test('each reason is a sentence with its figures, one and several told apart', () => {
  const said = [
    reasonText({ code: 'harvest', weight: 'ruled-out', facts: { days: 7, left: 1 } }),
    reasonText({ code: 'too-soon', weight: 'ruled-out', facts: { interval: 7, daysAgo: 6, wait: 1 } }),
    reasonText({ code: 'season-max', weight: 'ruled-out', facts: { max: 1, used: 1 } }),
    reasonText({ code: 'too-cold', weight: 'ruled-out', facts: { least: 15, now: 9 } }),
  ];
  expect(said).toEqual([
    'Needs 7 days before harvest, and harvest is in 1 day.',
    'Used 6 days ago; at least 7 days apart. Possible in 1 day.',
    'Already used once this season, which is the most.',
    'Works from 15 °C, and it is 9 °C.',
  ]);
});
