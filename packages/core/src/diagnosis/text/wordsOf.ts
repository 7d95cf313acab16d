import type { ConditionFacts, Knowledge } from '../knowledge.js';
import { frequencyTable } from '../probabilityTable.js';
import type { Lexicon } from './lexicon.js';
import { topicsOf } from './partsMeant.js';
import type { SaidWord } from './readText.js';
import { contentStems } from './tokens.js';

/** How much each word of an entry speaks for it, and how rare the word is among all entries; both also for a word that is said of a part. */
export interface EntryWords {
  readonly shares: ReadonlyMap<string, ReadonlyMap<string, number>>;
  readonly rarity: (word: string) => number;
}

// A word of the summary counts this much beside one of the name; a sign's word as often as the sign is shown.
const summaryShare = 0.8;
const signShare = 0.7;
// Log odds for each point of rarity of a word that fits, in a text of so many words, and the most that words may add.
const each = 0.45;
const usualWords = 12;
const mostOfFew = 3;
const most = 5;
// Words that were read as signs count this much beside those that were not.
const readShare = 0.8;
// A word of the entry that is said of another part of the plant counts this much.
const otherPart = 0.7;

/**
 * The words in which the library itself tells of each condition: its names, summary and signs.
 *
 * A word's rarity is log(1 + entries / entries that hold it): inverse document frequency (Spärck Jones 1972). Many an entry speaks of black,
 * fewer of something black on a fruit: a word that is said of a part is counted among the entries that say it of that part.
 */
export function wordsOfEntries({ conditions, signs }: Knowledge, { language, ordinary, partOf }: Lexicon): EntryWords {
  const told = new Map(signs.map(({ id, name, words }) => [id, [name, ...words].flatMap((text) => contentStems(text, language))]));
  const shares = new Map(conditions.map((condition) => [condition.id, wordsOf(condition)] as const));
  const holders = new Map<string, number>();
  for (const own of shares.values()) for (const key of own.keys()) holders.set(key, (holders.get(key) ?? 0) + 1);
  return { shares, rarity: (word) => Math.log(1 + conditions.length / (holders.get(word) ?? 1)) };

  function wordsOf({ name, names = [], summary = '', signs: own }: ConditionFacts): Map<string, number> {
    const words = new Map<string, number>();
    const add = (stems: readonly string[], share: number, part?: string) => {
      for (const stem of stems)
        if (!ordinary.has(stem))
          for (const word of [stem, ...topicsOf(part).map((topic) => saidOf(topic, stem))])
            words.set(word, Math.max(words.get(word) ?? 0, share));
    };
    for (const text of [name, ...names]) add(contentStems(text, language), 1);
    add(contentStems(summary, language), summaryShare);
    for (const [sign, frequency] of Object.entries(own)) add(told.get(sign) ?? [], signShare * frequencyTable[frequency], partOf.get(sign));
    return words;
  }
}

const saidOf = (part: string, stem: string) => `${part} ${stem}`;

/**
 * What the words themselves say of each condition, by the words of its entry, beside the signs that they were read as: a weak voice, by naive
 * Bayes on the words of the library's own prose in place of counted ones (Maron 1961), with a ceiling. The more words there are, the less each
 * of them says: they repeat one another.
 *
 * @param said - words that made no reading, and those that did, which count less since their signs count too
 * @returns log odds, 0 to 5, for the conditions that any of the words fits
 */
export function hintsFrom(
  said: { readonly unread: Iterable<SaidWord>; readonly read: Iterable<SaidWord> },
  { shares, rarity }: EntryWords,
): Map<string, number> {
  const words = new Map<string, SaidWord & { readonly counts: number }>();
  for (const word of said.read) words.set(word.stem, { ...word, counts: readShare });
  for (const word of said.unread) words.set(word.stem, { ...word, counts: 1 });
  const weight = each * Math.min(mostOfFew, Math.sqrt(usualWords / words.size));
  const hints = new Map<string, number>();
  for (const [id, own] of shares) {
    const told = (word: string) => (own.get(word) ?? 0) * rarity(word);
    let sum = 0;
    for (const { stem, part, counts } of words.values())
      sum += counts * (part ? Math.max(told(saidOf(part, stem)), otherPart * told(stem)) : told(stem));
    if (sum > 0) hints.set(id, Math.min(most, weight * sum));
  }
  return hints;
}
