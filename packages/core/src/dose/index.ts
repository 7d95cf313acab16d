export { mixFor } from './mix.js';
export type { Fill, Mix, MixAnswer, MixQuestion, MixRefusal, Rate } from './mix.js';
export type { MixStep } from './mixSteps.js';
export { atStrength } from './atStrength.js';
export { sprayPerPlant } from './sprayPerPlant.js';
export type { Habit } from './sprayPerPlant.js';
export { inSpoons } from './spoons.js';
export type { SpoonMeasure, SpoonSet } from './spoons.js';
