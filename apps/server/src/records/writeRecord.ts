import type { Stored, Subject } from '@field-nurse/contract';
import { storedRecords } from '@field-nurse/contract';
import { ApiError } from '../http/apiError.js';
import type { Db } from '../db/client.js';
import { withConstraintsNamed } from './brokenConstraint.js';
import { historyOf, knownChange, logChange, replayed, takeTurn } from './changeLog.js';
import type { Write } from './changeLog.js';
import { putRecord, recordById } from './recordStore.js';
import type { Row } from './recordStore.js';

/**
 * Add or change one record, once: however often and however much at once a change id comes, each answer is the record as that change left it.
 * A record that somebody else changed meanwhile is not overwritten: the writer gets theirs, to merge it.
 *
 * @param version - version of the record that the writer saw, 0 for a new one
 */
export async function writeRecord<S extends Subject>(
  db: Db,
  subject: S,
  recordId: string,
  version: number,
  value: Row,
  write: Write,
): Promise<Stored<S>> {
  const { gardenId } = write;
  return withConstraintsNamed(subject, () =>
    db.transaction(async (tx) => {
      const garden = await takeTurn(tx, gardenId);
      const known = await knownChange(tx, write);
      if (known) return replayed(known, { subject, recordId, undoes: null }) as unknown as Stored<S>;
      const before = await recordById(tx, subject, gardenId, recordId);
      if ((before?.version ?? 0) !== version)
        throw new ApiError(409, 'changed-elsewhere', 'Somebody changed this meanwhile. Look at it again before you save.', {
          current: before,
        });
      const next = (await historyOf(tx, gardenId, recordId)).version + 1;
      const after = { ...value, id: recordId, version: next };
      await putRecord(tx, subject, gardenId, after);
      await logChange(tx, garden, write, { subject, recordId, version: next, before, after });
      return storedRecords[subject].parse(after) as Stored<S>;
    }),
  );
}
