import type { SecurityEvent } from '@field-nurse/contract';
import { desc, eq } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import { securityEvents } from './tables.js';

/** Something to be remembered about an account or a garden's rights. */
export type Noted = Pick<typeof securityEvents.$inferInsert, 'at' | 'about'> & {
  readonly kind: SecurityEvent['kind'];
  readonly gardenId?: string;
  readonly personId?: string;
  readonly by: string | null;
  readonly address: string | null;
};

export async function note(db: Pick<Db, 'insert'>, event: Noted): Promise<void> {
  await db.insert(securityEvents).values(event);
}

/** The newest events of a garden, or of an account. */
export async function eventsOf(db: Db, of: { gardenId: string } | { personId: string }, most: number): Promise<SecurityEvent[]> {
  const rows = await db
    .select()
    .from(securityEvents)
    .where('gardenId' in of ? eq(securityEvents.gardenId, of.gardenId) : eq(securityEvents.personId, of.personId))
    .orderBy(desc(securityEvents.id))
    .limit(most);
  return rows.map(({ at, kind, by, about, address }) => ({
    at: at.toISOString(),
    kind: kind as SecurityEvent['kind'],
    by,
    about,
    address,
  }));
}
