import type { Change, Stored, Subject } from '@field-nurse/contract';
import { storedRecords } from '@field-nurse/contract';
import { and, desc, eq, getTableName } from 'drizzle-orm';
import { ApiError, invalidField, notFound } from '../api/apiError.js';
import type { Db } from '../db/client.js';
import { people } from '../people/tables.js';
import { subjectTables } from './subjects.js';
import type { SubjectTable } from './subjects.js';
import { changes } from './tables.js';

type Row = Record<string, unknown>;
type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

/** Who writes what, when. */
export interface Write {
  readonly gardenId: string;
  readonly personId: string;
  readonly at: Date;
  readonly change: string;
}

/**
 * Add or change one record, once: a change id that is already known gives back the record as that change left it. A record that somebody else
 * changed meanwhile is not overwritten.
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
  return withReferences(subject, () =>
    db.transaction(async (tx) => {
      const done = await knownChange(tx, write);
      if (done) return replayed(done, subject, recordId) as Stored<S>;
      const before = await lockRecord(tx, subject, write.gardenId, recordId);
      const current = Number(before?.['version'] ?? 0);
      if (current !== version)
        throw new ApiError(409, 'changed-elsewhere', 'Somebody changed this meanwhile. Look at it again before you save.', {
          current: before ?? null,
        });
      const after = { ...value, id: recordId, version: version + 1 };
      await putRecord(tx, subject, write.gardenId, after);
      await tx.insert(changes).values({
        gardenId: write.gardenId,
        id: write.change,
        subject,
        recordId,
        before,
        after,
        personId: write.personId,
        madeAt: write.at,
      });
      return storedRecords[subject].parse(after) as Stored<S>;
    }),
  );
}

/**
 * Take a change back: the record stands as before it, under a new version. Refused when the record has changed since, or when others hang on it.
 */
export async function undoChange(
  db: Db,
  undoes: string,
  write: Write,
): Promise<{ subject: Subject; recordId: string; record: Row | null }> {
  return db.transaction(async (tx) => {
    const done = await knownChange(tx, write);
    if (done) return { subject: done.subject as Subject, recordId: done.recordId, record: done.after as Row | null };
    const [target] = await tx
      .select()
      .from(changes)
      .where(and(eq(changes.gardenId, write.gardenId), eq(changes.id, undoes)));
    if (!target) throw notFound('This change');
    const subject = target.subject as Subject;
    const current = await lockRecord(tx, subject, write.gardenId, target.recordId);
    if ((current?.['version'] ?? 0) !== ((target.after as Row | null)?.['version'] ?? 0))
      throw new ApiError(409, 'changed-since', 'This was changed again since. Take the later change back first.');
    const record = target.before
      ? { ...(target.before as Row), version: Number(current?.['version'] ?? (target.before as Row)['version']) + 1 }
      : null;
    await withReferences(subject, () =>
      record ? putRecord(tx, subject, write.gardenId, record) : removeRecord(tx, subject, write.gardenId, target.recordId),
    );
    await tx.insert(changes).values({
      gardenId: write.gardenId,
      id: write.change,
      subject,
      recordId: target.recordId,
      before: current,
      after: record,
      undoes,
      personId: write.personId,
      madeAt: write.at,
    });
    return { subject, recordId: target.recordId, record };
  });
}

/** The newest changes, latest first. */
export async function latestChanges(db: Db, gardenId: string): Promise<Change[]> {
  const rows = await db
    .select({ change: changes, by: people.name })
    .from(changes)
    .innerJoin(people, eq(people.id, changes.personId))
    .where(eq(changes.gardenId, gardenId))
    .orderBy(desc(changes.sequence))
    .limit(50);
  return rows.map(({ change, by }) => ({
    id: change.id,
    subject: change.subject as Subject,
    recordId: change.recordId,
    kind: change.undoes ? 'undone' : change.before ? 'changed' : 'added',
    by,
    at: change.madeAt.toISOString(),
  }));
}

