import type { PastSight } from '@field-nurse/contract';
import { caseGroups, comparableTroubles, groupWords } from './case-groups';

const sight = (meanSeverity: number | null, change: Partial<PastSight> = {}): PastSight => ({
  case: 'c',
  planting: 'p',
  place: 'bed',
  host: 'leek',
  cultivar: '',
  plants: 20,
  conditions: ['leek-rust'],
  openedOn: '2026-06-10',
  closedOn: null,
  outcome: null,
  peak: 25,
  meanSeverity,
  lastSeverity: 5,
  done: [],
  ...change,
});
const names = { intervention: (id: string) => id, place: (id: string) => `the ${id}`, host: (id: string) => id };
const sulphur = [{ intervention: 'sulphur', on: '2026-06-12', plants: 20 }];

test('only troubles that were measured twice can be compared, the most frequent first', () => {
  const sights = [sight(3), sight(4, { conditions: ['leek-rust', 'leek-moth'] }), sight(5), sight(2, { conditions: ['leek-moth'] })];
  expect(comparableTroubles([...sights, sight(null, { conditions: ['onion-fly'] }), sight(1, { conditions: ['onion-fly'] })])).toEqual([
    'leek-rust',
    'leek-moth',
  ]);
});

test('years stand from the newest, ways from the mildest; what nobody measured is in none', () => {
  const sights = [sight(8), sight(20, { openedOn: '2025-07-01' }), sight(4, { done: sulphur }), sight(null)];
  expect(caseGroups(sights, 'leek-rust', 'year', names).map(({ name, values }) => [name, values])).toEqual([
    ['2026', [8, 4]],
    ['2025', [20]],
  ]);
  expect(caseGroups(sights, 'leek-rust', 'method', names).map(({ name, mean }) => [name, mean])).toEqual([
    ['sulphur', 4],
    ['Left alone', 14],
  ]);
  expect(caseGroups(sights, 'leek-rust', 'place', names).map(({ name }) => name)).toEqual(['the bed']);
  expect(caseGroups([sight(8, { cultivar: 'Winter Spar' })], 'leek-rust', 'kind', names)[0]!.name).toBe('leek Winter Spar');
});

test('it says what can be told, and how many cases it takes where it cannot', () => {
  const year = (openedOn: string, ...values: number[]) => values.map((value) => sight(value, { openedOn }));
  const few = [...year('2026-06-01', 5, 9), ...year('2025-06-01', 8, 14)];
  expect(groupWords(caseGroups(few, 'leek-rust', 'year', names))).toEqual([
    '2026 and 2025: cannot tell yet, by 2 cases and 2 cases. It takes about 13 of each.',
  ]);
  const many = [...year('2026-06-01', 5, 6, 7, 5, 6), ...year('2025-06-01', 30, 28, 33, 31, 29)];
  expect(groupWords(caseGroups(many, 'leek-rust', 'year', names))[0]).toMatch(
    /^2026: 24 percent of the plant less than 2025, between 2\d and 2\d\.$/,
  );
  expect(groupWords([])).toEqual([]);
});
