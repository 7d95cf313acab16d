import { nameIndexOf } from './nameIndex.js';
import type { Named } from './nameIndex.js';
import { keyOf, wordsOf } from './words.js';

const mostOffered = 5;
const leastAlike = 0.35;

/**
 * Entries whose names are most like what was typed, for "did you mean …?".
 *
 * Likeness is Dice's coefficient on pairs of letters (Dice 1945), the better of that of the whole names and of single words.
 *
 * @returns five at most, likeliest first; none where nothing is alike
 */
export function nearNames<T extends Named>(entries: readonly T[], typed: string): T[] {
  const words = wordsOf(typed);
  const whole = pairsOf(keyOf(words));
  const single = words.map(pairsOf);
  const best = new Map<T, number>();
  for (const { entry, key, words: own } of nameIndexOf(entries).names) {
    const parts =
      single.length === 0
        ? 0
        : single.reduce((sum, one) => sum + Math.max(0, ...own.map((word) => alike(one, pairsOf(word)))), 0) / single.length;
    const likeness = Math.max(alike(whole, pairsOf(key)), 0.8 * parts);
    if (likeness >= leastAlike) best.set(entry, Math.max(best.get(entry) ?? 0, likeness));
  }
  return [...best]
    .sort((a, b) => b[1] - a[1])
    .slice(0, mostOffered)
    .map(([entry]) => entry);
}

const known = new Map<string, ReadonlySet<string>>();
function pairsOf(word: string): ReadonlySet<string> {
  let pairs = known.get(word);
  if (!pairs) {
    pairs = new Set(Array.from({ length: word.length + 1 }, (_, i) => ` ${word} `.slice(i, i + 2)));
    if (known.size > 20_000) known.clear();
    known.set(word, pairs);
  }
  return pairs;
}

function alike(one: ReadonlySet<string>, other: ReadonlySet<string>): number {
  let shared = 0;
  for (const pair of one) if (other.has(pair)) shared++;
  return (2 * shared) / (one.size + other.size);
}
