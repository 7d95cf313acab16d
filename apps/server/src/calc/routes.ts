import { calculations } from '@field-nurse/contract';
import type { CalculationName } from '@field-nurse/contract';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Call } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { asApiError } from './asApiError.js';

/** The stateless calculations. */
export function calcRoutes(router: Router, deps: Deps): void {
  for (const name of Object.keys(calculations) as CalculationName[]) {
    serve(router, deps, calculations[name], async ({ body, ctx }: Pick<Call<(typeof calculations)[typeof name]>, 'body' | 'ctx'>) => {
      const result = await deps.calculator.calculate(name, body, [], goneSignal(ctx.req, ctx.res));
      if ('refused' in result) throw asApiError(result.refused);
      return result.answer;
    });
  }
}

/** Aborted when the caller goes before the answer is there. */
function goneSignal(request: NodeJS.EventEmitter, response: { readonly writableEnded: boolean } & NodeJS.EventEmitter): AbortSignal {
  const gone = new AbortController();
  response.once('close', () => {
    if (!response.writableEnded) gone.abort();
  });
  request.once('aborted', () => gone.abort());
  return gone.signal;
}
