import { and, eq, isNotNull, lt } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Db } from '../db/client.js';
import { deleteGarden } from '../gardens/deleteGarden.js';
import { gardens, members } from '../gardens/tables.js';
import { ApiError } from '../http/apiError.js';
import { people } from '../people/tables.js';
import type { Tx } from '../records/recordStore.js';
import { copyGarden } from './copyGarden.js';

/** The garden that visitors get a copy of. It has no people; it is whole once its clock is fixed. */
export const templateId = '0a51e44e-ac4d-4e5a-a0de-3b1c1d2e9f70';

const visitMs = 24 * 60 * 60 * 1000;
// A copy is some megabytes.
const mostVisitors = 200;

/** Whether there is a demo garden to look round. */
export const hasTemplate = async (db: Db): Promise<boolean> =>
  (await db.$count(gardens, and(eq(gardens.id, templateId), isNotNull(gardens.fixedNow)))) > 0;

/**
 * Let somebody look round: a person without an address, and a copy of the demo garden that is theirs for a day.
 *
 * @param before - id of the visitor that they were; that one's garden goes
 * @returns the visitor's id; nothing where there is no demo garden
 * @throws ApiError when there are too many visitors
 */
export async function beginVisit(db: Db, now: Date, before?: string): Promise<string | undefined> {
  if (!(await hasTemplate(db))) return undefined;
  return db.transaction(async (tx) => {
    if (before) await endVisit(tx, before);
    if ((await tx.$count(people, isNotNull(people.visitEndsAt))) >= mostVisitors)
      throw new ApiError(503, 'full', 'Too many people are looking round just now. Try again in an hour.');
    const [person, garden] = [randomUUID(), randomUUID()];
    await tx.insert(people).values({ id: person, name: 'Visitor', createdAt: now, visitEndsAt: new Date(now.getTime() + visitMs) });
    await copyGarden(tx, templateId, garden, person);
    await tx.insert(members).values({ gardenId: garden, personId: person, role: 'owner', since: now });
    return person;
  });
}

/** Clear away the visitors whose day is over. */
export async function endVisits(db: Db, now: Date): Promise<void> {
  const over = await db.select({ id: people.id }).from(people).where(lt(people.visitEndsAt, now));
  for (const { id } of over) await db.transaction((tx) => endVisit(tx, id));
}

async function endVisit(tx: Tx, person: string): Promise<void> {
  const theirs = await tx
    .select({ id: members.gardenId })
    .from(members)
    .where(and(eq(members.personId, person), eq(members.role, 'owner')));
  for (const { id } of theirs) await deleteGarden(tx, id);
  await tx.delete(people).where(eq(people.id, person));
}
