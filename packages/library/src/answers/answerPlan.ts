import type { CalculationAnswer, CalculationRequest } from '@field-nurse/contract';
import { planRounds } from '@field-nurse/core/planning';
import type { MilpSolver, PlanMove, PlanWhy } from '@field-nurse/core/planning';
import { planLineText } from './planLineText.js';

/** What a plan is solved with, and when there is no more time. */
export interface PlanMeans {
  readonly solver: MilpSolver;
  /** milliseconds since any moment */
  readonly clock: () => number;
  /** is told of each half-day of a move as it is reckoned, and of how many there are */
  readonly told?: (move: CalculationAnswer<'plan'>['moves'][number], of: number) => void;
}

// Half of what a calculation may take is for the plan, and most of the rest for what moves cost.
const planSeconds = 2.2;
const allSeconds = 3.8;

/** Place the rounds of a plan where all together lose least. */
export function answerPlan(
  { movesFor, ...question }: CalculationRequest<'plan'>,
  { solver, clock, told }: PlanMeans,
): CalculationAnswer<'plan'> {
  const plan = planRounds(question, solver, {
    seconds: planSeconds,
    allSeconds,
    clock,
    movesFor,
    told: told && ((move, of) => told(copyOf(move), of)),
  });
  const inWords = (codes: PlanWhy) => codes.map((code) => ({ code, text: planLineText[code] }));
  return {
    ...plan,
    schedule: plan.schedule.map((one) => ({ ...one, why: inWords(one.why) })),
    notPlaced: plan.notPlaced.map((one) => ({ ...one, why: inWords(one.why) })),
    moves: plan.moves.map(copyOf),
    conflicts: plan.conflicts.map(({ round, rounds, lines }) => ({
      round,
      rounds: [...rounds],
      lines: [...lines],
      text: lines.map((line) => planLineText[line]).join(' '),
    })),
  };
}

const copyOf = ({ lines, ...one }: PlanMove) => ({ ...one, ...(lines && { lines: [...lines] }) });
