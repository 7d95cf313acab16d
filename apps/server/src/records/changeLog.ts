import type { Change, PastVersion, Subject } from '@field-nurse/contract';
import { and, desc, eq, inArray, max } from 'drizzle-orm';
import { ApiError, notFound } from '../http/apiError.js';
import type { Db } from '../db/client.js';
import { people } from '../people/tables.js';
import { refuseBeyondQuota } from './quotas.js';
import type { Row, Tx } from './recordStore.js';
import { changes, gardens } from '../gardens/tables.js';

export type ChangeRow = typeof changes.$inferSelect;

/** Who writes what, when. */
export interface Write {
  readonly gardenId: string;
  readonly personId: string;
  readonly at: Date;
  readonly change: string;
}

/**
 * Take the garden for one write. From here to the end of the transaction nobody else writes in it: what follows reads what the write before it
 * left, and changes are numbered in the order in which they are committed.
 */
export async function takeTurn(tx: Tx, gardenId: string): Promise<typeof gardens.$inferSelect> {
  const [garden] = await tx.select().from(gardens).where(eq(gardens.id, gardenId)).for('no key update');
  if (!garden) throw notFound('This garden');
  return garden;
}

export async function knownChange(tx: Tx, { gardenId, change }: Write): Promise<ChangeRow | undefined> {
  const [row] = await tx
    .select()
    .from(changes)
    .where(and(eq(changes.gardenId, gardenId), eq(changes.id, change)));
  return row;
}

/** Where a record's history stands, also when it was taken out since: its highest version, and the number of its newest change. */
export async function historyOf(tx: Tx, gardenId: string, recordId: string): Promise<{ version: number; sequence: number }> {
  const [row] = await tx
    .select({ version: max(changes.version), sequence: max(changes.sequence) })
    .from(changes)
    .where(and(eq(changes.gardenId, gardenId), eq(changes.recordId, recordId)));
  return { version: row?.version ?? 0, sequence: Number(row?.sequence ?? 0) };
}

/** The highest versions that records ever had, of those that were ever there. */
export async function versionsOf(tx: Tx, gardenId: string, recordIds: readonly string[]): Promise<Map<string, number>> {
  const rows = await tx
    .select({ id: changes.recordId, version: max(changes.version) })
    .from(changes)
    .where(and(eq(changes.gardenId, gardenId), inArray(changes.recordId, [...recordIds])))
    .groupBy(changes.recordId);
  return new Map(rows.map(({ id, version }) => [id, version ?? 0]));
}

/** A change as it enters the log. */
export interface NewChange {
  readonly id: string;
  readonly subject: Subject;
  readonly recordId: string;
  readonly version: number;
  readonly before: Row | null;
  readonly after: Row | null;
  readonly undoes?: string;
}

/** Write a change into the log, under the next number of its garden. */
export const logChange = (
  tx: Tx,
  garden: typeof gardens.$inferSelect,
  { change: id, ...write }: Write,
  change: Omit<NewChange, 'id'>,
): Promise<void> => logChanges(tx, garden, write, [{ ...change, id }]);

/** Write changes into the log, under the next numbers of their garden. */
export async function logChanges(
  tx: Tx,
  garden: typeof gardens.$inferSelect,
  { gardenId, personId, at }: Omit<Write, 'change'>,
  list: readonly NewChange[],
): Promise<void> {
  if (list.length === 0) return;
  const more = list.reduce((sum, { before, after }) => sum + (before ? 0 : 1) - (after ? 0 : 1), 0);
  const recordCount = garden.recordCount + more;
  if (list.some(({ before }) => !before)) refuseBeyondQuota('records', recordCount);
  await tx
    .update(gardens)
    .set({ lastSequence: garden.lastSequence + list.length, recordCount })
    .where(eq(gardens.id, gardenId));
  await tx
    .insert(changes)
    .values(list.map((change, i) => ({ ...change, gardenId, sequence: garden.lastSequence + i + 1, personId, madeAt: at })));
}

/** The record as a known change left it. @throws ApiError when the id was used for something else */
export function replayed(
  known: ChangeRow,
  expected: Partial<Pick<ChangeRow, 'subject' | 'recordId'>> & { undoes: string | null },
): Row | null {
  for (const [field, value] of Object.entries(expected))
    if (known[field as keyof ChangeRow] !== value) throw new ApiError(409, 'change-id-used', 'This change id was used for something else.');
  return known.after as Row | null;
}

/** The newest changes, latest first. */
export async function latestChanges(db: Db, gardenId: string): Promise<Change[]> {
  const rows = await db
    .select({ change: changes, by: people.name })
    .from(changes)
    .leftJoin(people, eq(people.id, changes.personId))
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

/** A record as each of its changes left it, oldest first. */
export async function versionsOfRecord(db: Db, gardenId: string, recordId: string): Promise<PastVersion[]> {
  const rows = await db
    .select({ change: changes, by: people.name })
    .from(changes)
    .leftJoin(people, eq(people.id, changes.personId))
    .where(and(eq(changes.gardenId, gardenId), eq(changes.recordId, recordId)))
    .orderBy(changes.sequence);
  return rows.map(({ change: { version, madeAt, undoes, after }, by }) => ({
    version,
    at: madeAt.toISOString(),
    by,
    isUndo: undoes !== null,
    record: after as Row | null,
  }));
}
