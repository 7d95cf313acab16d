import type { CalculationAnswer, CalculationRequest } from '@field-nurse/contract';
import { answerPlan } from '@field-nurse/library/answers';
import { expose } from 'comlink';
import { planMeans } from './plan-means';

export type PlanMove = CalculationAnswer<'plan'>['moves'][number];

/** A half-day that was reckoned, of so many. */
export interface PlanProgress {
  readonly move: PlanMove;
  readonly of: number;
}

const worker = {
  /** @param line - on which each half-day of a move is told as it is reckoned */
  plan: async (request: CalculationRequest<'plan'>, line: MessagePort): Promise<CalculationAnswer<'plan'>> => {
    const told = (move: PlanMove, of: number) => line.postMessage({ move, of } satisfies PlanProgress);
    return answerPlan(request, { ...(await planMeans()), told });
  },
};

export type PlanWorker = typeof worker;

expose(worker);
