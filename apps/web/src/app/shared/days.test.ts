import { dayWord, durationWord, fromToday, instantWord, longDay, monthDayWord } from './days';

test('a day says its year only where it is another one', () => {
  expect(dayWord('2026-07-18')).toBe('18 Jul');
  expect(dayWord('2025-12-31', '2026-01-02')).toBe('31 Dec 2025');
  expect(dayWord('2026-01-01', '2026-12-02')).toBe('1 Jan');
  expect([monthDayWord('07-01'), longDay('2026-07-18')]).toEqual(['1 Jul', 'Saturday, 18 July 2026']);
});

test.each([
  ['2026-07-17', 'yesterday'],
  ['2026-07-18', 'today'],
  ['2026-07-19', 'tomorrow'],
  ['2026-08-01', 'in 14 days'],
  ['2026-06-30', '18 days ago'],
])('%s, from 18 July, is %s', (day, word) => {
  expect(fromToday(day, '2026-07-18')).toBe(word);
});

test('an instant is told on the garden’s clock, on the day that it is there', () => {
  expect(instantWord('2026-07-18T23:30:00Z', 'Europe/London')).toBe('19 Jul, 00:30');
  expect(instantWord('2026-07-18T23:30:00Z', 'America/New_York')).toBe('18 Jul, 19:30');
});

test.each([
  [0.4, 'a minute'],
  [14, '14 minutes'],
  [90, '90 minutes'],
  [150, '2½ hours'],
  [300, '5 hours'],
])('%d minutes is %s', (minutes, word) => {
  expect(durationWord(minutes)).toBe(word);
});
