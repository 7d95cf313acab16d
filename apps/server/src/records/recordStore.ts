import type { Stored, Subject } from '@field-nurse/contract';
import { and, eq } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import { recordJson } from './recordJson.js';
import { recordParts } from './recordParts.js';
import type { RecordPart } from './recordParts.js';
import { subjectTables } from './subjects.js';
import type { SubjectTable } from './subjects.js';

/** A record as it crosses the wire: the columns of its table without the garden's id, and its parts. */
export type Row = Record<string, unknown>;
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];
type Reader = Pick<Db, 'select'>;

/** A record as it stands now. */
export async function recordById<S extends Subject>(db: Reader, subject: S, gardenId: string, recordId: string): Promise<Stored<S> | null> {
  const [record] = await read(db, subject, gardenId, recordId);
  return record ? (record as Stored<S>) : null;
}

/** All records of one subject, oldest id first so that answers are stable. */
export const recordsOf = <S extends Subject>(db: Reader, subject: S, gardenId: string): Promise<Stored<S>[]> =>
  read(db, subject, gardenId) as Promise<Stored<S>[]>;

async function read(db: Reader, subject: Subject, gardenId: string, recordId?: string): Promise<Row[]> {
  const table: SubjectTable = subjectTables[subject];
  const rows = await db
    .select({ record: recordJson(subject) })
    .from(table)
    .where(and(eq(table.gardenId, gardenId), recordId === undefined ? undefined : eq(table.id, recordId)))
    .orderBy(table.id);
  return rows.map(({ record }) => record as Row);
}

export async function putRecord(tx: Tx, subject: Subject, gardenId: string, record: Row): Promise<void> {
  const table = subjectTables[subject];
  const part = recordParts[subject];
  const row = withoutPart(record, part);
  await tx
    .insert(table)
    .values({ ...row, gardenId } as never)
    .onConflictDoUpdate({ target: [table.gardenId, table.id], set: row });
  if (part) await putParts(tx, part, gardenId, String(record['id']), record[part.field] as never[]);
}

const withoutPart = (record: Row, part: RecordPart | undefined): Row =>
  part ? Object.fromEntries(Object.entries(record).filter(([field]) => field !== part.field)) : record;

/** Many records at once that are not there yet. */
export async function putRecords(tx: Tx, subject: Subject, gardenId: string, records: readonly Row[]): Promise<void> {
  if (records.length === 0) return;
  const part = recordParts[subject];
  const rows = records.map((record) => ({ ...withoutPart(record, part), gardenId }));
  await tx.insert(subjectTables[subject]).values(rows);
  if (!part) return;
  const owned = records.flatMap((record) =>
    part.toRows(record[part.field] as never[]).map((row) => ({ ...row, gardenId, [part.owner]: record['id'] })),
  );
  for (let i = 0; i < owned.length; i += partsInStatement) await tx.insert(part.table).values(owned.slice(i, i + partsInStatement));
}

// PostgreSQL takes 65,535 parameters in one statement.
const partsInStatement = 3000;

export async function removeRecord(tx: Tx, subject: Subject, gardenId: string, recordId: string): Promise<void> {
  const table = subjectTables[subject];
  await tx.delete(table).where(and(eq(table.gardenId, gardenId), eq(table.id, recordId)));
}

async function putParts(
  tx: Tx,
  { table, owner, ownerColumn, toRows }: RecordPart,
  gardenId: string,
  recordId: string,
  list: never[],
): Promise<void> {
  await tx.delete(table).where(and(eq(table.gardenId, gardenId), eq(ownerColumn, recordId)));
  const rows = toRows(list).map((row) => ({ ...row, gardenId, [owner]: recordId }));
  if (rows.length > 0) await tx.insert(table).values(rows);
}
