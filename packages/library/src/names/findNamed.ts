import { correctTypo } from '@field-nurse/core/diagnosis';
import { nameIndexOf } from './nameIndex.js';
import type { IndexedName, Named, NameIndex } from './nameIndex.js';
import { placing } from './placing.js';
import { keyOf, wordsOf } from './words.js';

/** The entry that a typed name means. */
export interface Found<T> {
  readonly entry: T;
  /** others that it may mean as well, likeliest first */
  readonly couldBe: readonly T[];
  /** words that say more of it ("cherry", "in pots"), as they were typed; empty when there are none */
  readonly qualifier: string;
}

// Said behind a plant's name, such a word tells how it grows: a "pumpkin vine" is a pumpkin.
const growing = new Set(['vine', 'tree', 'bush', 'hedge', 'shrub']);
const quoted = /(^|\s)(['"‘’“”])[^'"‘’“”]+['"‘’“”](?=$|\s)/gu;
const mostOffered = 5;

/**
 * The entry that a grower means by a name: any of its names, a part of one, plural or singular, with or without blanks and hyphens, either
 * spelling of the ocean, with a slip of the keys, with words about it before or behind.
 *
 * Whole names win over parts of a name, and those over names within what was typed. What stands in quotes is a variety's name.
 *
 * @param favoured - how much an entry is to be preferred where several fit alike; higher first
 * @returns nothing where no name fits
 */
export function findNamed<T extends Named>(
  entries: readonly T[],
  typed: string,
  favoured: (entry: T) => number = () => 0,
): Found<T> | undefined {
  const byId = entries.find(({ id }) => id === typed);
  if (byId) return { entry: byId, couldBe: [], qualifier: '' };
  const index = nameIndexOf(entries);
  const written = wordsOf(typed.replace(quoted, ' '));
  if (written.length === 0) return undefined;
  const corrected = written.map((word) => correctTypo(word, index.vocabulary) ?? word);
  for (const words of keyOf(corrected) === keyOf(written) ? [written] : [written, corrected]) {
    const found = findWhole(index, words, favoured) ?? findPart(index, words, favoured) ?? findWithin(index, words, typed, favoured);
    if (found) return found.qualifier ? found : { ...found, qualifier: (typed.match(quoted) ?? []).join(' ').trim() };
  }
  const key = correctTypo(keyOf(written), new Set(index.byKey.keys()));
  return key === undefined ? undefined : chosen(index.byKey.get(key)!, '', favoured);
}

const findWhole = <T extends Named>({ byKey }: NameIndex<T>, words: readonly string[], favoured: (entry: T) => number) => {
  const names = byKey.get(keyOf(words));
  return names && chosen(names, '', favoured);
};

/** The longest name within the words; of names of one length the last, which is what English speaks of: "cherry tomatoes" are tomatoes. */
function findWithin<T extends Named>(
  index: NameIndex<T>,
  words: readonly string[],
  typed: string,
  favoured: (entry: T) => number,
): Found<T> | undefined {
  const end = words.findIndex((word, i) => i > 0 && placing.has(word));
  const heads = end > 0 ? [words.slice(0, end), words] : [words];
  for (const head of heads) {
    const spans = spansOf(head, index);
    const tells = spans.filter(({ from, length }) => length > 1 || !growing.has(head[from]!));
    const own = tells.filter(({ names }) => names.some(({ entry }) => !isGeneral(entry)));
    const best = (own.length > 0 ? own : spans).sort((a, b) => b.length - a.length || b.from - a.from)[0];
    if (best) return chosen(best.names, without(typed, words.slice(best.from, best.from + best.length)), favoured);
  }
  return undefined;
}

/** Plants that stand for any plant of a kind: a "lettuce seedling" is a lettuce. */
const isGeneral = (entry: Named) => entry.family === 'mixed' || entry.family === 'ground';

const spansOf = <T>(words: readonly string[], { byKey, longest }: NameIndex<T>) =>
  words.flatMap((_, from) =>
    Array.from({ length: Math.min(longest, words.length - from) }, (_unused, i) => i + 1).flatMap((length) => {
      const names = byKey.get(keyOf(words.slice(from, from + length)));
      return names ? [{ from, length, names }] : [];
    }),
  );

/** Entries of whose name the words are parts: "cabbage aphid" is the mealy cabbage aphid. */
function findPart<T extends Named>(
  { names }: NameIndex<T>,
  words: readonly string[],
  favoured: (entry: T) => number,
): Found<T> | undefined {
  const own = names.filter((name) => words.every((word) => name.words.includes(word)));
  if (own.length === 0) return undefined;
  return chosen(
    own.sort((a, b) => a.words.length - b.words.length),
    '',
    favoured,
  );
}

function chosen<T extends Named>(names: readonly IndexedName<T>[], qualifier: string, favoured: (entry: T) => number): Found<T> {
  const entries = [...new Set([...names].sort((a, b) => Number(a.maybe) - Number(b.maybe)).map(({ entry }) => entry))];
  const [entry, ...couldBe] = entries.sort((a, b) => favoured(b) - favoured(a));
  return { entry: entry!, couldBe: couldBe.slice(0, mostOffered), qualifier };
}

/** What was typed without the words of the name. */
function without(typed: string, name: readonly string[]): string {
  const left = [...name];
  return typed
    .split(/\s+/)
    .filter((word) => {
      const at = wordsOf(word).some((one) => left.includes(one));
      return !at;
    })
    .join(' ');
}
