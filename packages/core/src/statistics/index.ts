export { bootstrapInterval, poissonDraw, quantile } from './bootstrap.js';
export type { Bootstrap, Interval } from './bootstrap.js';
export { entropyBits } from './entropy.js';
export { leastSquares } from './leastSquares.js';
export type { Line } from './leastSquares.js';
export { logSumExp } from './logSumExp.js';
export { normalDraw, seededRandom } from './seededRandom.js';
export { normalQuantile } from './normalQuantile.js';
