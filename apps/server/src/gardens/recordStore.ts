import type { Stored, Subject } from '@field-nurse/contract';
import { and, asc, eq } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { Db } from '../db/client.js';
import { grouped, recordParts } from './recordParts.js';
import type { PartRow, RecordPart } from './recordParts.js';
import { subjectTables } from './subjects.js';
import type { SubjectTable } from './subjects.js';

/** A record as it is kept: the columns of its table without the garden's id, and its parts. */
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

export async function putRecord(tx: Tx, subject: Subject, gardenId: string, record: Row): Promise<void> {
  const table = subjectTables[subject];
  const part = recordParts[subject];
  const row = part ? Object.fromEntries(Object.entries(record).filter(([field]) => field !== part.field)) : record;
  await tx
    .insert(table)
    .values({ ...row, gardenId } as never)
    .onConflictDoUpdate({ target: [table.gardenId, table.id], set: row });
  if (part) await putParts(tx, part, gardenId, String(record['id']), record[part.field] as never[]);
}

export async function removeRecord(tx: Tx, subject: Subject, gardenId: string, recordId: string): Promise<void> {
  const table = subjectTables[subject];
  await tx.delete(table).where(and(eq(table.gardenId, gardenId), eq(table.id, recordId)));
}

async function read(db: Reader, subject: Subject, gardenId: string, recordId?: string): Promise<Row[]> {
  const table: SubjectTable = subjectTables[subject];
  const rows = await db
    .select()
    .from(table)
    .where(and(eq(table.gardenId, gardenId), recordId === undefined ? undefined : eq(table.id, recordId)))
    .orderBy(table.id);
  const part = recordParts[subject];
  const parts = part && rows.length > 0 ? await readParts(db, part, gardenId, recordId) : undefined;
  return rows.map((row) => ({
    ...fromRow(row),
    ...(part && { [part.field]: part.fromRows(parts?.get(String(row['id'])) ?? []) }),
  }));
}

async function readParts(db: Reader, part: RecordPart, gardenId: string, recordId?: string): Promise<ReadonlyMap<string, PartRow[]>> {
  const { table, owner, ownerColumn } = part;
  const rows: PartRow[] = await db
    .select()
    .from(table as PgTable)
    .where(and(eq(table.gardenId, gardenId), recordId === undefined ? undefined : eq(ownerColumn, recordId)))
    .orderBy(asc(ownerColumn), asc(table.ordinal));
  const bare = rows.map(({ gardenId: _, [owner]: record, ...row }) => ({ record: String(record), row }));
  return new Map([...grouped(bare, ({ record }) => record)].map(([record, own]) => [record, own.map(({ row }) => row)]));
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
  if (rows.length > 0) await tx.insert(table).values(rows as never);
}

/** PostgreSQL writes instants with a space and a short offset; the wire wants ISO 8601. */
function fromRow({ gardenId: _, ...row }: Row): Row {
  return Object.fromEntries(
    Object.entries(row).map(([key, value]) => [
      key,
      key.endsWith('At') && typeof value === 'string' ? new Date(value).toISOString() : value,
    ]),
  );
}
