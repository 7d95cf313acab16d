import type { GivenRole, HeldInvitation, Invitation } from '@field-nurse/contract';
import { and, desc, eq, gt, isNull } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import { gardens } from '../gardens/tables.js';
import { hashSecret } from '../access/secrets.js';
import { people } from '../people/tables.js';
import { invitations } from './tables.js';

type InvitationRow = typeof invitations.$inferSelect;
type Reader = Pick<Db, 'select'>;

export async function invitationsOf(db: Reader, gardenId: string, now: Date): Promise<Invitation[]> {
  const rows = await db
    .select({ invitation: invitations, by: people.name })
    .from(invitations)
    .leftJoin(people, eq(people.id, invitations.byId))
    .where(eq(invitations.gardenId, gardenId))
    .orderBy(desc(invitations.madeAt))
    .limit(100);
  return rows.map(({ invitation, by }) => toInvitation(invitation, by, now));
}

const toInvitation = ({ id, role, email, madeAt, expiresAt, ended }: InvitationRow, by: string | null, now: Date): Invitation => ({
  id,
  role: role as GivenRole,
  email,
  by,
  madeAt: madeAt.toISOString(),
  expiresAt: expiresAt.toISOString(),
  state: (ended as Invitation['state'] | null) ?? (expiresAt > now ? 'open' : 'expired'),
});

export async function countOpen(db: Db, gardenId: string, now: Date): Promise<number> {
  return db.$count(invitations, and(eq(invitations.gardenId, gardenId), isNull(invitations.ended), gt(invitations.expiresAt, now)));
}

/** @returns false where this id is taken: its secret can't be told again */
export async function addInvitation(db: Db, invitation: typeof invitations.$inferInsert): Promise<boolean> {
  const added = await db.insert(invitations).values(invitation).onConflictDoNothing().returning({ id: invitations.id });
  return added.length > 0;
}

/** An open invitation by its secret, with what its holder may see. @param lock - in a transaction that ends it */
export async function heldBySecret(
  db: Reader,
  secret: string,
  now: Date,
  lock = false,
): Promise<{ row: InvitationRow; held: HeldInvitation } | undefined> {
  const query = db
    .select({ row: invitations, garden: gardens.name, by: people.name })
    .from(invitations)
    .innerJoin(gardens, eq(gardens.id, invitations.gardenId))
    .leftJoin(people, eq(people.id, invitations.byId))
    .where(and(eq(invitations.secretHash, hashSecret(secret)), isNull(invitations.ended), gt(invitations.expiresAt, now)));
  const [found] = await (lock ? query.for('update', { of: invitations }) : query);
  if (!found) return undefined;
  const { row, garden, by } = found;
  return { row, held: { garden, by, role: row.role as GivenRole, expiresAt: row.expiresAt.toISOString() } };
}

/** @returns the invitation, where it was open */
export async function endInvitation(
  db: Pick<Db, 'update'>,
  { gardenId, id }: { gardenId: string; id: string },
  ended: 'accepted' | 'declined' | 'withdrawn',
): Promise<InvitationRow | undefined> {
  const [row] = await db
    .update(invitations)
    .set({ ended })
    .where(and(eq(invitations.gardenId, gardenId), eq(invitations.id, id), isNull(invitations.ended)))
    .returning();
  return row;
}
