import type { ConditionFacts } from './knowledge.js';

/** Two causes of which one came in the wake of the other, or carries it from plant to plant. */
export interface Relation {
  readonly code: 'follows' | 'carries';
  readonly condition: string;
  readonly other: string;
}

// Below this a cause is too unlikely to be told as part of a story.
const toldFrom = 0.25;

/** How the likely causes hang together: what to treat first, and what carries it on; of one pair one thing is told. */
export function relationsAmong(causes: readonly { readonly condition: ConditionFacts; readonly probability: number }[]): Relation[] {
  const likely = causes.filter(({ probability }) => probability >= toldFrom).map(({ condition }) => condition);
  const present = new Set(likely.map(({ id }) => id));
  return likely.flatMap(({ id, follows = [], carries = [] }) => [
    ...follows.filter((other) => present.has(other)).map((other): Relation => ({ code: 'follows', condition: id, other })),
    ...carries
      .filter((other) => present.has(other) && !follows.includes(other))
      .map((other): Relation => ({ code: 'carries', condition: id, other })),
  ]);
}
