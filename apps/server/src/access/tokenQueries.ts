import type { Person, Token } from '@field-nurse/contract';
import { and, desc, eq } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import type { Deps } from '../deps.js';
import { hashSecret } from './secrets.js';
import { people } from '../people/tables.js';
import { tokens } from '../sharing/tables.js';

export const tokenStart = 'fn_';

/** Who a token stands for, and how far it goes. */
export interface TokenHolder {
  readonly person: Person;
  readonly gardenId: string;
  readonly scope: Token['scope'];
}

const usedEveryMs = 60 * 60 * 1000;

/** @param header - "Bearer fn_…" */
export async function tokenHolder({ db, now }: Pick<Deps, 'db' | 'now'>, header: string): Promise<TokenHolder | undefined> {
  const secret = /^Bearer (fn_[\w-]{20,80})$/i.exec(header)?.[1];
  if (!secret) return undefined;
  const [row] = await db
    .select({ token: tokens, person: { id: people.id, name: people.name, email: people.email } })
    .from(tokens)
    .innerJoin(people, eq(people.id, tokens.personId))
    .where(eq(tokens.secretHash, hashSecret(secret)));
  if (!row || (row.token.expiresOn && row.token.expiresOn < now().toISOString().slice(0, 10))) return undefined;
  const { gardenId, scope, usedAt } = row.token;
  if (!usedAt || now().getTime() - usedAt.getTime() > usedEveryMs)
    await db.update(tokens).set({ usedAt: now() }).where(eq(tokens.secretHash, row.token.secretHash));
  return { person: row.person, gardenId, scope: scope as Token['scope'] };
}

const ownIn = (gardenId: string, personId: string) => and(eq(tokens.gardenId, gardenId), eq(tokens.personId, personId));

export async function tokensOf(db: Db, gardenId: string, personId: string): Promise<Token[]> {
  const rows = await db.select().from(tokens).where(ownIn(gardenId, personId)).orderBy(desc(tokens.madeAt));
  return rows.map(({ id, name, scope, madeAt, usedAt, expiresOn }) => ({
    id,
    name,
    scope: scope as Token['scope'],
    madeAt: madeAt.toISOString(),
    usedAt: usedAt?.toISOString() ?? null,
    expiresOn,
  }));
}

/** @returns false where this id is taken */
export async function addToken(db: Db, token: typeof tokens.$inferInsert): Promise<boolean> {
  return (await db.insert(tokens).values(token).onConflictDoNothing().returning({ id: tokens.id })).length > 0;
}

/** @returns its name, where it was there */
export async function removeToken(db: Db, gardenId: string, personId: string, id: string): Promise<string | undefined> {
  const [row] = await db
    .delete(tokens)
    .where(and(ownIn(gardenId, personId), eq(tokens.id, id)))
    .returning({ name: tokens.name });
  return row?.name;
}

export const removeTokensOf = async (db: Pick<Db, 'delete'>, gardenId: string, personId: string): Promise<void> => {
  await db.delete(tokens).where(ownIn(gardenId, personId));
};
