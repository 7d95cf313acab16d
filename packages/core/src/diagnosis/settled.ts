import type { Finding } from './knowledge.js';

// A plan is settled when it is right this often, or when no look is likelier than this to change it for a better one.
const settledFrom = 0.8;
const settledBelowGain = 0.03;
// Signs that were confirmed count 1 each, readings of words as much as they are sure: one sign that was only read never settles a plan.
const enoughSeen = 1;
// Below this the first cause is no more than a guess.
const firstFrom = 0.6;

export interface Standing {
  readonly findings: readonly Finding[];
  /** chance of the likeliest cause, 0 to 1 */
  readonly first: number;
  /** chance that the best plan is right, 0 to 1 */
  readonly lead: number;
  /** each with the chance that it changes the plan for a better one */
  readonly looks: readonly { readonly gain: number }[];
  /** telling words that could not be read */
  readonly unreadTelling: number;
}

/**
 * Whether enough was looked: no further look would change the plan much.
 *
 * @returns never true while nothing was seen but in one reading of the words, while the first cause is a guess, or while words that tell
 *   something stay unread
 */
export const isSettled = ({ findings, first, lead, looks, unreadTelling }: Standing): boolean =>
  findings.reduce((sum, { state, sure = 1 }) => (state === 'seen' ? sum + sure : sum), 0) >= enoughSeen &&
  first >= firstFrom &&
  unreadTelling === 0 &&
  (lead >= settledFrom || looks.every(({ gain }) => gain < settledBelowGain));
