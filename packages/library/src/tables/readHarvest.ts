import type { Cells } from './cells.js';
import { mostAmount } from './listInHand.js';
import type { ListInHand, RowUnderstood } from './listInHand.js';

/** What was picked. */
export function readHarvest(cells: Cells, list: ListInHand): RowUnderstood | undefined {
  const on = list.pastDay(cells);
  const stood = on && list.stood(cells, on.day, null);
  const kg = cells.amount('kg', ['kg'], mostAmount);
  const pieces = cells.number('pieces', 0, mostAmount, true);
  const waste = cells.amount('waste', ['kg'], mostAmount);
  const [by, note] = [cells.text('by', 120), cells.text('note', 2000)];
  if (cells.raw('kg') === '' && cells.raw('pieces') === '')
    cells.fault('kg', 'is empty, and so are the pieces: one of them says how much it was.');
  if (!on || !stood || cells.problems.length > 0) return undefined;
  return {
    says: `${on.day}: ${kg ? `${kg.value} kg` : `${pieces} pieces`} of ${stood.says}`,
    records: [
      ...stood.made,
      {
        subject: 'harvests',
        record: list.id(['harvest', stood.said, on.day, kg, pieces, waste, by, note]),
        value: { plantingId: stood.id, pickedOn: on.day, kg: kg?.value ?? null, pieces, wasteKg: waste?.value ?? null, by, note },
      },
    ],
  };
}
