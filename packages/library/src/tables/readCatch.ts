import { fold } from '../names/words.js';
import type { Cells } from './cells.js';
import { mostPlants } from './listInHand.js';
import type { ListInHand, RowUnderstood } from './listInHand.js';

/** A reading of a trap. */
export function readCatch(cells: Cells, list: ListInHand): RowUnderstood | undefined {
  const on = list.pastDay(cells);
  const name = cells.needed('trap', 120);
  const trap = list.into.traps.find((one) => name !== undefined && fold(one.name) === fold(name));
  if (name !== undefined && !trap) cells.fault('trap', 'is no trap of this garden. Set it up under Traps first.');
  const what = cells.needed('what', 120);
  const count = cells.number('count', 0, mostPlants, true);
  if (cells.raw('count') === '') cells.fault('count', 'is empty.');
  const note = cells.text('note', 2000);
  if (!on || !trap || what === undefined || count === null || cells.problems.length > 0) return undefined;
  return {
    says: `${on.day}: ${count} ${what} in ${trap.name}`,
    records: [
      {
        subject: 'catches',
        record: list.id(['catch', trap.id, on.day, what, count, note]),
        value: { trapId: trap.id, checkedOn: on.day, caught: [{ what, count }], emptied: true, note },
      },
    ],
  };
}
