import type { Subject } from '@field-nurse/contract';
import { and, eq, inArray } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Db } from '../db/client.js';
import { withConstraintsNamed } from './brokenConstraint.js';
import { logChanges, takeTurn, versionsOf } from './changeLog.js';
import type { NewChange, Write } from './changeLog.js';
import { putRecords } from './recordStore.js';
import type { Row, Tx } from './recordStore.js';
import { subjectTables } from './subjects.js';

/** A record that is to be there. */
export interface NewRecord {
  readonly subject: Subject;
  readonly record: string;
  readonly value: Row;
}

export interface AddedRecords {
  readonly added: readonly { readonly subject: Subject; readonly record: string; readonly change: string }[];
  /** how many were there already */
  readonly known: number;
}

/**
 * Add many records in one turn, whole or not at all; each is a change of its own. What is there already stays as it is, so that the same records
 * may be sent again.
 *
 * @param judged - what the server makes of a value, with those before it in place
 */
export async function addRecords(
  db: Db,
  records: readonly NewRecord[],
  write: Omit<Write, 'change'>,
  judged: (tx: Tx, record: NewRecord, place: number) => Promise<Row>,
): Promise<AddedRecords> {
  const { gardenId } = write;
  return db.transaction(async (tx) => {
    const garden = await takeTurn(tx, gardenId);
    const there = await idsThere(tx, gardenId, records);
    const versions = await versionsOf(
      tx,
      gardenId,
      records.map(({ record }) => record),
    );
    const changes: NewChange[] = [];
    for (const [place, one] of records.entries()) {
      const { subject, record } = one;
      if (there.has(record)) continue;
      there.add(record);
      const version = (versions.get(record) ?? 0) + 1;
      const after = { ...(await judged(tx, one, place)), id: record, version };
      await withConstraintsNamed(subject, () => putRecords(tx, subject, gardenId, [after]));
      changes.push({ id: randomUUID(), subject, recordId: record, version, before: null, after });
    }
    await logChanges(tx, garden, write, changes);
    return {
      added: changes.map(({ id, subject, recordId }) => ({ subject, record: recordId, change: id })),
      known: records.length - changes.length,
    };
  });
}

/** Ids of records that are there now. */
async function idsThere(tx: Tx, gardenId: string, records: readonly NewRecord[]): Promise<Set<string>> {
  const there = new Set<string>();
  for (const subject of new Set(records.map((one) => one.subject))) {
    const table = subjectTables[subject];
    const ids = records.filter((one) => one.subject === subject).map(({ record }) => record);
    const rows = await tx
      .select({ id: table.id })
      .from(table)
      .where(and(eq(table.gardenId, gardenId), inArray(table.id, ids)));
    for (const { id } of rows) there.add(id as string);
  }
  return there;
}
