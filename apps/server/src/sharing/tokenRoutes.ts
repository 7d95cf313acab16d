import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { ApiError, notFound } from '../http/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { refuseBeyondQuota } from '../records/quotas.js';
import { hashSecret, newSecret } from '../access/secrets.js';
import { note } from '../security/securityLog.js';
import { addToken, removeToken, tokensOf, tokenStart } from '../access/tokenQueries.js';

/** Personal tokens for scripts, each for one garden. */
export function tokenRoutes(router: Router, deps: Deps): void {
  const { db, now } = deps;

  serve(router, deps, endpoints.tokens, ({ params, access }) => tokensOf(db, params.garden, access.person!.id));

  serve(router, deps, endpoints.makeToken, async ({ params: { garden }, body, access, ctx }) => {
    const person = access.person!;
    refuseBeyondQuota('tokens', (await tokensOf(db, garden, person.id)).length + 1);
    const [secret, madeAt] = [tokenStart + newSecret(), now()];
    const row = { ...body, gardenId: garden, personId: person.id, secretHash: hashSecret(secret), madeAt };
    if (!(await addToken(db, row)))
      throw new ApiError(409, 'exists', 'This token was made already, and its secret is told once. Make another.');
    await note(db, {
      at: madeAt,
      kind: 'token-made',
      gardenId: garden,
      by: person.name,
      about: `${body.name}: ${body.scope}`,
      address: ctx.ip,
    });
    return { ...body, madeAt: madeAt.toISOString(), usedAt: null, secret };
  });

  serve(router, deps, endpoints.revokeToken, async ({ params: { garden, token }, access, ctx }) => {
    const person = access.person!;
    const name = await removeToken(db, garden, person.id, token);
    if (name === undefined) throw notFound('This token');
    await note(db, { at: now(), kind: 'token-revoked', gardenId: garden, by: person.name, about: name, address: ctx.ip });
    return tokensOf(db, garden, person.id);
  });
}
