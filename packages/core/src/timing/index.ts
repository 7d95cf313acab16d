export { addDays, clockAt, dayAt, daysBetween, instantOf, waitsAfter } from './waits.js';
export type { Waits } from './waits.js';
