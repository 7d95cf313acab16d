import { lt, sql } from 'drizzle-orm';
import type { TaskList } from 'graphile-worker';
import type { Deps } from './deps.js';
import { movePhotosOut, removePhotosOfDeleted, removeStrayFiles } from './photos/tidyPhotos.js';
import { passwordResets, rateLimits, sessions } from './people/tables.js';
import { seasonJobs } from './season/tables.js';
import { securityEvents } from './security/tables.js';
import { endVisits } from './visits/visits.js';
import { invitations } from './sharing/tables.js';

const dayMs = 24 * 60 * 60 * 1000;
const keptDays = { securityEvents: 400, endedInvitations: 90 };

type PurgeDeps = Pick<Deps, 'db' | 'now' | 'photoFiles'>;

/** Clear away what has had its time: sessions, limits, links, and old events. */
export async function purge(deps: PurgeDeps): Promise<void> {
  const { db, now } = deps;
  const ago = (days: number) => new Date(now().getTime() - days * dayMs);
  await db.delete(sessions).where(lt(sessions.expiresAt, now()));
  await db.delete(passwordResets).where(lt(passwordResets.expiresAt, now()));
  await db.delete(rateLimits).where(sql`${rateLimits.expire} < ${now().getTime()}`);
  await db.delete(invitations).where(lt(invitations.expiresAt, ago(keptDays.endedInvitations)));
  await endVisits(db, now());
  await db.delete(securityEvents).where(lt(securityEvents.at, ago(keptDays.securityEvents)));
  await db.delete(seasonJobs).where(sql`added_at < now() - interval '1 day'`);
  await removePhotosOfDeleted(deps);
  await movePhotosOut(deps);
}

export const purgeTasks = (deps: PurgeDeps): TaskList => ({ purge: () => purge(deps), removeStrayFiles: () => removeStrayFiles(deps) });
