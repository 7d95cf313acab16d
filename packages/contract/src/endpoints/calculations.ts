import type { z } from 'zod';
import { degreeDaysAnswer, degreeDaysRequest } from '../calculations/degreeDays.js';
import { differentialAnswer, differentialRequest } from '../calculations/differential.js';
import { efficacyAnswer, efficacyRequest } from '../calculations/efficacy.js';
import { freedomAnswer, freedomRequest } from '../calculations/freedom.js';
import { infectionRiskAnswer, infectionRiskRequest } from '../calculations/infectionRisk.js';
import { mixAnswer, mixRequest } from '../calculations/mix.js';
import { optionsAnswer, optionsRequest } from '../calculations/options.js';
import { planAnswer, planRequest } from '../calculations/plan.js';
import { progressAnswer, progressRequest } from '../calculations/progress.js';
import { sampleAnswer, sampleRequest } from '../calculations/sample.js';
import { define } from './endpoint.js';

const calculation = <const N extends string, Q extends z.ZodType, A extends z.ZodType>(name: N, summary: string, body: Q, answer: A) =>
  define({ method: 'post', path: `/api/v1/calc/${name}`, summary, access: 'open', stateless: true, body, answer });

/** The calculations; the last part of their address is what scripts call them by. */
export const calculations = {
  differential: calculation('differential', 'Ranked causes from findings and lay words', differentialRequest, differentialAnswer),
  options: calculation('options', 'Treatments judged for a planting today', optionsRequest, optionsAnswer),
  mix: calculation('mix', 'How much product in how much water', mixRequest, mixAnswer),
  plan: calculation('plan', 'Rounds of treatment placed where all together lose least', planRequest, planAnswer),
  progress: calculation('progress', 'Area under a severity curve and its rate', progressRequest, progressAnswer),
  degreeDays: calculation('degree-days', 'Degree days, their sum, and when stages are reached', degreeDaysRequest, degreeDaysAnswer),
  infectionRisk: calculation('infection-risk', 'Wet periods that let a disease in', infectionRiskRequest, infectionRiskAnswer),
  efficacy: calculation('efficacy', 'How much less there is than without the treatment', efficacyRequest, efficacyAnswer),
  freedom: calculation('freedom', 'When it may be believed gone', freedomRequest, freedomAnswer),
  sample: calculation('sample', 'Enough looked at: act, leave, or look at more', sampleRequest, sampleAnswer),
} as const;

export type CalculationName = keyof typeof calculations;
/** What a calculation is asked, as it was checked. */
export type CalculationRequest<N extends CalculationName> = z.output<(typeof calculations)[N]['body']>;
export type CalculationAnswer<N extends CalculationName> = z.input<(typeof calculations)[N]['answer']>;
