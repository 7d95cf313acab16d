import type { ConditionFacts } from './knowledge.js';

/** Two causes of which one came in the wake of the other, carries it from plant to plant, or came after it by the grower's words. */
export interface Relation {
  readonly code: 'follows' | 'carries' | 'later';
  readonly condition: string;
  readonly other: string;
}

/** A sign that was told, and whether it came later than what was told before it. */
export interface ToldSign {
  readonly sign: string;
  readonly later?: boolean | undefined;
}

interface Likely {
  readonly condition: ConditionFacts;
  readonly probability: number;
}

// Below this a cause is too unlikely to be told as part of a story.
const toldFrom = 0.25;

/** How the likely causes hang together: what to treat first, and what carries it on; of one pair one thing is told. */
export function relationsAmong(causes: readonly Likely[], told: readonly ToldSign[] = []): Relation[] {
  const likely = causes.filter(({ probability }) => probability >= toldFrom).map(({ condition }) => condition);
  const present = new Set(likely.map(({ id }) => id));
  const known = likely.flatMap(({ id, follows = [], carries = [] }) => [
    ...follows.filter((other) => present.has(other)).map((other): Relation => ({ code: 'follows', condition: id, other })),
    ...carries
      .filter((other) => present.has(other) && !follows.includes(other))
      .map((other): Relation => ({ code: 'carries', condition: id, other })),
  ]);
  const isKnown = (a: string, b: string) =>
    known.some(({ condition, other }) => (condition === a && other === b) || (condition === b && other === a));
  const cameAfter = likely.flatMap((one) =>
    likely
      .filter((other) => one !== other && !isKnown(one.id, other.id) && isLater(one, other, told))
      .map((other): Relation => ({ code: 'later', condition: one.id, other: other.id })),
  );
  return [...known, ...cameAfter];
}

/** True when all that only the one shows was told as later, and all that only the other shows before it. */
function isLater(one: ConditionFacts, other: ConditionFacts, told: readonly ToldSign[]): boolean {
  const shows = ({ signs }: ConditionFacts, sign: string) => (signs[sign] ?? 'never') !== 'never';
  const own = told.filter(({ sign }) => shows(one, sign) && !shows(other, sign));
  const others = told.filter(({ sign }) => shows(other, sign) && !shows(one, sign));
  return own.length > 0 && others.length > 0 && own.every(({ later }) => later) && others.every(({ later }) => !later);
}
