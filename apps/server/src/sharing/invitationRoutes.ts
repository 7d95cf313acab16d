import { endpoints } from '@field-nurse/contract';
import type { NewInvitation } from '@field-nurse/contract';
import type Router from '@koa/router';
import { ApiError, notFound } from '../http/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { takeTurn } from '../records/changeLog.js';
import { gardenById } from '../gardens/gardenQueries.js';
import { refuseBeyondQuota } from '../records/quotas.js';
import { members } from '../gardens/tables.js';
import { hashSecret, newSecret } from '../access/secrets.js';
import { note } from '../security/securityLog.js';
import { eq } from 'drizzle-orm';
import { addInvitation, countOpen, endInvitation, heldBySecret, invitationsOf } from './invitationQueries.js';
import { invitationMail } from './mails.js';
import { addMember } from './memberQueries.js';

const daysOpen = 14;
const dayMs = 24 * 60 * 60 * 1000;
const gone = () => new ApiError(404, 'not-found', 'This invitation was used, taken back, or is more than two weeks old. Ask for another.');

/** Invitations: made by an owner, and accepted or declined by who holds the link. */
export function invitationRoutes(router: Router, deps: Deps): void {
  const { db, now, mail, limits } = deps;

  serve(router, deps, endpoints.invitations, ({ params }) => invitationsOf(db, params.garden, now()));

  serve(router, deps, endpoints.invite, async ({ params: { garden }, body, access, ctx }): Promise<NewInvitation> => {
    const { id: byId, name: by } = access.person!;
    refuseBeyondQuota('invitations', (await countOpen(db, garden, now())) + 1);
    if (body.email) await limits.knock(body.email.toLowerCase());
    const [secret, madeAt] = [newSecret(), now()];
    const expiresAt = new Date(madeAt.getTime() + daysOpen * dayMs);
    const { id, role, email } = body;
    const row = { gardenId: garden, id, secretHash: hashSecret(secret), role, email, byId, madeAt, expiresAt };
    if (!(await addInvitation(db, row))) throw new ApiError(409, 'exists', 'This invitation was made already. Make another.');
    await note(db, { at: madeAt, kind: 'invited', gardenId: garden, by, about: `${email ?? 'by link'}: ${role}`, address: ctx.ip });
    const link = `${deps.publicUrl}/invitation/${secret}`;
    const mailed = Boolean(email) && mail.works;
    if (email) await mail.send(invitationMail({ to: email, by, garden: (await gardenById(db, garden, byId)).name, role, link }));
    return { id, role, email, by, madeAt: madeAt.toISOString(), expiresAt: expiresAt.toISOString(), state: 'open', link, mailed };
  });

  serve(router, deps, endpoints.withdrawInvitation, async ({ params: { garden, invitation }, access, ctx }) => {
    const row = await endInvitation(db, { gardenId: garden, id: invitation }, 'withdrawn');
    if (!row) throw notFound('This open invitation');
    const about = row.email ?? 'by link';
    await note(db, { at: now(), kind: 'invitation-withdrawn', gardenId: garden, by: access.person!.name, about, address: ctx.ip });
    return invitationsOf(db, garden, now());
  });

  serve(router, deps, endpoints.heldInvitation, async ({ params, ctx }) => {
    await limits.knock(ctx.ip);
    const found = await heldBySecret(db, params.secret, now());
    if (!found) throw gone();
    return found.held;
  });

  serve(router, deps, endpoints.acceptInvitation, async ({ params, access, ctx }) => {
    const { id, name } = access.person!;
    const gardenId = await db.transaction(async (tx) => {
      const found = await heldBySecret(tx, params.secret, now(), true);
      if (!found) throw gone();
      const { gardenId: garden, id: invitation } = found.row;
      await takeTurn(tx, garden);
      refuseBeyondQuota('members', (await tx.$count(members, eq(members.gardenId, garden))) + 1);
      await endInvitation(tx, { gardenId: garden, id: invitation }, 'accepted');
      await addMember(tx, garden, id, found.held.role, now());
      await note(tx, { at: now(), kind: 'invitation-accepted', gardenId: garden, by: name, about: found.held.role, address: ctx.ip });
      return garden;
    });
    return gardenById(db, gardenId, id);
  });

  serve(router, deps, endpoints.declineInvitation, async ({ params, access, ctx }) => {
    await db.transaction(async (tx) => {
      const found = await heldBySecret(tx, params.secret, now(), true);
      if (!found) throw gone();
      const { gardenId } = found.row;
      await endInvitation(tx, found.row, 'declined');
      const [by, about] = [access.person?.name ?? null, found.row.email ?? 'by link'];
      await note(tx, { at: now(), kind: 'invitation-declined', gardenId, by, about, address: ctx.ip });
    });
    return {};
  });
}
