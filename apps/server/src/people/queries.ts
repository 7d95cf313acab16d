import type { Person } from '@field-nurse/contract';
import { eq } from 'drizzle-orm';
import { invalidField } from '../api/apiError.js';
import type { Db } from '../db/client.js';
import { people } from './tables.js';

type PersonRow = typeof people.$inferSelect;

export async function personByEmail(db: Db, email: string): Promise<PersonRow | undefined> {
  const [row] = await db.select().from(people).where(eq(people.email, email.toLowerCase()));
  return row;
}

export async function personById(db: Db, id: string): Promise<Person | null> {
  const [row] = await db.select({ id: people.id, name: people.name, email: people.email }).from(people).where(eq(people.id, id));
  return row ?? null;
}

export async function addPerson(db: Db, person: PersonRow): Promise<void> {
  const added = await db
    .insert(people)
    .values({ ...person, email: person.email.toLowerCase() })
    .onConflictDoNothing()
    .returning({ id: people.id });
  if (added.length === 0) throw invalidField(['email'], 'taken', 'There is an account with this address already. Sign in instead.');
}
