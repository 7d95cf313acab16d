import type { Cells } from './cells.js';
import { mostAmount } from './listInHand.js';
import type { ListInHand, RowUnderstood } from './listInHand.js';

/** A pack in the shed. */
export function readProduct(cells: Cells, list: ListInHand): RowUnderstood | undefined {
  const name = cells.needed('name', 120);
  const what = cells.entry('treatment', 'treatment', list.library.interventions);
  const pack = cells.amount('pack', ['ml', 'g'], 1e9);
  if (cells.raw('pack') === '') cells.fault('pack', 'is empty: how much is in a pack says what it is measured in.');
  const [bought, opened, bestBefore] = [cells.day('bought'), cells.day('opened'), cells.day('bestBefore')];
  const price = cells.number('price', 0, mostAmount);
  const [registration, batch, keptIn, note] = [
    cells.text('registration', 120),
    cells.text('batch', 120),
    cells.text('keptIn', 120),
    cells.text('note', 2000),
  ];
  if (name === undefined || !what || !pack || cells.problems.length > 0) return undefined;
  return {
    says: `${name}, ${pack.value} ${pack.unit}`,
    records: [
      {
        subject: 'products',
        record: list.id(['product', name, what.id, pack, batch, bought?.day]),
        value: {
          name,
          intervention: what.id,
          strength: null,
          form: pack.unit === 'ml' ? 'liquid' : 'other',
          measuredIn: pack.unit,
          packAmount: pack.value > 0 ? pack.value : null,
          densityGPerMl: null,
          registration,
          barcode: '',
          soldTo: 'unknown',
          batch,
          boughtOn: bought?.day ?? null,
          openedOn: opened?.day ?? null,
          bestBefore: bestBefore?.day ?? null,
          price,
          keptIn,
          lowAt: null,
          note,
          endedOn: null,
        },
      },
    ],
  };
}
