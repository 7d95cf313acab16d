import { signal } from '@angular/core';
import type { PartName } from '@field-nurse/library/parts';
import { partsOf } from '@field-nurse/library/parts';
import { Store } from '@ngrx/store';
import { fireEvent } from '@testing-library/dom';
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
  const api = {
    libraryPart: (part: PartName) => of(partsOf(reference)[part]),
    addRecords,
    undo: (_: string, __: string, change: string) => {
      undone.push(change);
      return of({});
    },
  };
  const dispatched: unknown[] = [];
  const store = { selectSignal: () => signal({ name: 'Wren' }), dispatch: (action: unknown) => dispatched.push(action) };
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
  const settle = () => new Promise((soon) => setTimeout(soon, 30));
  return {
    ...shown,
    asked,
    undone,
    dispatched,
    settle,
    choose: async () => {
      const field = shown.page.getByLabelText<HTMLInputElement>('List as CSV');
      Object.defineProperty(field, 'files', { value: [new File(['x'], 'diary.csv')], configurable: true });
      fireEvent.change(field);
      await settle();
    },
  };
}

test('what was understood stands there before anything is written; names are said once', async () => {
  const { choose, text, press, asked, settle } = await page();
  expect(text()).toContain('Nothing is written before you have seen what was understood.');
  await choose();
  expect(text()).toContain('2 of 3 rows can be brought in; 1 can’t be read. New with them: 1 planting and Far field.');
  expect(text()).toContain('No day in the file tells whether the month or the day comes first.');
  expect(text()).toContain('Row 4, Treatment: “Blue bottle” is no treatment that is known here.');
  await press('Leave these rows out');
  await settle();
  expect(asked.at(-1)!.conventions.meanings).toEqual({ 'treatment blue bottle': '' });
  expect(text()).toContain('rows with “blue bottle” are left out');
  await press('Change');
  await settle();
  expect(asked.at(-1)!.conventions.meanings).toEqual({});
  await press('Sulphur');
  await settle();
  expect(asked.at(-1)!.conventions.meanings).toEqual({ 'treatment blue bottle': 'sulphur' });
});

test('brought in, it says how many are there, and takes them out again', async () => {
  const { choose, text, press, settle, undone, dispatched } = await page();
  await choose();
  await press('Bring in 2 rows');
  await settle();
  expect(text()).toContain('2 rows are in the garden');
  expect(text()).toContain('1 of their records was here already');
  expect(dispatched).toHaveLength(1);
  await press('Take it all out again');
  await settle();
  expect(undone).toEqual(['c']);
  expect(text()).toContain('Choose a file');
});

test('a server that refuses halfway is told, with what to do', async () => {
  const refused = () => throwError(() => new ApiError(422, 'quota', 'There can be 250,000 records in one garden.'));
  const { choose, text, press, settle } = await page(async () => seen, refused);
  await choose();
  await press('Bring in 2 rows');
  await settle();
  expect(text()).toContain('0 rows are in the garden, and not the rest');
  expect(text()).toContain('There can be 250,000 records in one garden. What came before it is there');
});

test('a file that is none is refused, and needed columns are asked for', async () => {
  const none = await page(async () => {
    throw new Error('The file is empty.');
  });
  await none.choose();
  expect(none.text()).toContain('The file is empty.');
  const other = await page(async () => ({ ...seen, heads: ['Who', 'Knows', 'What'] }));
  await other.choose();
  expect(other.text()).toContain('Still to choose: Day, Plant, Treatment.');
  expect(other.asked).toEqual([]);
});
