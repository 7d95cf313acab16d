export { highsSolver } from './highsSolver.js';
export type { MilpSolver } from './milp.js';
export type { PlanConflict } from './planConflicts.js';
export type * from './planQuestion.js';
export { linesAt, planRounds } from './planRounds.js';
export type { PlacedRound, PlanAnswer, PlanEffort, PlanMove, PlanWhy } from './planRounds.js';
