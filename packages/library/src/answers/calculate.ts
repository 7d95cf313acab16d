import type { CalculationAnswer, CalculationName, CalculationRequest } from '@field-nurse/contract';
import { mixFor } from '@field-nurse/core/dose';
import { progress } from '@field-nurse/core/recovery';
import { sample } from '@field-nurse/core/sampling';
import type { Library } from '../entries.js';
import { answerDegreeDays, answerInfectionRisk } from './answerClimate.js';
import { answerDifferential } from './answerDifferential.js';
import { answerOptions } from './answerOptions.js';
import { answerPlan } from './answerPlan.js';
import { answerEfficacy, answerFreedom } from './answerRecovery.js';
import type { PlanMeans } from './answerPlan.js';
import { Refusal } from './refusal.js';
import type { Refused } from './refusal.js';

type Answers = {
  readonly [N in CalculationName]: (library: Library, request: CalculationRequest<N>, means?: PlanMeans) => CalculationAnswer<N>;
};

/** Every calculation of the contract: the server's routes and the pages' worker both answer from this table. */
const answers: Answers = {
  differential: answerDifferential,
  options: answerOptions,
  mix: (_, request) => {
    const answer = mixFor(request);
    if ('mix' in answer) return answer.mix as CalculationAnswer<'mix'>;
    const { code, text } = answer.refused;
    throw code === 'label-max'
      ? new Refusal({ by: 'rule', code, path: [], message: text, rule: { field: 'labelMax', ...request.labelMax } })
      : new Refusal({ by: 'input', code, path: [], message: text });
  },
  plan: (_, request, means) => {
    if (!means) throw new Error('A plan needs a solver.');
    return answerPlan(request, means);
  },
  degreeDays: answerDegreeDays,
  infectionRisk: answerInfectionRisk,
  efficacy: answerEfficacy,
  freedom: answerFreedom,
  progress: (_, { points, model }) => progress(points, model),
  sample: (_, request) => sample(request),
};

/** An answer, or why there is none. Plain data, so that it can come from another thread. */
export type Calculated<N extends CalculationName> = { readonly answer: CalculationAnswer<N> } | { readonly refused: Refused };

/**
 * Answer a calculation of the contract from the library.
 *
 * Core names the field and what is allowed in a RangeError: input that the contract could not judge was out of range.
 *
 * @param request - checked by the contract
 * @param means - what plans are solved with; nothing else needs it
 */
export function calculate<N extends CalculationName>(
  library: Library,
  name: N,
  request: CalculationRequest<N>,
  means?: PlanMeans,
): Calculated<N> {
  try {
    return { answer: answers[name](library, request, means) };
  } catch (error) {
    if (error instanceof Refusal) return { refused: error.refused };
    if (error instanceof RangeError) return { refused: { by: 'input', code: 'out-of-range', path: [], message: error.message } };
    throw error;
  }
}
