import { endpoints } from '@field-nurse/contract';
import type { Session } from '@field-nurse/contract';
import type Router from '@koa/router';
import type { RouterContext } from '@koa/router';
import { hash, verify } from '@node-rs/argon2';
import { randomUUID } from 'node:crypto';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { ApiError } from '../api/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { gardensOf } from '../gardens/gardenQueries.js';
import { handOutToken } from '../middleware/crossSite.js';
import { addPerson, personByEmail, personById } from './queries.js';

// OWASP's floor for argon2id, which is this package's own choice of the three: 19 MiB, two passes.
const argon = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;
const quarterHour = 15 * 60;

/** Sign in, sign up, sign out. */
export function peopleRoutes(router: Router, deps: Deps): void {
  const limiter = new RateLimiterPostgres({
    storeClient: deps.pool,
    tableName: 'rate_limits',
    tableCreated: true,
    points: deps.signInTries,
    duration: quarterHour,
    clearExpiredByTimeout: false,
  });
  // An unknown address costs as much time as a wrong password, so that the answer does not tell which it was.
  const unknownHash = hash(randomUUID(), argon);

  serve(router, deps, endpoints.session, async ({ ctx, access }) => {
    handOutToken(ctx, deps.secureCookies);
    return { person: access.person, gardens: access.person ? await gardensOf(deps.db, access.person.id) : [] };
  });

  serve(router, deps, endpoints.signIn, async ({ body, ctx }) => {
    const key = `${ctx.ip} ${body.email.toLowerCase()}`;
    await spend(limiter, key);
    const person = await personByEmail(deps.db, body.email);
    const right = await verify(person?.passwordHash ?? (await unknownHash), body.password);
    if (!person || !right) throw new ApiError(401, 'wrong-sign-in', 'The address or the password is not right.');
    await limiter.delete(key);
    return begin(ctx, deps, person.id);
  });

  serve(router, deps, endpoints.signUp, async ({ body, ctx }) => {
    await spend(limiter, `sign-up ${ctx.ip}`);
    const id = randomUUID();
    await addPerson(deps.db, {
      id,
      name: body.name,
      email: body.email,
      passwordHash: await hash(body.password, argon),
      createdAt: deps.now(),
    });
    return begin(ctx, deps, id);
  });

  serve(router, deps, endpoints.signOut, ({ ctx }) => {
    ctx.session = null;
    return { person: null, gardens: [] };
  });
}

/** Start a signed-in session under a fresh key, so that a key planted before sign-in is worth nothing. */
async function begin(ctx: RouterContext, deps: Deps, personId: string): Promise<Session> {
  await ctx.session!.regenerate();
  ctx.session!['person'] = personId;
  handOutToken(ctx, deps.secureCookies);
  return { person: await personById(deps.db, personId), gardens: await gardensOf(deps.db, personId) };
}

async function spend(limiter: RateLimiterPostgres, key: string): Promise<void> {
  try {
    await limiter.consume(key);
  } catch (error) {
    if (!(error instanceof RateLimiterRes)) throw error;
    const minutes = Math.ceil(error.msBeforeNext / 60_000);
    throw new ApiError(429, 'too-many-tries', `Too many tries. Wait ${minutes} minute${minutes === 1 ? '' : 's'}.`);
  }
}
