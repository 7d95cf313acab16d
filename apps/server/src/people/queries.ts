import type { Person } from '@field-nurse/contract';
import { and, eq, gt } from 'drizzle-orm';
import { invalidField } from '../http/apiError.js';
import type { Db } from '../db/client.js';
import { hashSecret } from '../access/secrets.js';
import { passwordResets, people } from './tables.js';

type PersonRow = typeof people.$inferSelect;
/** Somebody with an account. */
type NewPerson = { readonly [K in 'id' | 'name' | 'email' | 'passwordHash']: string } & Pick<PersonRow, 'createdAt'>;
type Writer = Pick<Db, 'insert' | 'update' | 'delete'>;

export async function personByEmail(db: Db, email: string): Promise<PersonRow | undefined> {
  const [row] = await db.select().from(people).where(eq(people.email, email.toLowerCase()));
  return row;
}

export async function personById(db: Db, id: string): Promise<Person | null> {
  const [row] = await db.select({ id: people.id, name: people.name, email: people.email }).from(people).where(eq(people.id, id));
  return row ?? null;
}

export async function passwordHashOf(db: Db, id: string): Promise<string | undefined> {
  const [row] = await db.select({ passwordHash: people.passwordHash }).from(people).where(eq(people.id, id));
  return row?.passwordHash ?? undefined;
}

export async function addPerson(db: Db, person: NewPerson): Promise<void> {
  const added = await db
    .insert(people)
    .values({ ...person, email: person.email.toLowerCase() })
    .onConflictDoNothing()
    .returning({ id: people.id });
  if (added.length === 0) throw invalidField(['email'], 'taken', 'There is an account with this address already. Sign in instead.');
}

export async function setPassword(db: Writer, id: string, passwordHash: string): Promise<void> {
  await db.update(people).set({ passwordHash }).where(eq(people.id, id));
  await db.delete(passwordResets).where(eq(passwordResets.personId, id));
}

/** Their name stays where they signed something; sessions, tokens and rights go. */
export async function deletePerson(db: Writer, id: string): Promise<void> {
  await db.delete(people).where(eq(people.id, id));
}

/** Let a secret set a new password; an older one is worth nothing from then on. */
export async function addReset(db: Db, personId: string, secret: string, expiresAt: Date): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.delete(passwordResets).where(eq(passwordResets.personId, personId));
    await tx.insert(passwordResets).values({ secretHash: hashSecret(secret), personId, expiresAt });
  });
}

/** Use up a secret. @returns whose it was; nobody's where it is not known or too old */
export async function takeReset(db: Writer, secret: string, now: Date): Promise<string | undefined> {
  const [row] = await db
    .delete(passwordResets)
    .where(and(eq(passwordResets.secretHash, hashSecret(secret)), gt(passwordResets.expiresAt, now)))
    .returning({ personId: passwordResets.personId });
  return row?.personId;
}
