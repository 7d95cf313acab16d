import type { TableSeen } from '../calc/look-at-table';
import { columnRows, conventionsOf, missingColumns, noChoices, writtenAs } from './table-choices';

const seen: TableSeen = {
  form: { encoding: 'utf-8', delimiter: ',' },
  heads: ['Date', 'Crop', 'Product', 'Used (ml)', 'Litres', 'Who'],
  headRow: 0,
  rows: 3,
  first: [
    ['3/5/2024', 'leek', 'sulphur', '5', '2,5', 'Isa'],
    ['4/5/2024', 'leek', 'sulphur', '5', '3', 'Isa'],
  ],
  list: 'treatments',
  dayOrders: [undefined, undefined, undefined, undefined, undefined, undefined],
  decimals: [undefined, undefined, undefined, undefined, 'comma', undefined],
};

test('what is found by its head, what is chosen by hand, and what is left out', () => {
  const choices = { ...noChoices('treatments'), columns: { amount: 3, water: 4, by: -1 } };
  const rows = columnRows(seen, choices);
  const row = (name: string) => rows.find((one) => one.name === name)!;
  expect(row('day')).toMatchObject({ at: 0, examples: '3/5/2024 · 4/5/2024' });
  expect(row('amount')).toMatchObject({ at: 3, unit: '' });
  expect(row('water')).toMatchObject({ at: 4, unit: 'l' });
  expect(row('by').at).toBe(-1);
  const written = writtenAs(seen, rows, choices, 'month-day');
  expect(written).toEqual({ dayOrder: 'month-day', decimal: 'comma', daysTell: false, hasPlainDays: true });
  expect(conventionsOf(rows, choices, written)).toMatchObject({ columns: { day: 0, amount: 3, water: 4 }, units: { water: 'l' } });
  expect(missingColumns(rows)).toEqual([]);
});

test('another list needs other columns', () => {
  expect(missingColumns(columnRows(seen, noChoices('catches')))).toEqual(['Trap', 'What', 'Count']);
});
