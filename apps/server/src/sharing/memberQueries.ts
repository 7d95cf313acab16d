import type { GivenRole, Member } from '@field-nurse/contract';
import { and, asc, eq } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import { members } from '../gardens/tables.js';
import { people } from '../people/tables.js';

type Writer = Pick<Db, 'select' | 'insert' | 'update' | 'delete'>;

/** Who shares the garden. @param withAddresses - false for advisers */
export async function membersOf(db: Pick<Db, 'select'>, gardenId: string, withAddresses: boolean): Promise<Member[]> {
  const rows = await db
    .select({ id: people.id, name: people.name, email: people.email, role: members.role, since: members.since })
    .from(members)
    .innerJoin(people, eq(people.id, members.personId))
    .where(eq(members.gardenId, gardenId))
    .orderBy(asc(members.since), asc(people.name));
  return rows.map((row) => ({
    ...row,
    email: withAddresses ? row.email : null,
    role: row.role as Member['role'],
    since: row.since.toISOString(),
  }));
}

const one = (gardenId: string, personId: string) => and(eq(members.gardenId, gardenId), eq(members.personId, personId));

export async function memberById(
  db: Writer,
  gardenId: string,
  personId: string,
): Promise<{ name: string; role: Member['role'] } | undefined> {
  const [row] = await db
    .select({ name: people.name, role: members.role })
    .from(members)
    .innerJoin(people, eq(people.id, members.personId))
    .where(one(gardenId, personId));
  return row as { name: string; role: Member['role'] } | undefined;
}

/** Let somebody in. Who is in already keeps the part that they have. */
export async function addMember(db: Writer, gardenId: string, personId: string, role: GivenRole, since: Date): Promise<void> {
  await db.insert(members).values({ gardenId, personId, role, since }).onConflictDoNothing();
}

export async function setRole(db: Writer, gardenId: string, personId: string, role: Member['role']): Promise<void> {
  await db.update(members).set({ role }).where(one(gardenId, personId));
}

export async function removeMember(db: Writer, gardenId: string, personId: string): Promise<void> {
  await db.delete(members).where(one(gardenId, personId));
}
