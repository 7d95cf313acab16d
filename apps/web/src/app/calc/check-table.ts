import type { ListedRecord } from '@field-nurse/contract';
import { mostListed } from '@field-nurse/contract';
import type { Library } from '@field-nurse/library';
import { csvOf, ListReader, nameKey } from '@field-nurse/library/tables';
import type { CellProblem, Conventions, ListedInto, UnknownName } from '@field-nurse/library/tables';
import { Stopped } from './look-at-table';
import type { Progress, TableSeen } from './look-at-table';
import { isWritten, rowsOf } from './table-file';

/** A file of rows, how it is to be read, and where it is to go. */
export interface TableToRead {
  readonly file: Blob;
  readonly seen: Pick<TableSeen, 'form' | 'headRow' | 'heads'>;
  readonly conventions: Conventions;
  readonly into: ListedInto;
}

/** A row with something wrong in it; its place in the file as people count, with the heads. */
export interface WrongRow extends CellProblem {
  readonly row: number;
}

export interface TableChecked {
  /** rows that can be brought in */
  readonly good: number;
  readonly wrong: number;
  /** rows that are left out, since that was said of a name in them */
  readonly unwanted: number;
  readonly places: readonly string[];
  readonly plantings: number;
  /** how the first rows were understood */
  readonly understood: readonly string[];
  readonly firstWrong: readonly WrongRow[];
  /** names that are not known, and in how many rows each is */
  readonly unknown: readonly (UnknownName & { readonly rows: number })[];
  /** the rows that can't be read, with why, as CSV; the first of them where they are many */
  readonly wrongRows: string;
  readonly firstDays: ReadonlyMap<string, string>;
}

const [mostShown, mostWrongKept, mostUnknown] = [20, 5000, 200];

/** Read every row as it would be brought in, and write nothing. @throws NotATable; Stopped */
export async function checkTable(library: Library, table: TableToRead, progress: Progress): Promise<TableChecked> {
  const reader = new ListReader(library, table.into, table.conventions);
  const unknown = new Map<string, UnknownName & { rows: number }>();
  const places = new Set<string>();
  const understood: string[] = [];
  const firstWrong: WrongRow[] = [];
  const wrongRows: string[][] = [];
  const counts = { good: 0, wrong: 0, unwanted: 0, plantings: 0 };
  for await (const { cells, row } of listedRows(table, progress)) {
    const { records, problems, says } = reader.read(cells);
    for (const record of records) {
      if (record.subject === 'places') places.add(record.value.name);
      if (record.subject === 'plantings') counts.plantings++;
    }
    if (problems.length > 0) {
      counts.wrong++;
      if (wrongRows.length < mostWrongKept) wrongRows.push([...cells, problems.map(({ column, text }) => `${column} ${text}`).join(' ')]);
      const [problem] = problems;
      if (firstWrong.length < mostShown) firstWrong.push({ ...problem!, row });
      for (const { unknown: name } of problems) if (name) countName(unknown, name);
    } else if (records.length === 0) counts.unwanted++;
    else {
      counts.good++;
      if (understood.length < mostShown) understood.push(says);
    }
  }
  return {
    ...counts,
    places: [...places],
    understood,
    firstWrong,
    unknown: [...unknown.values()].sort((a, b) => b.rows - a.rows),
    wrongRows: wrongRows.length > 0 ? csvOf([[...table.seen.heads, 'What is wrong'], ...wrongRows]) : '',
    firstDays: reader.firstDays,
  };
}

function countName(unknown: Map<string, UnknownName & { rows: number }>, name: UnknownName): void {
  const key = nameKey(name.kind, name.name);
  const known = unknown.get(key);
  if (known) known.rows++;
  else if (unknown.size < mostUnknown) unknown.set(key, { ...name, rows: 1 });
}

/** Brings a part in, told of how many rows it is and how far the file is read; says whether to go on. */
export type SendPart = (part: readonly ListedRecord[], rows: number, share: number) => boolean | Promise<boolean>;

/**
 * The records of a table in parts that may be sent at once.
 *
 * @param firstDays - as the check found them
 */
export async function bringIn(library: Library, table: TableToRead, firstDays: ReadonlyMap<string, string>, send: SendPart): Promise<void> {
  const reader = new ListReader(library, table.into, table.conventions, firstDays);
  let [part, rows, share]: [ListedRecord[], number, number] = [[], 0, 0];
  const sendPart = async () => {
    if (part.length > 0 && !(await send(part, rows, share))) throw new Stopped();
    [part, rows] = [[], 0];
  };
  for await (const { cells } of listedRows(table, (read) => {
    share = read;
    return true;
  })) {
    const { records } = reader.read(cells);
    // A row is sent whole.
    if (part.length + records.length > mostListed) await sendPart();
    part.push(...records);
    if (records.length > 0) rows++;
  }
  share = 1;
  await sendPart();
}

/** The rows below the heads, with their place in the file as people count. */
async function* listedRows(
  { file, seen: { form, headRow } }: TableToRead,
  progress: Progress,
): AsyncGenerator<{ readonly cells: readonly string[]; readonly row: number }> {
  let row = 0;
  for await (const { rows, share } of rowsOf(file, form)) {
    for (const cells of rows) if (++row > headRow + 1 && isWritten(cells)) yield { cells, row };
    if (!(await progress(share))) throw new Stopped();
  }
}
