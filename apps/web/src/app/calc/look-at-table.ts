import { DayOrderWitness, DecimalWitness, matchColumns } from '@field-nurse/core/tables';
import type { DayOrder, DecimalSign, MatchedColumn } from '@field-nurse/core/tables';
import { columnsOf, listColumns } from '@field-nurse/library/tables';
import type { ListName } from '@field-nurse/library/tables';
import { formOf, isWritten, NotATable, rowsOf } from './table-file';
import type { TableForm } from './table-file';

/** What a first look at a file tells. */
export interface TableSeen {
  readonly form: TableForm;
  readonly heads: readonly string[];
  /** place of the heads among the rows, from 0: some sheets have a title above */
  readonly headRow: number;
  readonly rows: number;
  /** the first rows below the heads */
  readonly first: readonly (readonly string[])[];
  /** the list that it is likeliest */
  readonly list: ListName;
  /** by place of the column: in which order its days stand, where one of them tells */
  readonly dayOrders: readonly (DayOrder | undefined)[];
  readonly decimals: readonly (DecimalSign | undefined)[];
}

/** Told how much of a file is read; says whether to go on. */
export type Progress = (share: number) => boolean | Promise<boolean>;

/** It was stopped by whoever wanted it. */
export class Stopped extends Error {}

const rowsBeforeHeads = 10;
const rowsShown = 5;
export const listNames = Object.keys(listColumns) as ListName[];

/**
 * Read a whole file once: its heads, which list it is, and how its days and numbers are written.
 *
 * @throws NotATable in words for the gardener; Stopped
 */
export async function lookAtTable(file: Blob, progress: Progress): Promise<TableSeen> {
  const form = await formOf(file);
  const opening: string[][] = [];
  let head: { readonly row: number; readonly heads: readonly string[] } | undefined;
  let rows = 0;
  const first: string[][] = [];
  const days: DayOrderWitness[] = [];
  const decimals: DecimalWitness[] = [];
  const see = (row: readonly string[]) => {
    if (!isWritten(row)) return;
    rows++;
    if (first.length < rowsShown) first.push([...row]);
    row.forEach((cell, i) => {
      (days[i] ??= new DayOrderWitness()).see(cell);
      (decimals[i] ??= new DecimalWitness()).see(cell);
    });
  };
  for await (const { rows: some, share } of rowsOf(file, form)) {
    for (const row of some) {
      if (head) see(row);
      else if (opening.push(row) === rowsBeforeHeads) head = settle(opening, see);
    }
    if (!(await progress(share))) throw new Stopped();
  }
  head ??= settle(opening, see);
  if (!head || head.heads.length < 2) throw new NotATable('No table is in this file: it needs a line of heads and at least two columns.');
  if (rows === 0) throw new NotATable('There is no row below the heads.');
  return {
    form,
    heads: head.heads,
    headRow: head.row,
    rows,
    first,
    list: likeliestList(head.heads),
    dayOrders: head.heads.map((_, i) => days[i]?.order()),
    decimals: head.heads.map((_, i) => decimals[i]?.sign()),
  };
}

/** The heads are the row among the first that most columns are called after. */
function settle(opening: readonly string[][], see: (row: readonly string[]) => void) {
  if (opening.length === 0) return undefined;
  const known = (row: readonly string[]) => Math.max(...listNames.map((list) => matchColumns(row, columnsOf(list)).size));
  const counts = opening.map(known);
  const row = Math.max(0, counts.indexOf(Math.max(...counts)));
  opening.slice(row + 1).forEach(see);
  return { row, heads: opening[row]! };
}

function likeliestList(heads: readonly string[]): ListName {
  const score = (list: ListName) => {
    const [matched, columns] = [matchColumns(heads, columnsOf(list)), columnsOf(list)];
    const needed = columns.filter((one) => one.needed);
    const missing = needed.filter(({ name }) => !matched.has(name)).length;
    return matched.size - 3 * missing;
  };
  return listNames.toSorted((a, b) => score(b) - score(a))[0]!;
}

/** Which of its columns is which of a list's. */
export const matchedColumns = (heads: readonly string[], list: ListName): ReadonlyMap<string, MatchedColumn> =>
  matchColumns(heads, columnsOf(list));
