import { createHash } from 'node:crypto';
import { eq, lt, sql } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import { sessions } from './tables.js';

const hashKey = (key: string) => createHash('sha256').update(key).digest('hex');
const dayMs = 24 * 60 * 60 * 1000;

/** Keeps sessions in PostgreSQL for koa-session. */
export function sessionStore(db: Db, now: () => Date) {
  return {
    async get(key: string): Promise<unknown> {
      const [row] = await db
        .select()
        .from(sessions)
        .where(eq(sessions.keyHash, hashKey(key)));
      return row && row.expiresAt > now() ? row.data : undefined;
    },
    async set(key: string, data: unknown, maxAge: number | 'session' | undefined): Promise<void> {
      const expiresAt = new Date(now().getTime() + (typeof maxAge === 'number' ? maxAge : dayMs));
      await db
        .insert(sessions)
        .values({ keyHash: hashKey(key), data, expiresAt })
        .onConflictDoUpdate({ target: sessions.keyHash, set: { data: sql`excluded.data`, expiresAt } });
    },
    async destroy(key: string): Promise<void> {
      await db.delete(sessions).where(eq(sessions.keyHash, hashKey(key)));
      await db.delete(sessions).where(lt(sessions.expiresAt, now()));
    },
  };
}
