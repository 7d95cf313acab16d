import type { InterventionFacts } from './interventionFacts.js';

/** Whether it goes over the plant from a nozzle, and is no living helper. */
export const isSpray = ({ reach, order }: InterventionFacts) => order === 'spray' && reach !== 'living';