/** All records of one subject, oldest id first so that answers are stable. */
export async function recordsOf<S extends Subject>(db: Db, subject: S, gardenId: string): Promise<Stored<S>[]> {
  const table: SubjectTable = subjectTables[subject];
  const rows = await db.select().from(table).where(eq(table.gardenId, gardenId)).orderBy(table.id);
  return rows.map((row) => fromRow(row) as Stored<S>);
}

async function knownChange(tx: Tx, { gardenId, change }: Write) {
  const [row] = await tx
    .select()
    .from(changes)
    .where(and(eq(changes.gardenId, gardenId), eq(changes.id, change)));
  return row;
}

function replayed(done: typeof changes.$inferSelect, subject: Subject, recordId: string): Row {
  if (done.subject !== subject || done.recordId !== recordId)
    throw new ApiError(409, 'change-id-used', 'This change id was used for another record.');
  return done.after as Row;
}

async function lockRecord(tx: Tx, subject: Subject, gardenId: string, recordId: string): Promise<Row | null> {
  const table = subjectTables[subject];
  const [row] = await tx
    .select()
    .from(table)
    .where(and(eq(table.gardenId, gardenId), eq(table.id, recordId)))
    .for('update');
  return row ? fromRow(row) : null;
}

async function putRecord(tx: Tx, subject: Subject, gardenId: string, record: Row): Promise<void> {
  const table = subjectTables[subject];
  await tx
    .insert(table)
    .values({ ...record, gardenId } as never)
    .onConflictDoUpdate({ target: [table.gardenId, table.id], set: record as never });
}

async function removeRecord(tx: Tx, subject: Subject, gardenId: string, recordId: string): Promise<void> {
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

const referenceNames: Readonly<Record<string, { path: string; message: string }>> = {
  plantings_place: { path: 'placeId', message: 'This place is not in the garden.' },
  cases_planting: { path: 'plantingId', message: 'This planting is not in the garden.' },
  decisions_case: { path: 'caseId', message: 'This case is not in the garden.' },
  applications_planting: { path: 'plantingId', message: 'This planting is not in the garden.' },
  applications_case: { path: 'caseId', message: 'This case is not in the garden.' },
  looks_case: { path: 'caseId', message: 'This case is not in the garden.' },
  looks_planting: { path: 'plantingId', message: 'This planting is not in the garden.' },
  traps_place: { path: 'placeId', message: 'This place is not in the garden.' },
  catches_trap: { path: 'trapId', message: 'This trap is not in the garden.' },
  stops_round: { path: 'roundId', message: 'This round is not in the garden.' },
  stops_planting: { path: 'plantingId', message: 'This planting is not in the garden.' },
  stops_case: { path: 'caseId', message: 'This case is not in the garden.' },
  gaugings_planting: { path: 'plantingId', message: 'This planting is not in the garden.' },
  clinic_samples_case: { path: 'caseId', message: 'This case is not in the garden.' },
  clinic_samples_sent: { path: 'sentOn', message: 'It cannot be sent before it was registered.' },
  clinic_samples_reported: { path: 'reportedOn', message: 'No result comes before it was registered.' },
  chores_place: { path: 'placeId', message: 'This place is not in the garden.' },
  plantings_rows: { path: 'rows', message: 'There can be no more rows than plants.' },
  plantings_ended: { path: 'endedOn', message: 'It cannot end before it was planted.' },
  cases_closed: { path: 'closedOn', message: 'It cannot be closed before it was opened.' },
  cases_outcome: { path: 'outcome', message: 'A closed case has an outcome, and an open one has none.' },
};

/** Translate broken constraints by name: a reference to nothing is bad input, a record that others hang on cannot go. */
async function withReferences<T>(subject: Subject, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    const cause = (error as Error).cause as { code?: string; constraint?: string; table?: string } | undefined;
    const rule = cause?.constraint ? referenceNames[cause.constraint] : undefined;
    if (cause?.code === '23503' && cause.table !== getTableName(subjectTables[subject]))
      throw new ApiError(409, 'in-use', 'Other records hang on this: take them back first.');
    if (cause?.constraint === 'own_entries_once')
      throw invalidField(['value', 'entry', 'id'], 'twice', 'This garden has an entry of its own for that already.');
    if (rule) throw invalidField(['value', rule.path], 'reference', rule.message);
    throw error;
  }
}
