import type { Endpoint } from '@field-nurse/contract';
import type Router from '@koa/router';
import type { RouterContext } from '@koa/router';
import type { z } from 'zod';
import { requireAccess } from '../gardens/access.js';
import type { Access } from '../gardens/access.js';
import type { Deps } from '../deps.js';
import { invalid } from './apiError.js';

type Out<T> = T extends z.ZodType ? z.output<T> : undefined;

/** What a handler gets: checked input, and who is asking. */
export interface Call<E extends Endpoint> {
  readonly params: Out<E['params']>;
  readonly query: Out<E['query']>;
  readonly body: Out<E['body']>;
  readonly access: Access;
  readonly ctx: RouterContext;
}

/** Serve an endpoint of the contract: check who asks, check the input, answer what the handler returns. */
export function serve<const E extends Endpoint>(
  router: Router,
  deps: Deps,
  endpoint: E,
  handler: (call: Call<E>) => Promise<z.input<E['answer']>> | z.input<E['answer']>,
): void {
  const path = endpoint.path.replace(/\{(\w+)\}/g, ':$1');
  router.register(path, [endpoint.method], async (ctx: RouterContext) => {
    const params = parse(endpoint.params, ctx.params);
    const access = await requireAccess(deps, ctx, endpoint.access);
    const query = parse(endpoint.query, { ...ctx.query });
    const body = parse(endpoint.body, (ctx.request as { body?: unknown }).body);
    ctx.body = await handler({ params, query, body, access, ctx } as Call<E>);
  });
}

function parse(schema: z.ZodType | undefined, input: unknown): unknown {
  if (!schema) return undefined;
  const result = schema.safeParse(input);
  if (!result.success) throw invalid(result.error.issues);
  return result.data;
}
