import { comingSights } from './index';

const leeks = { id: 'leeks', host: 'leek', endedOn: null };
const rust = (openedOn: string) => ({ host: 'leek', openedOn, conditions: ['leek-rust'] });
const today = '2026-07-18';

test('what was first seen at about this time begins three weeks before, by the earliest of its years', () => {
  expect(comingSights([leeks], [rust('2024-08-20'), rust('2025-08-12')], today, 28)).toEqual([
    { planting: 'leeks', condition: 'leek-rust', expectedOn: '2026-08-12', beginOn: '2026-07-22', years: ['2024', '2025'] },
  ]);
});

test.each([
  ['it is here this year already', [rust('2025-08-12'), rust('2026-07-01')]],
  ['it came long before', [rust('2025-06-20')]],
  ['it comes much later', [rust('2025-10-20')]],
  ['it came on another plant', [{ ...rust('2025-08-12'), host: 'onion' }]],
  ['nobody knew what it was', [{ ...rust('2025-08-12'), conditions: [] }]],
])('%s: nothing', (_, cases) => expect(comingSights([leeks], cases, today, 28)).toEqual([]));

test('what grows no more is not warned of', () => {
  expect(comingSights([{ ...leeks, endedOn: '2026-07-01' }], [rust('2025-08-12')], today, 28)).toEqual([]);
});

test('a day that this year lacks is the next one', () => {
  expect(comingSights([leeks], [rust('2024-02-29')], '2026-02-20', 28)[0]?.expectedOn).toBe('2026-03-01');
});
