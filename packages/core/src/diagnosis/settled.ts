import type { Finding } from './knowledge.js';

// A plan is settled when it is right this often, or when no look is likelier than this to change it for a better one.
const settledFrom = 0.8;
const settledBelowGain = 0.03;

/**
 * Whether enough was looked: no further look would change the plan much.
 *
 * @param lead - chance that the best plan is right, 0 to 1
 * @param looks - each with the chance that it changes the plan for a better one
 * @returns never true while nothing was seen
 */
export const isSettled = (findings: readonly Finding[], lead: number, looks: readonly { readonly gain: number }[]): boolean =>
  findings.some(({ state }) => state === 'seen') && (lead >= settledFrom || looks.every(({ gain }) => gain < settledBelowGain));
