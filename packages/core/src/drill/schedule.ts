import type { Card } from 'ts-fsrs';
import { createEmptyCard, fsrs, Rating } from 'ts-fsrs';

/** How well something was known: missed, just so, well, at once. */
export type Grade = 'again' | 'hard' | 'good' | 'easy';

/** One thing to know, of a kind of drill. */
export interface DrillItem {
  readonly id: string;
  readonly kind: string;
}

/** How an item went once. */
export interface Review {
  readonly item: string;
  /** instant, ISO 8601 */
  readonly at: string;
  readonly grade: Grade;
}

const ratings = { again: Rating.Again, hard: Rating.Hard, good: Rating.Good, easy: Rating.Easy } as const;
const scheduler = fsrs({ enable_fuzz: false });

/**
 * When each item that was tried wants to be seen again: soon after it was missed, ever later as it is known.
 *
 * Free spaced repetition scheduler (Ye, Su & Cao 2022, KDD '22: 4381–4390) over all reviews in the order of time.
 *
 * @returns instants, ISO 8601, by item
 */
export function dueTimes(reviews: readonly Review[]): Map<string, string> {
  const ordered = [...reviews].sort((a, b) => a.at.localeCompare(b.at));
  const cards = new Map<string, Card>();
  for (const { item, at, grade } of ordered) {
    const when = new Date(at);
    cards.set(item, scheduler.next(cards.get(item) ?? createEmptyCard(when), when, ratings[grade]).card);
  }
  return new Map([...cards].map(([item, { due }]) => [item, due.toISOString()]));
}

/**
 * The order in which items are asked now: what is due, the longest due first; then what was never seen; then what comes due soonest. Kinds
 * take turns within each of the three, so that no two alike follow where it can be helped.
 *
 * @param now - instant, ISO 8601
 */
export function drillOrder(items: readonly DrillItem[], reviews: readonly Review[], now: string): DrillItem[] {
  const due = dueTimes(reviews);
  const dueOf = ({ id }: DrillItem) => due.get(id);
  const byDue = (a: DrillItem, b: DrillItem) => dueOf(a)!.localeCompare(dueOf(b)!);
  const known = items.filter(dueOf);
  return [
    ...taking(known.filter((item) => dueOf(item)! <= now).sort(byDue)),
    ...taking(items.filter((item) => !dueOf(item))),
    ...taking(known.filter((item) => dueOf(item)! > now).sort(byDue)),
  ];
}

/** One of each kind in turn; within a kind the order stays. */
function taking(items: readonly DrillItem[]): DrillItem[] {
  const kinds = [...new Set(items.map(({ kind }) => kind))].map((kind) => items.filter((item) => item.kind === kind));
  return Array.from({ length: Math.max(0, ...kinds.map((one) => one.length)) }, (_, i) =>
    kinds.flatMap((one) => one.slice(i, i + 1)),
  ).flat();
}
