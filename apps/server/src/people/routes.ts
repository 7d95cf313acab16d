import { endpoints } from '@field-nurse/contract';
import type { Session } from '@field-nurse/contract';
import type Router from '@koa/router';
import type { RouterContext } from '@koa/router';
import { randomUUID } from 'node:crypto';
import { ApiError, notFound } from '../http/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { gardensOf } from '../gardens/gardenQueries.js';
import { note } from '../security/securityLog.js';
import { hashPassword, isRight, refuseWeak } from './passwords.js';
import { beginVisit, hasTemplate } from '../visits/visits.js';
import { addPerson, personByEmail, personById } from './queries.js';
import type { SessionData } from '../access/sessionStore.js';
import { beginSession } from '../access/sessionData.js';
import { handOutToken } from '../access/siteToken.js';

/** Sign in, sign up, sign out. */
export function peopleRoutes(router: Router, deps: Deps): void {
  const { db, limits, now } = deps;

  serve(router, deps, endpoints.session, ({ ctx, access }) => {
    handOutToken(deps, ctx);
    return sessionOf(deps, access.person?.id);
  });

  serve(router, deps, endpoints.signIn, async ({ body, ctx }) => {
    const forgive = await limits.signIn(ctx.ip, body.email);
    const person = await personByEmail(db, body.email);
    const right = await isRight(person?.passwordHash ?? undefined, body.password);
    if (person) {
      const kind = right ? 'signed-in' : 'sign-in-refused';
      await note(db, { at: now(), kind, personId: person.id, by: right ? person.name : null, about: deviceOf(ctx), address: ctx.ip });
    }
    if (!person || !right) throw new ApiError(401, 'wrong-sign-in', 'The address or the password is not right.');
    await forgive();
    return begin(ctx, deps, person.id);
  });

  serve(router, deps, endpoints.signUp, async ({ body, ctx }) => {
    await limits.signUp(ctx.ip);
    refuseWeak(body.password, [body.name, body.email]);
    const id = randomUUID();
    await addPerson(db, { id, name: body.name, email: body.email, passwordHash: await hashPassword(body.password), createdAt: now() });
    await note(db, { at: now(), kind: 'signed-up', personId: id, by: body.name, about: deviceOf(ctx), address: ctx.ip });
    return begin(ctx, deps, id);
  });

  serve(router, deps, endpoints.visit, async ({ access, ctx }) => {
    await limits.visit(ctx.ip);
    const before = access.person?.email === null ? access.person.id : undefined;
    const visitor = await beginVisit(db, now(), before);
    if (!visitor) throw notFound('The demo garden');
    return begin(ctx, deps, visitor);
  });

  serve(router, deps, endpoints.signOut, ({ ctx }) => signedOut(deps, ctx));
}

/** Who is signed in, and their gardens. */
export const sessionOf = async ({ db }: Deps, personId: string | undefined): Promise<Session> => {
  const person = personId ? await personById(db, personId) : null;
  return { person, gardens: person ? await gardensOf(db, person.id) : [], demo: await hasTemplate(db) };
};

/** End the session, and give the page a token for what it does as nobody. */
export function signedOut(deps: Deps, ctx: RouterContext): Promise<Session> {
  ctx.session = null;
  handOutToken(deps, ctx);
  return sessionOf(deps, undefined);
}

/** Sign somebody in on this device. */
export async function begin(ctx: RouterContext, deps: Deps, personId: string): Promise<Session> {
  const at = deps.now().toISOString();
  const data: SessionData = { id: randomUUID(), person: personId, begunAt: at, seenAt: at, device: deviceOf(ctx) };
  await beginSession(ctx, data);
  handOutToken(deps, ctx);
  return sessionOf(deps, personId);
}

const deviceOf = (ctx: RouterContext): string => ctx.get('User-Agent').slice(0, 300) || 'no name';
