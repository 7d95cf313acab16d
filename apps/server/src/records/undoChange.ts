import type { Subject } from '@field-nurse/contract';
import { and, eq } from 'drizzle-orm';
import { ApiError, notFound } from '../http/apiError.js';
import type { Db } from '../db/client.js';
import { withConstraintsNamed } from './brokenConstraint.js';
import { historyOf, knownChange, logChange, replayed, takeTurn } from './changeLog.js';
import type { ChangeRow, Write } from './changeLog.js';
import { putRecord, recordById, removeRecord } from './recordStore.js';
import type { Row } from './recordStore.js';
import { changes } from '../gardens/tables.js';

interface Undone {
  readonly subject: Subject;
  readonly recordId: string;
  readonly record: Row | null;
}

/**
 * Take a change back: the record stands as before it, under a new version. Refused when the record has changed since, or when others hang on it.
 *
 * @param mayUndo - throws for a change that may not be taken back, or not by this person
 */
export async function undoChange(db: Db, undoes: string, write: Write, mayUndo: (change: ChangeRow) => Promise<void>): Promise<Undone> {
  const { gardenId } = write;
  return db.transaction(async (tx) => {
    const garden = await takeTurn(tx, gardenId);
    const known = await knownChange(tx, write);
    if (known) return { subject: known.subject as Subject, recordId: known.recordId, record: replayed(known, { undoes }) };
    const [target] = await tx
      .select()
      .from(changes)
      .where(and(eq(changes.gardenId, gardenId), eq(changes.id, undoes)));
    if (!target) throw notFound('This change');
    await mayUndo(target);
    const { subject, recordId } = target as ChangeRow & { subject: Subject };
    const current: Row | null = await recordById(tx, subject, gardenId, recordId);
    const history = await historyOf(tx, gardenId, recordId);
    if (history.sequence !== target.sequence)
      throw new ApiError(409, 'changed-since', 'This was changed again since. Take the later change back first.');
    const version = history.version + 1;
    const record = target.before ? { ...(target.before as Row), version } : null;
    await withConstraintsNamed(subject, () =>
      record ? putRecord(tx, subject, gardenId, record) : removeRecord(tx, subject, gardenId, recordId),
    );
    await logChange(tx, garden, write, { subject, recordId, version, before: current, after: record, undoes });
    return { subject, recordId, record };
  });
}
