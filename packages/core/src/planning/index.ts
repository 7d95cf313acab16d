// What a garden wants today
export { agendaFor } from './agenda.js';
export type { Agenda, GardenToday, SampleStep } from './agenda.js';

// When everything is done
export { highsSolver, planRounds } from './plan/index.js';
export type {
  MilpSolver,
  PlanAnswer,
  PlanConflict,
  PlanEffort,
  PlanLine,
  PlanMove,
  PlanQuestion,
  PlanRound,
  PlanWhy,
} from './plan/index.js';
