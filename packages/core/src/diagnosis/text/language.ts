/// <reference path="./snowball.d.ts" />
import snowball from 'snowball-stemmers';
import type { Onset } from '../onset.js';

/** How one language is written: data, so that another language is another file. */
export interface LanguageFacts {
  /** two letters (ISO 639-1) */
  readonly id: string;
  /** a Snowball stemmer's name, such as "english" */
  readonly stemmer: string;
  /** words that a phrase may skip, parted by blanks */
  readonly fillers: string;
  /** words of any letter, parted by blanks: none is taken for a slip, and by itself none speaks for a sign */
  readonly ordinary: string;
  readonly clauseBreaks: readonly string[];
  /** words that join; before one of `clauseStarts` they begin a new clause ("and have"), else they go on with a list ("webs and dots") */
  readonly joiners: readonly string[];
  readonly clauseStarts: readonly string[];
  readonly negations: readonly string[];
  /** words after which a negation denies nothing ("not only") */
  readonly softeners: readonly string[];
  /** a word and those that mean the same to a grower */
  readonly same: Readonly<Record<string, readonly string[]>>;
  readonly onset: Readonly<Record<Onset, readonly string[]>>;
  /** this language's own words for signs and hosts, by id; English stands with the entries */
  readonly signs?: Readonly<Record<string, readonly string[]>> | undefined;
  readonly hosts?: Readonly<Record<string, readonly string[]>> | undefined;
}

/** A language made ready for reading. */
export interface Language {
  readonly fillers: ReadonlySet<string>;
  readonly ordinary: ReadonlySet<string>;
  readonly clauseBreaks: ReadonlySet<string>;
  readonly joiners: ReadonlySet<string>;
  readonly clauseStarts: ReadonlySet<string>;
  readonly negations: ReadonlySet<string>;
  readonly softeners: ReadonlySet<string>;
  /** the stem of a folded word, after like-meaning words have become one */
  readonly stemOf: (word: string) => string;
}

/**
 * Make a language ready for reading.
 *
 * Stems by the Snowball algorithms (Porter 2001), after words of one meaning have become one.
 *
 * @throws RangeError if there is no such stemmer
 */
export function readyLanguage(facts: LanguageFacts): Language {
  const stemmer = stemmerOf(facts.stemmer);
  const meaning = new Map(Object.entries(facts.same).flatMap(([word, same]) => same.map((other) => [other, word] as const)));
  const stems = new Map<string, string>();
  const stemOf = (word: string) => {
    const known = stems.get(word);
    if (known !== undefined) return known;
    // "fluffy", "powdery" and "rusty" mean what "fluff", "powder" and "rust" do.
    const stem = stemmer.stem(meaning.get(word) ?? word).replace(/(?<=.{3})i$/, '');
    stems.set(word, stem);
    return stem;
  };
  const clauseBreaks = new Set(facts.clauseBreaks);
  return {
    fillers: new Set([...facts.fillers.split(/\s+/), ...clauseBreaks]),
    ordinary: new Set(facts.ordinary.split(/\s+/)),
    clauseBreaks,
    joiners: new Set(facts.joiners),
    clauseStarts: new Set(facts.clauseStarts),
    negations: new Set(facts.negations),
    softeners: new Set(facts.softeners),
    stemOf,
  };
}

function stemmerOf(name: string) {
  try {
    return snowball.newStemmer(name);
  } catch (cause) {
    throw new RangeError(`readyLanguage requires the name of a Snowball stemmer, got ${name}`, { cause });
  }
}
