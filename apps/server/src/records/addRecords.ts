import type { Subject } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import type { Db } from '../db/client.js';
import { withConstraintsNamed } from './brokenConstraint.js';
import { historyOf, logChange, takeTurn } from './changeLog.js';
import type { Write } from './changeLog.js';
import { putRecord, recordById } from './recordStore.js';
import type { Row, Tx } from './recordStore.js';

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
    let garden = await takeTurn(tx, gardenId);
    const added: AddedRecords['added'][number][] = [];
    for (const [place, one] of records.entries()) {
      const { subject, record } = one;
      if (await recordById(tx, subject, gardenId, record)) continue;
      const version = (await historyOf(tx, gardenId, record)).version + 1;
      const after = { ...(await judged(tx, one, place)), id: record, version };
      await withConstraintsNamed(subject, () => putRecord(tx, subject, gardenId, after));
      const change = randomUUID();
      await logChange(tx, garden, { ...write, change }, { subject, recordId: record, version, before: null, after });
      garden = { ...garden, lastSequence: garden.lastSequence + 1, recordCount: garden.recordCount + 1 };
      added.push({ subject, record, change });
    }
    return { added, known: records.length - added.length };
  });
}
