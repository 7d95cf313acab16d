import { endpoints } from '@field-nurse/contract';
import type { Person } from '@field-nurse/contract';
import type Router from '@koa/router';
import { ApiError, invalidField, notFound } from '../http/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { deleteGarden } from '../gardens/deleteGarden.js';
import { eventsOf, note } from '../security/securityLog.js';
import { ownedAlone } from '../gardens/gardenQueries.js';
import { resetMail } from './mails.js';
import { hashPassword, isRight, refuseWeak } from './passwords.js';
import { addReset, deletePerson, passwordHashOf, personByEmail, setPassword, takeReset } from './queries.js';
import { sessionOf, signedOut } from './routes.js';
import { newSecret } from '../access/secrets.js';
import { sessionDataOf } from '../access/sessionData.js';
import { endSession, endSessionsOf, sessionsOf } from '../access/sessionStore.js';

const hourMs = 60 * 60 * 1000;

/** One's own account: password, devices, log, and its end. */
export function accountRoutes(router: Router, deps: Deps): void {
  const { db, limits, now } = deps;

  const requirePassword = async ({ id, email }: Person, password: string, address: string, field: string): Promise<void> => {
    const forgive = await limits.signIn(address, email ?? id);
    if (!(await isRight(await passwordHashOf(db, id), password))) throw invalidField([field], 'wrong', 'This is not the password.');
    await forgive();
  };

  serve(router, deps, endpoints.changePassword, async ({ body, access, ctx }) => {
    const person = access.person!;
    await requirePassword(person, body.current, ctx.ip, 'current');
    refuseWeak(body.password, [person.name, person.email ?? '']);
    const passwordHash = await hashPassword(body.password);
    await db.transaction(async (tx) => {
      await setPassword(tx, person.id, passwordHash);
      await endSessionsOf(tx, person.id, sessionDataOf(ctx)?.id);
      await note(tx, { at: now(), kind: 'password-changed', personId: person.id, by: person.name, about: 'password', address: ctx.ip });
    });
    return sessionOf(deps, person.id);
  });

  serve(router, deps, endpoints.requestReset, async ({ body, ctx }) => {
    await limits.knock(ctx.ip);
    await limits.knock(body.email.toLowerCase());
    const person = await personByEmail(db, body.email);
    if (person) {
      const secret = newSecret();
      await addReset(db, person.id, secret, new Date(now().getTime() + hourMs));
      await deps.mail.send(resetMail({ name: person.name, email: body.email }, `${deps.publicUrl}/reset/${secret}`));
    }
    return {};
  });

  serve(router, deps, endpoints.resetPassword, async ({ body, ctx }) => {
    await limits.knock(ctx.ip);
    refuseWeak(body.password, []);
    const passwordHash = await hashPassword(body.password);
    await db.transaction(async (tx) => {
      const personId = await takeReset(tx, body.secret, now());
      if (!personId) throw new ApiError(404, 'not-found', 'This link was used before, or is more than an hour old. Ask for another.');
      await setPassword(tx, personId, passwordHash);
      await endSessionsOf(tx, personId);
      await note(tx, { at: now(), kind: 'password-reset', personId, by: null, about: 'password', address: ctx.ip });
    });
    return {};
  });

  serve(router, deps, endpoints.sessions, ({ access, ctx }) => sessionsOf(db, access.person!.id, sessionDataOf(ctx)?.id));

  serve(router, deps, endpoints.endSession, async ({ params, access, ctx }) => {
    const { id, name } = access.person!;
    if (!(await endSession(db, id, params.session))) throw notFound('This device');
    await note(db, { at: now(), kind: 'session-ended', personId: id, by: name, about: 'a device', address: ctx.ip });
    return sessionsOf(db, id, sessionDataOf(ctx)?.id);
  });

  serve(router, deps, endpoints.accountLog, ({ access }) => eventsOf(db, { personId: access.person!.id }, 50));

  serve(router, deps, endpoints.deleteAccount, async ({ body, access, ctx }) => {
    const person = access.person!;
    await requirePassword(person, body.password, ctx.ip, 'password');
    await db.transaction(async (tx) => {
      const alone = await ownedAlone(tx, person.id);
      const missing = alone.filter(({ id }) => !body.gardens.includes(id));
      if (missing.length > 0)
        throw new ApiError(
          409,
          'owns-gardens',
          `You alone own ${missing.map(({ name }) => name).join(', ')}. Hand it over first, or delete it with your account.`,
          { gardens: missing },
        );
      for (const { id } of alone) await deleteGarden(tx, id);
      await deletePerson(tx, person.id);
    });
    return signedOut(deps, ctx);
  });
}
