import { lt, sql } from 'drizzle-orm';
import type { TaskList } from 'graphile-worker';
import type { Deps } from './deps.js';
import { passwordResets, rateLimits, sessions } from './people/tables.js';
import { securityEvents } from './security/tables.js';
import { endVisits } from './visits/visits.js';
import { invitations } from './sharing/tables.js';

const dayMs = 24 * 60 * 60 * 1000;
const keptDays = { securityEvents: 400, endedInvitations: 90 };

/** Clear away what has had its time: sessions, limits, links, and old events. */
export async function purge({ db, now }: Pick<Deps, 'db' | 'now'>): Promise<void> {
  const ago = (days: number) => new Date(now().getTime() - days * dayMs);
  await db.delete(sessions).where(lt(sessions.expiresAt, now()));
  await db.delete(passwordResets).where(lt(passwordResets.expiresAt, now()));
  await db.delete(rateLimits).where(sql`${rateLimits.expire} < ${now().getTime()}`);
  await db.delete(invitations).where(lt(invitations.expiresAt, ago(keptDays.endedInvitations)));
  await endVisits(db, now());
  await db.delete(securityEvents).where(lt(securityEvents.at, ago(keptDays.securityEvents)));
}

export const purgeTasks = (deps: Pick<Deps, 'db' | 'now'>): TaskList => ({ purge: () => purge(deps) });
