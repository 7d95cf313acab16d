import type { Knowledge } from '../knowledge.js';
import { frequencyTable } from '../probabilityTable.js';
import type { Lexicon } from './lexicon.js';
import { topicsFor } from './partsMeant.js';
import type { SaidWord } from './readText.js';
import { contentStems } from './tokens.js';

/**
 * In which entries each word stands and how much it speaks for each, and how rare the word is among all entries; both also for a word that is
 * said of a part of the plant.
 */
export interface EntryWords {
  readonly holders: ReadonlyMap<string, ReadonlyMap<string, number>>;
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
// What a sure first cause explains speaks this much for the others: from this share on it holds the word.
const explainedShare = 0.25;
const explainedFrom = 0.2;

/**
 * The words in which the library itself tells of each condition: its names, summary and signs.
 *
 * A word's rarity is log(1 + entries / entries that hold it): inverse document frequency (Spärck Jones 1972). Many an entry speaks of black,
 * fewer of something black on a fruit: a word that is said of a part is counted among the entries that say it of that part.
 */
export function wordsOfEntries({ conditions, signs }: Knowledge, { language, ordinary, partOf }: Lexicon): EntryWords {
  const told = new Map(signs.map(({ id, name, words }) => [id, [name, ...words].flatMap((text) => contentStems(text, language))]));
  const holders = new Map<string, Map<string, number>>();
  for (const { id, name, names = [], summary = '', signs: own } of conditions) {
    const add = (stems: readonly string[], share: number, part?: string) => {
      for (const stem of stems)
        if (!ordinary.has(stem))
          for (const word of [stem, ...topicsFor(part).map((topic) => saidOf(topic, stem))]) {
            const shares = holders.get(word) ?? new Map<string, number>();
            holders.set(word, shares.set(id, Math.max(shares.get(id) ?? 0, share)));
          }
    };
    for (const text of [name, ...names]) add(contentStems(text, language), 1);
    add(contentStems(summary, language), summaryShare);
    for (const [sign, frequency] of Object.entries(own)) add(told.get(sign) ?? [], signShare * frequencyTable[frequency], partOf.get(sign));
  }
  return { holders, rarity: (word) => Math.log(1 + conditions.length / (holders.get(word)?.size ?? 1)) };
}

const saidOf = (part: string, stem: string) => `${part} ${stem}`;

/**
 * What the words themselves say of each condition, by the words of its entry, beside the signs that they were read as: a weak voice, by naive
 * Bayes on the words of the library's own prose in place of counted ones (Maron 1961), with a ceiling. The more words there are, the less each
 * of them says: they repeat one another.
 *
 * @param said - words that made no reading, and those that did, which count less since their signs count too
 * @param first - a cause that is hardly doubted: words that it explains say little for another beside it
 * @returns log odds, 0 to 5, for the conditions that any of the words fits
 */
export function hintsFrom(
  said: { readonly unread: Iterable<SaidWord>; readonly read: Iterable<SaidWord> },
  { holders, rarity }: EntryWords,
  first?: string,
): Map<string, number> {
  const words = new Map<string, SaidWord & { readonly counts: number }>();
  for (const word of said.read) words.set(word.stem, { ...word, counts: readShare });
  for (const word of said.unread) words.set(word.stem, { ...word, counts: 1 });
  const sums = new Map<string, number>();
  for (const { stem, part, counts } of words.values()) {
    const told = new Map<string, number>();
    const tell = (word: string, weight: number) => {
      for (const [id, share] of holders.get(word) ?? []) told.set(id, Math.max(told.get(id) ?? 0, weight * share * rarity(word)));
    };
    tell(stem, part ? otherPart : 1);
    if (part) tell(saidOf(part, stem), 1);
    const explained = first !== undefined && (holders.get(part ? saidOf(part, stem) : stem)?.get(first) ?? 0) > explainedFrom;
    for (const [id, weight] of told) sums.set(id, (sums.get(id) ?? 0) + counts * weight * (explained && id !== first ? explainedShare : 1));
  }
  const weight = each * Math.min(mostOfFew, Math.sqrt(usualWords / words.size));
  return new Map([...sums].map(([id, sum]) => [id, Math.min(most, weight * sum)]));
}
