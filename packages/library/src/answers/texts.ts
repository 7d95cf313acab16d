// Sentences made from core's codes, and the law that speaks in them.
export { applicationLaw } from './applicationLaw.js';
export type { TargetKnown } from './applicationLaw.js';
export { brokenLineText } from './brokenLineText.js';
export { cautionsOf } from './cautionsOf.js';
export { planLineText } from './planLineText.js';
export { questionText } from './questionText.js';
export { reasonText } from './reasonText.js';
