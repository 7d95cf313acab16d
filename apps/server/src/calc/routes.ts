import { endpoints } from '@field-nurse/contract';
import { mixFor } from '@field-nurse/core/dose';
import { progress } from '@field-nurse/core/recovery';
import type { MixQuestion } from '@field-nurse/core/dose';
import { sample } from '@field-nurse/core/sampling';
import { answerDifferential, answerOptions, UnknownName } from '@field-nurse/library/answers';
import type Router from '@koa/router';
import { ApiError, invalidField } from '../api/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';

/** The stateless calculations. */
export function calcRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.differential, ({ body }) => named(() => answerDifferential(deps.library, body)));
  serve(router, deps, endpoints.options, ({ body }) => named(() => answerOptions(deps.library, body)));
  serve(router, deps, endpoints.progress, ({ body }) => progress(body.points, body.model));
  serve(router, deps, endpoints.sample, ({ body }) => inRange(() => sample(body)));
  serve(router, deps, endpoints.mix, ({ body }) => {
    const answer = mixFor(body as MixQuestion);
    if ('mix' in answer)
      return { ...answer.mix, fills: [...answer.mix.fills], steps: [...answer.mix.steps], alerts: [...answer.mix.alerts] };
    const { code, text } = answer.refused;
    if (code === 'label-max') throw new ApiError(422, code, text, { rule: { field: 'labelMax', ...body.labelMax } });
    throw invalidField([], code, text);
  });
}

/** Core names the field and what is allowed in a RangeError: the caller's input was out of range. */
function inRange<T>(answer: () => T): T {
  try {
    return answer();
  } catch (error) {
    if (error instanceof RangeError) throw invalidField([], 'out-of-range', error.message);
    throw error;
  }
}

function named<T>(answer: () => T): T {
  try {
    return answer();
  } catch (error) {
    if (error instanceof UnknownName) throw invalidField(error.path, 'unknown-name', error.message);
    throw error;
  }
}
