import type { Drill } from '@field-nurse/contract';

/** One thing that was taken for another, and how often. */
export interface Confusion {
  readonly kind: 'stage' | 'fresh' | 'look-alikes';
  readonly truth: string;
  readonly guess: string;
  readonly times: number;
}

/** What is taken for what, the most frequent first. */
export function confusions(sittings: readonly Pick<Drill, 'answers'>[]): Confusion[] {
  const found = new Map<string, Confusion>();
  for (const { answers } of sittings)
    for (const answer of answers) {
      if (answer.kind !== 'stage' && answer.kind !== 'fresh' && answer.kind !== 'look-alikes') continue;
      const { kind, truth, guess } = answer;
      if (truth === guess) continue;
      const key = `${kind} ${truth} ${guess}`;
      found.set(key, { kind, truth, guess, times: (found.get(key)?.times ?? 0) + 1 });
    }
  return [...found.values()].sort((a, b) => b.times - a.times);
}
