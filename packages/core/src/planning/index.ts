// What a garden wants today
export { agendaFor } from './agenda.js';
export type { Agenda, GardenToday, SampleStep } from './agenda.js';

// The garden's plans as the planner asks for them
export { changesOfPlan, halfDays, roundId, roundsToPlace, usualRounds } from './rounds/index.js';
export type { KnownRound, Onset, PlanChange, PlanToPlace, RepeatFacts, RoundInSlot, WayOfPlan } from './rounds/index.js';

// When everything is done
export { highsSolver, planRounds } from './plan/index.js';
export type {
  HalfDay,
  MilpSolver,
  PlacedRound,
  PlanAnswer,
  PlanConflict,
  PlanEffort,
  PlanLine,
  PlanMove,
  PlanPerson,
  PlanProduct,
  PlanQuestion,
  PlanRound,
  PlanWhy,
  SlotWeather,
} from './plan/index.js';

// What earlier years say is coming
export { comingSights } from './comingSights.js';
export type { ComingSight } from './comingSights.js';
