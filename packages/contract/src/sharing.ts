import { z } from 'zod';
import { day, email, id, instant, role, shortText } from './words.js';

/** What an invitation, or a change of somebody's part, may give; a garden is handed over by a call of its own. */
export const givenRole = role.exclude(['owner']);

/** Somebody who shares the garden. Advisers see no addresses. */
export const member = z.object({ id, name: z.string(), email: z.string().nullable(), role, since: instant });

export const invitationRequest = z.strictObject({
  id,
  role: givenRole,
  email: email.nullable().describe('where it is sent; without one there is only the link'),
});

/** An invitation as an owner sees it. */
export const invitation = z.object({
  id,
  role: givenRole,
  email: z.string().nullable(),
  by: z.string().nullable(),
  madeAt: instant,
  expiresAt: instant,
  state: z.enum(['open', 'accepted', 'declined', 'withdrawn', 'expired']),
});

/** The one answer that holds the secret link, right after it was made. */
export const newInvitation = invitation.extend({ link: z.string(), mailed: z.boolean() });

/** What somebody sees who holds the link. */
export const heldInvitation = z.object({ garden: z.string(), by: z.string().nullable(), role: givenRole, expiresAt: instant });

export const secret = z.string().regex(/^[\w-]{20,80}$/, { error: 'not the whole link' });

/** `calendar` opens the feed of the plan and nothing else: it stands in an address, which others may come to see */
export const tokenScope = z.enum(['read', 'write', 'calendar']);
export const tokenRequest = z.strictObject({ id, name: shortText, scope: tokenScope, expiresOn: day.nullable() });
/** A personal token for scripts, without its secret. */
export const token = z.object({
  id,
  name: z.string(),
  scope: tokenScope,
  madeAt: instant,
  usedAt: instant.nullable(),
  expiresOn: day.nullable(),
});
export const newToken = token.extend({ secret: z.string() });

/** What happened around accounts and rights. */
export const securityEvent = z.object({
  at: instant,
  kind: z.enum([
    'signed-up',
    'signed-in',
    'sign-in-refused',
    'password-changed',
    'password-reset',
    'session-ended',
    'garden-made',
    'garden-changed',
    'garden-downloaded',
    'invited',
    'invitation-accepted',
    'invitation-declined',
    'invitation-withdrawn',
    'role-changed',
    'member-removed',
    'member-left',
    'handed-over',
    'token-made',
    'token-revoked',
  ]),
  by: z.string().nullable().describe('who did it; nobody who is known where it is null'),
  about: z.string().describe('whom or what it concerns'),
  address: z.string().nullable(),
});

export type Member = z.infer<typeof member>;
export type Invitation = z.infer<typeof invitation>;
export type NewInvitation = z.infer<typeof newInvitation>;
export type HeldInvitation = z.infer<typeof heldInvitation>;
export type GivenRole = z.infer<typeof givenRole>;
export type Token = z.infer<typeof token>;
export type NewToken = z.infer<typeof newToken>;
export type SecurityEvent = z.infer<typeof securityEvent>;
