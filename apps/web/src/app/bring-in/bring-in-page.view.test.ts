import { signal } from '@angular/core';
import type { PartName } from '@field-nurse/library/parts';
import { partsOf } from '@field-nurse/library/parts';
import { Store } from '@ngrx/store';
import { fireEvent, waitFor } from '@testing-library/dom';
import { of, throwError } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Calc } from '../calc/calc';
import type { SendPart, TableChecked, TableToRead } from '../calc/check-table';
import type { TableSeen } from '../calc/look-at-table';
import { reference, show } from '../testing/show';
import { BringInPage } from './bring-in-page';

const seen: TableSeen = {
  form: { encoding: 'utf-8', delimiter: ',' },
  heads: ['Date', 'Crop', 'Product'],
  headRow: 0,
  rows: 3,
  first: [['3/5/2024', 'leek', 'Blue bottle']],
  list: 'treatments',
  dayOrders: [undefined, undefined, undefined],
  decimals: [undefined, undefined, undefined],
};
const checked: TableChecked = {
  good: 2,
  wrong: 1,
  unwanted: 0,
  places: ['Far field'],
  plantings: 1,
  understood: ['2024-05-03: Sulphur on Leek, Far field'],
  firstWrong: [{ row: 4, column: 'Treatment', cell: 'Blue bottle', text: 'is no treatment that is known here. Say what it means.' }],
  unknown: [{ kind: 'treatment', name: 'Blue bottle', couldBe: ['sulphur'], rows: 1 }],
  wrongRows: 'a,b\r\n',
  firstDays: new Map(),
};

async function page(
  look: () => Promise<TableSeen> = async () => seen,
  addRecords: () => unknown = () => of({ added: [{ change: 'c' }], known: 1 }),
) {
  const asked: TableToRead[] = [];
  const calc = {
    lookAtTable: look,
    checkTable: async (table: TableToRead) => {
      asked.push(table);
      return checked;
    },
    bringIn: async (_: TableToRead, __: unknown, send: SendPart) => void (await send([], 2, 1)),
  };
  const undone: unknown[] = [];
  const refusing = new Set<string>();
  const api = {
    libraryPart: (part: PartName) => of(partsOf(reference)[part]),
    addRecords,
    undo: (_: string, __: string, change: string) => {
      if (refusing.delete(change)) return throwError(() => new ApiError(0, 'no-answer', 'The server does not answer.'));
      undone.push(change);
      return of({});
    },
  };
  const dispatched: unknown[] = [];
  const store = { selectSignal: () => signal([]), dispatch: (action: unknown) => dispatched.push(action) };
  const shown = await show(
    BringInPage,
    {},
    {
      providers: [
        { provide: Calc, useValue: calc },
        { provide: Api, useValue: api },
        { provide: Store, useValue: store },
      ],
    },
  );
  const { text } = shown;
  return {
    ...shown,
    asked,
    undone,
    /** changes that can't be taken back at the first try */
    refusing,
    dispatched,
    /** What is read in the background comes in its own time. */
    says: (words: string) => waitFor(() => expect(text()).toContain(words), { timeout: 5000 }),
    meanings: (expected: Readonly<Record<string, string>>) =>
      waitFor(() => expect(asked.at(-1)?.conventions.meanings).toEqual(expected), { timeout: 5000 }),
    choose: () => {
      const field = shown.page.getByLabelText<HTMLInputElement>('List as CSV');
      Object.defineProperty(field, 'files', { value: [new File(['x'], 'diary.csv')], configurable: true });
      fireEvent.change(field);
    },
  };
}

test('what was understood stands there before anything is written; names are said once', async () => {
  const { choose, says, press, meanings } = await page();
  await says('Nothing is written before you have seen what was understood.');
  choose();
  await says('2 of 3 rows can be brought in; 1 can’t be read. New with them: 1 planting and Far field.');
  await says('No day in the file tells whether the month or the day comes first.');
  await says('Row 4, Treatment: “Blue bottle” is no treatment that is known here.');
  await press('Leave these rows out');
  await meanings({ 'treatment blue bottle': '' });
  await says('rows with “blue bottle” are left out');
  await press('Change');
  await meanings({});
  await says('Names that are not known here');
  await press('Sulphur');
  await meanings({ 'treatment blue bottle': 'sulphur' });
});

test('brought in, it says how many are there, and takes them out again', async () => {
  const { choose, says, press, undone, dispatched } = await page();
  choose();
  await says('Bring in 2 rows');
  await press('Bring in 2 rows');
  await says('2 rows are in the garden');
  await says('1 of their records was here already');
  expect(dispatched).toHaveLength(1);
  await press('Take it all out again');
  await says('Choose a file');
  expect(undone).toEqual(['c']);
});

test('taking out that breaks off goes on where it was', async () => {
  const two = () => of({ added: [{ change: 'c' }, { change: 'd' }], known: 0 });
  const { choose, says, press, undone, refusing } = await page(async () => seen, two);
  choose();
  await says('Bring in 2 rows');
  await press('Bring in 2 rows');
  await says('2 rows are in the garden');
  refusing.add('c');
  await press('Take it all out again');
  await says('The server does not answer.');
  await press('Take it all out again');
  await says('Choose a file');
  expect(undone).toEqual(['d', 'c']);
});

test('a server that refuses halfway is told, with what to do', async () => {
  const refused = () => throwError(() => new ApiError(422, 'quota', 'There can be 250,000 records in one garden.'));
  const { choose, says, press } = await page(async () => seen, refused);
  choose();
  await says('Bring in 2 rows');
  await press('Bring in 2 rows');
  await says('0 rows are in the garden, and not the rest');
  await says('There can be 250,000 records in one garden. What came before it is there');
});

test('a file that is none is refused, and needed columns are asked for', async () => {
  const none = await page(async () => {
    throw new Error('The file is empty.');
  });
  none.choose();
  await none.says('The file is empty.');
  const other = await page(async () => ({ ...seen, heads: ['Who', 'Knows', 'What'] }));
  other.choose();
  await other.says('Still to choose: Day, Plant.');
  expect(other.asked).toEqual([]);
});
