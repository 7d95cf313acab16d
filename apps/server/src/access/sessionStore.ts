import type { DeviceSession } from '@field-nurse/contract';
import { and, desc, eq, ne } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import { hashSecret } from './secrets.js';
import { sessions } from '../people/tables.js';

const dayMs = 24 * 60 * 60 * 1000;
/** Without a visit a session ends after this long, */
export const idleMs = 30 * dayMs;
/** and however often it is used, after this long. */
const longestMs = 180 * dayMs;
const freshMs = 60 * 1000;

/** What a session holds; only somebody who has signed in has one. */
export interface SessionData {
  readonly id: string;
  readonly person: string;
  readonly begunAt: string;
  seenAt: string;
  readonly device: string;
}

/** Keeps sessions in PostgreSQL for koa-session. */
export function sessionStore(db: Db, now: () => Date) {
  return {
    async get(key: string): Promise<unknown> {
      const [row] = await db
        .select()
        .from(sessions)
        .where(eq(sessions.keyHash, hashSecret(key)));
      const lives = row && row.expiresAt > now() && now().getTime() - row.begunAt.getTime() < longestMs;
      return lives ? row.data : undefined;
    },
    async set(key: string, data: SessionData): Promise<void> {
      const keyHash = hashSecret(key);
      const kept = { data, seenAt: new Date(data.seenAt), expiresAt: new Date(now().getTime() + idleMs) };
      const known = await db.update(sessions).set(kept).where(eq(sessions.keyHash, keyHash)).returning({ id: sessions.id });
      // One that was ended while a request was under way must not come back.
      if (known.length > 0 || now().getTime() - Date.parse(data.begunAt) > freshMs) return;
      const { id, person: personId, device } = data;
      await db
        .insert(sessions)
        .values({ ...kept, keyHash, id, personId, device, begunAt: new Date(data.begunAt) })
        .onConflictDoNothing();
    },
    async destroy(key: string): Promise<void> {
      await db.delete(sessions).where(eq(sessions.keyHash, hashSecret(key)));
    },
  };
}

/** Devices on which this person is signed in, the last used first. */
export async function sessionsOf(db: Db, personId: string, here: string | undefined): Promise<DeviceSession[]> {
  const rows = await db.select().from(sessions).where(eq(sessions.personId, personId)).orderBy(desc(sessions.seenAt));
  return rows.map(({ id, device, begunAt, seenAt }) => ({
    id,
    device,
    begunAt: begunAt.toISOString(),
    seenAt: seenAt.toISOString(),
    here: id === here,
  }));
}

export async function endSession(db: Db, personId: string, id: string): Promise<boolean> {
  const ended = await db
    .delete(sessions)
    .where(and(eq(sessions.personId, personId), eq(sessions.id, id)))
    .returning({ id: sessions.id });
  return ended.length > 0;
}

/** @param but - the session that goes on; without it all end */
export async function endSessionsOf(db: Pick<Db, 'delete'>, personId: string, but?: string): Promise<void> {
  await db.delete(sessions).where(and(eq(sessions.personId, personId), but ? ne(sessions.id, but) : undefined));
}
