export { addDays, dayAt, daysBetween, waitsAfter } from './waits.js';
export type { Waits } from './waits.js';
