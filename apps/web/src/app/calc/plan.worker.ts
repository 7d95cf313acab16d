import type { CalculationAnswer, CalculationRequest } from '@field-nurse/contract';
import { answerPlan } from '@field-nurse/library/answers';
import { expose } from 'comlink';
import { planMeans } from './plan-means';

export type PlanMove = CalculationAnswer<'plan'>['moves'][number];

const worker = {
  /** @param told - is told of each half-day of a move as it is reckoned, and of how many there are */
  plan: async (request: CalculationRequest<'plan'>, told: (move: PlanMove, of: number) => void): Promise<CalculationAnswer<'plan'>> =>
    answerPlan(request, { ...(await planMeans()), told }),
};

export type PlanWorker = typeof worker;

expose(worker);
