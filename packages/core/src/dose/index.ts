export { mixFor } from './mix.js';
export type { Fill, Mix, MixAnswer, MixQuestion, MixRefusal, Rate } from './mix.js';
export type { MixStep } from './mixSteps.js';
export { inSpoons } from './spoons.js';
export type { SpoonMeasure, SpoonSet } from './spoons.js';
