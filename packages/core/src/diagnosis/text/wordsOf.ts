import type { ConditionFacts, Knowledge } from '../knowledge.js';
import { frequencyTable } from '../probabilityTable.js';
import type { Lexicon } from './lexicon.js';
import { contentStems } from './tokens.js';

/** How much each word of an entry speaks for it, and how rare the word is among all entries. */
export interface EntryWords {
  readonly shares: ReadonlyMap<string, ReadonlyMap<string, number>>;
  readonly rarity: (stem: string) => number;
}

// A word of the summary counts this much beside one of the name; a sign's word as often as the sign is shown.
const summaryShare = 0.8;
const signShare = 0.7;
// Log odds for each point of rarity of a word that fits, and the most that words may add.
const each = 0.45;
const most = 5;
// Words that were read as signs count this much beside those that were not.
const readShare = 0.8;

/**
 * The words in which the library itself tells of each condition: its names, summary and signs.
 *
 * A word's rarity is log(1 + entries / entries that hold it): inverse document frequency (Spärck Jones 1972).
 */
export function wordsOfEntries({ conditions, signs }: Knowledge, { language, ordinary }: Lexicon): EntryWords {
  const told = new Map(signs.map(({ id, name, words }) => [id, [name, ...words].flatMap((text) => contentStems(text, language))]));
  const shares = new Map(conditions.map((condition) => [condition.id, wordsOf(condition)] as const));
  const holders = new Map<string, number>();
  for (const words of shares.values()) for (const stem of words.keys()) holders.set(stem, (holders.get(stem) ?? 0) + 1);
  return { shares, rarity: (stem) => Math.log(1 + conditions.length / (holders.get(stem) ?? 1)) };

  function wordsOf({ name, names = [], summary = '', signs: own }: ConditionFacts): Map<string, number> {
    const words = new Map<string, number>();
    const add = (stems: readonly string[], share: number) => {
      for (const stem of stems) if (!ordinary.has(stem)) words.set(stem, Math.max(words.get(stem) ?? 0, share));
    };
    for (const text of [name, ...names]) add(contentStems(text, language), 1);
    add(contentStems(summary, language), summaryShare);
    for (const [sign, frequency] of Object.entries(own)) add(told.get(sign) ?? [], signShare * frequencyTable[frequency]);
    return words;
  }
}

/**
 * What the words themselves say of each condition, by the words of its entry, beside the signs that they were read as: a weak voice, by naive
 * Bayes on the words of the library's own prose in place of counted ones (Maron 1961), with a ceiling.
 *
 * @param said - stems that made no reading, and those that did, which count less since their signs count too
 * @returns log odds, 0 to 4, for the conditions that any of the words fits
 */
export function hintsFrom(
  said: { readonly unread: Iterable<string>; readonly read: Iterable<string> },
  { shares, rarity }: EntryWords,
): Map<string, number> {
  const weights = new Map([...said.read].map((stem) => [stem, each * readShare * rarity(stem)]));
  for (const stem of said.unread) weights.set(stem, each * rarity(stem));
  const hints = new Map<string, number>();
  for (const [id, words] of shares) {
    let sum = 0;
    for (const [stem, weight] of weights) sum += (words.get(stem) ?? 0) * weight;
    if (sum > 0) hints.set(id, Math.min(most, sum));
  }
  return hints;
}
