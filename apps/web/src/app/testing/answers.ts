import type { DifferentialAnswer, DifferentialRequest } from '@field-nurse/contract';
import { answerDifferential } from '@field-nurse/library/answers';
import { reference } from './show';

/** What the reasoner makes of a plant, with the reference library. */
export const answerTo = (request: DifferentialRequest): DifferentialAnswer => answerDifferential(reference, request) as DifferentialAnswer;
