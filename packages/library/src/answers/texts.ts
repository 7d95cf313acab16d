// Sentences made from core's codes.
export { brokenLineText } from './brokenLineText.js';
export { cautionsOf } from './cautionsOf.js';
export { planLineText } from './planLineText.js';
export { questionText } from './questionText.js';
export { reasonText } from './reasonText.js';
