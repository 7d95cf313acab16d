import type { ListedRecord } from '@field-nurse/contract';
import { Cells } from './cells.js';
import type { CellProblem, Conventions } from './cells.js';
import type { ListName } from './listColumns.js';
import { ListInHand } from './listInHand.js';
import type { ListedInto, ListLibrary, RowUnderstood } from './listInHand.js';
import { readCatch } from './readCatch.js';
import { readFind } from './readFind.js';
import { readHarvest } from './readHarvest.js';
import { readProduct } from './readProduct.js';
import { readTreatment } from './readTreatment.js';

/** What a row became. */
export interface RowRead {
  /** none where something is wrong, or where the row is not wanted */
  readonly records: readonly ListedRecord[];
  readonly problems: readonly CellProblem[];
  /** what it was understood as, in a line */
  readonly says: string;
}

const readers: Readonly<Record<ListName, (cells: Cells, list: ListInHand) => RowUnderstood | undefined>> = {
  treatments: readTreatment,
  finds: readFind,
  harvests: readHarvest,
  catches: readCatch,
  products: readProduct,
};

/** Reads the rows of one list, one after the other. */
export class ListReader {
  readonly #conventions: Conventions;
  readonly #list: ListInHand;

  /** @param firstDays - as a first reading found them (`firstDays`), for what stands for years */
  constructor(library: ListLibrary, into: ListedInto, conventions: Conventions, firstDays?: ReadonlyMap<string, string>) {
    this.#conventions = conventions;
    this.#list = new ListInHand(library, into, conventions, firstDays);
  }

  /** First days of what stands for years, as far as it was read. */
  get firstDays(): ReadonlyMap<string, string> {
    return this.#list.standing.firstDays;
  }

  read(row: readonly string[]): RowRead {
    const cells = new Cells(row, this.#conventions);
    const read = readers[this.#conventions.list](cells, this.#list);
    if (cells.isUnwanted) return { records: [], problems: [], says: '' };
    return read && cells.problems.length === 0 ? { ...read, problems: [] } : { records: [], problems: cells.problems, says: '' };
  }
}
