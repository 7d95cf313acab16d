import type { Endpoint } from '@field-nurse/contract';
import { bodyParser } from '@koa/bodyparser';
import type Router from '@koa/router';
import type { RouterContext } from '@koa/router';
import type { z } from 'zod';
import type { Deps } from '../deps.js';
import { requireAccess } from '../access/access.js';
import type { Access } from '../access/access.js';
import { requireSameSite } from '../access/siteToken.js';
import { invalid, invalidField } from '../http/apiError.js';
import { unkeepable } from './unkeepable.js';

type Out<T> = T extends z.ZodType ? z.output<T> : undefined;

/** What a handler gets: checked input, and who is asking. */
export interface Call<E extends Endpoint> {
  readonly params: Out<E['params']>;
  readonly query: Out<E['query']>;
  readonly body: Out<E['body']>;
  readonly access: Access;
  readonly ctx: RouterContext;
}

const readJson = bodyParser({ enableTypes: ['json'], jsonLimit: '1mb', parsedMethods: ['POST', 'PUT', 'DELETE'] });

/**
 * Serve an endpoint of the contract: check who asks and whether they may, then read and check the input, and answer what the handler returns.
 * Every guard belongs to the endpoint here, whatever its address looks like.
 */
export function serve<const E extends Endpoint>(
  router: Router,
  deps: Deps,
  endpoint: E,
  handler: (call: Call<E>) => Promise<z.input<E['answer']>> | z.input<E['answer']>,
): void {
  const path = endpoint.path.replace(/\{(\w+)\}/g, ':$1');
  router.register(path, [endpoint.method], async (ctx: RouterContext) => {
    // What is answered is for who asks, unless the handler says otherwise.
    ctx.set('Cache-Control', 'no-store');
    if (endpoint.stateless) await deps.limits.calculation(ctx.ip);
    const params = parse(endpoint.params, ctx.params);
    const access = await requireAccess(deps, ctx, endpoint, params as { garden?: string } | undefined);
    if (!endpoint.stateless && endpoint.method !== 'get' && !access.token) requireSameSite(deps, ctx);
    const query = parse(endpoint.query, { ...ctx.query });
    const body = endpoint.body && parse(endpoint.body, await jsonBody(ctx));
    if (endpoint.answerStatus) ctx.status = endpoint.answerStatus;
    const answer = await handler({ params, query, body, access, ctx } as Call<E>);
    if (answer instanceof AnswerText) {
      if (deps.checkAnswers && typeof answer.json === 'string') checked(endpoint, JSON.parse(answer.json));
      ctx.type = 'application/json';
      ctx.body = answer.json;
    } else ctx.body = deps.checkAnswers && !endpoint.answerType && answer !== null ? checked(endpoint, answer) : answer;
  });
}

class AnswerText {
  constructor(readonly json: string | Buffer) {}
}

/** An answer that is JSON already, as the database wrote it or pressed: it goes out as it is. */
export const answerText = (json: string | Buffer) => new AnswerText(json) as never;

async function jsonBody(ctx: RouterContext): Promise<unknown> {
  await readJson(ctx, () => Promise.resolve());
  return (ctx.request as { body?: unknown }).body;
}

function parse(schema: z.ZodType | undefined, input: unknown): unknown {
  if (!schema) return undefined;
  const fault = unkeepable(input);
  if (fault) throw invalidField(fault.path, fault.code, fault.message);
  const result = schema.safeParse(input);
  if (!result.success) throw invalid(result.error.issues);
  return result.data;
}

/** An answer that breaks its own contract is the server's fault: told in tests, where nobody is kept waiting by it. */
function checked({ path, answer }: Endpoint, given: unknown): unknown {
  const result = answer.safeParse(given);
  if (!result.success) throw new Error(`The answer of ${path} breaks the contract: ${result.error.message}`);
  return given;
}
