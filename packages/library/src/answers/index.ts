// Calculations of the contract, answered by core from the library: the server and the pages' worker share these.
export { answerDifferential } from './answerDifferential.js';
export { answerOptions } from './answerOptions.js';
export { answerPlan } from './answerPlan.js';
export type { PlanMeans } from './answerPlan.js';
export { calculate } from './calculate.js';
export type { Calculated } from './calculate.js';
export { Refusal } from './refusal.js';
export type { Refused } from './refusal.js';
