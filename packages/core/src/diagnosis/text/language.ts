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
  /** turns of speech that deny nothing and show nothing ("as if this was not enough", "no idea") */
  readonly idioms?: readonly string[] | undefined;
  /** what was not done after a negation, so that its clause says nothing of the plant ("not looked at the roots yet") */
  readonly looks?: readonly string[] | undefined;
  /** what parts what came first from what came after it ("then", "since last week") */
  readonly later?: readonly string[] | undefined;
  /** words of a guess ("my neighbour says", "could be"): what follows is hardly sure */
  readonly guesses?: readonly string[] | undefined;
  /** verbs that begin a question ("is it rust?"), which tells less than a statement */
  readonly askers?: readonly string[] | undefined;
  /** what is said of a part with nothing wrong ("stems are fine") */
  readonly wellness?: readonly string[] | undefined;
  /** verbs that join a part to how it is ("are", "look") */
  readonly copulas?: readonly string[] | undefined;
  /** the word for the sign before a number below zero */
  readonly minus: string;
  /** a part of the plant and its names: what is said after one is said of that part */
  readonly parts?: Readonly<Record<string, readonly string[]>> | undefined;
  /** what of a plant is gathered → the word for it: after one of `within` a plant's name means that ("maggots in my plums") */
  readonly crops?: Readonly<Record<string, string>> | undefined;
  readonly within?: readonly string[] | undefined;
  /** what happened, and weather, soil and care, as growers tell it: no signs, but they make some causes likelier */
  readonly events?: Readonly<Record<string, readonly string[]>> | undefined;
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
  readonly idioms: readonly (readonly string[])[];
  readonly looks: ReadonlySet<string>;
  readonly later: readonly (readonly string[])[];
  readonly guesses: readonly (readonly string[])[];
  readonly askers: ReadonlySet<string>;
  readonly wellness: ReadonlySet<string>;
  readonly copulas: ReadonlySet<string>;
  readonly minus: string;
  /** word → part of the plant */
  readonly parts: ReadonlyMap<string, string>;
  readonly crops: ReadonlyMap<string, string>;
  readonly within: ReadonlySet<string>;
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
  const sequences = (phrases: readonly string[] = []) => phrases.map((phrase) => phrase.split(' ')).sort((a, b) => b.length - a.length);
  return {
    fillers: new Set([...facts.fillers.split(/\s+/), ...clauseBreaks]),
    ordinary: new Set(facts.ordinary.split(/\s+/)),
    clauseBreaks,
    joiners: new Set(facts.joiners),
    clauseStarts: new Set(facts.clauseStarts),
    negations: new Set(facts.negations),
    softeners: new Set(facts.softeners),
    idioms: sequences(facts.idioms),
    looks: new Set(facts.looks),
    later: sequences(facts.later),
    guesses: sequences(facts.guesses),
    askers: new Set(facts.askers),
    wellness: new Set(facts.wellness),
    copulas: new Set(facts.copulas),
    minus: facts.minus,
    parts: new Map(Object.entries(facts.parts ?? {}).flatMap(([part, words]) => words.map((word) => [word, part] as const))),
    crops: new Map(Object.entries(facts.crops ?? {}).map(([crop, word]) => [crop, stemOf(word)])),
    within: new Set(facts.within),
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
