import type { CalculationAnswer, CalculationRequest } from '@field-nurse/contract';
import { planRounds } from '@field-nurse/core/planning';
import type { MilpSolver, PlanWhy } from '@field-nurse/core/planning';

/** What a plan is solved with, and when there is no more time. */
export interface PlanMeans {
  readonly solver: MilpSolver;
  /** milliseconds since any moment */
  readonly clock: () => number;
}

// Half of what a calculation may take is for the plan, and most of the rest for what moves cost.
const planSeconds = 2.2;
const allMs = 3800;

const lineText: Readonly<Record<PlanWhy[number], string>> = {
  earliest: 'It may not be done yet.',
  latest: 'Then it is too late.',
  temperature: 'It is too cold or too hot.',
  wind: 'It is too windy.',
  rain: 'It would not stay dry long enough.',
  bees: 'Bees are about in the flowers.',
  harvest: 'It is picked too soon after.',
  after: 'It has to wait for the round before it, or comes too late after that.',
  'same-slot': 'Another round of this case is done then.',
  rotation: 'The same mode of action would come twice in a row.',
  'season-max': 'It has been used as often as is allowed in a season.',
  stock: 'There is not enough of it.',
  minutes: 'The day is not long enough.',
  're-entry': 'Nobody may go there yet after what was applied.',
  'costs-more': 'The plan as a whole would lose more.',
  'no-time': 'There was no time to find out.',
};

/** Place the rounds of a plan where all together lose least. */
export function answerPlan({ movesFor, ...question }: CalculationRequest<'plan'>, { solver, clock }: PlanMeans): CalculationAnswer<'plan'> {
  const began = clock();
  const plan = planRounds(question, solver, { seconds: planSeconds, isOver: () => clock() - began > allMs, movesFor });
  const told = (codes: PlanWhy) => codes.map((code) => ({ code, text: lineText[code] }));
  return {
    ...plan,
    schedule: plan.schedule.map((one) => ({ ...one, why: told(one.why) })),
    notPlaced: plan.notPlaced.map((one) => ({ ...one, why: told(one.why) })),
    moves: plan.moves.map(({ lines, ...one }) => ({ ...one, ...(lines && { lines: [...lines] }) })),
    conflicts: plan.conflicts.map(({ round, rounds, lines }) => ({
      round,
      rounds: [...rounds],
      lines: [...lines],
      text: lines.map((line) => lineText[line]).join(' '),
    })),
  };
}
