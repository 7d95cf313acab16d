import type { RoundReason } from '@field-nurse/core/ground';
import { roundReasonWord } from './round-words';

const names: Record<string, string> = { 'leek-moth': 'Leek moth', rust: 'Leek rust' };
const naming = { today: '2026-07-18', system: 'metric' as const, conditionName: (id: string) => names[id] ?? id };

test.each<[RoundReason, string]>([
  [{ code: 'case' }, 'An open case wants its look.'],
  [{ code: 'young', days: 0 }, 'Planted today: young plants have nothing to spare.'],
  [{ code: 'young', days: 1 }, 'Planted 1 day ago: young plants have nothing to spare.'],
  [{ code: 'long-ago', days: 9 }, 'Last looked at 9 days ago.'],
  [
    { code: 'last-year', sight: { on: '2025-07-20', conditions: ['leek-moth', 'rust'] } },
    'Leek moth and Leek rust: first seen here on 20 Jul 2025.',
  ],
  [{ code: 'last-year', sight: { on: '2025-07-20', conditions: [] } }, 'Something: first seen here on 20 Jul 2025.'],
  [{ code: 'risk', feared: 'leek-moth' }, 'In season: leek moth, and more.'],
  [{ code: 'risk', feared: null }, 'Much is in season.'],
  [{ code: 'wet', hours: 25.4 }, 'Leaves were wet for 25 hours in three days.'],
  [{ code: 'hot', maxC: 31 }, 'It was 31 °C: mites and thrips hurry.'],
])('%j', (reason, words) => {
  expect(roundReasonWord(reason, naming)).toBe(words);
});

test('warmth is said in the garden’s units', () => {
  expect(roundReasonWord({ code: 'hot', maxC: 30 }, { ...naming, system: 'us' })).toBe('It was 86 °F: mites and thrips hurry.');
});
