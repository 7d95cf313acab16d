import type { Change, Subject } from '@field-nurse/contract';
import { and, desc, eq, max } from 'drizzle-orm';
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

/** Write a change into the log, under the next number of its garden. */
export async function logChange(
  tx: Tx,
  garden: typeof gardens.$inferSelect,
  write: Write,
  change: { subject: Subject; recordId: string; version: number; before: Row | null; after: Row | null; undoes?: string },
): Promise<void> {
  const recordCount = garden.recordCount + (change.before ? 0 : 1) - (change.after ? 0 : 1);
  if (!change.before) refuseBeyondQuota('records', recordCount);
  const sequence = garden.lastSequence + 1;
  await tx.update(gardens).set({ lastSequence: sequence, recordCount }).where(eq(gardens.id, write.gardenId));
  await tx
    .insert(changes)
    .values({ ...change, gardenId: write.gardenId, id: write.change, sequence, personId: write.personId, madeAt: write.at });
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
