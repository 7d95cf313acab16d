import type { Stored, Subject } from '@field-nurse/contract';
import { and, eq } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import { subjectTables } from './subjects.js';
import type { SubjectTable } from './subjects.js';

/** A record as it is kept: the columns of its table without the garden's id. */
export type Row = Record<string, unknown>;
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

/** A record as it stands now. */
export async function recordById<S extends Subject>(
  db: Pick<Db, 'select'>,
  subject: S,
  gardenId: string,
  recordId: string,
): Promise<Stored<S> | null> {
  const table: SubjectTable = subjectTables[subject];
  const [row] = await db
    .select()
    .from(table)
    .where(and(eq(table.gardenId, gardenId), eq(table.id, recordId)));
  return row ? (fromRow(row) as Stored<S>) : null;
}

/** All records of one subject, oldest id first so that answers are stable. */
export async function recordsOf<S extends Subject>(db: Pick<Db, 'select'>, subject: S, gardenId: string): Promise<Stored<S>[]> {
  const table: SubjectTable = subjectTables[subject];
  const rows = await db.select().from(table).where(eq(table.gardenId, gardenId)).orderBy(table.id);
  return rows.map((row) => fromRow(row) as Stored<S>);
}

export async function putRecord(tx: Tx, subject: Subject, gardenId: string, record: Row): Promise<void> {
  const table = subjectTables[subject];
  await tx
    .insert(table)
    .values({ ...record, gardenId } as never)
    .onConflictDoUpdate({ target: [table.gardenId, table.id], set: record });
}

export async function removeRecord(tx: Tx, subject: Subject, gardenId: string, recordId: string): Promise<void> {
  const table = subjectTables[subject];
  await tx.delete(table).where(and(eq(table.gardenId, gardenId), eq(table.id, recordId)));
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
