export { usualRounds } from './usualRounds.js';
export type { RepeatFacts } from './usualRounds.js';
export { changesOfPlan } from './changesOfPlan.js';
export type { PlanChange, RoundInSlot } from './changesOfPlan.js';
export { halfDays } from './halfDays.js';
export { roundId, roundsToPlace } from './roundsToPlace.js';
export type { KnownRound, Onset, PlanToPlace, WayOfPlan } from './roundsToPlace.js';
