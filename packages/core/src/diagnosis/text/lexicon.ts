import type { Knowledge } from '../knowledge.js';
import type { Onset } from '../onset.js';
import type { Kin } from './kinOfSigns.js';
import { kinOfSigns } from './kinOfSigns.js';
import type { Language } from './language.js';
import { readyLanguage } from './language.js';
import { contentStems } from './tokens.js';

/** What a phrase means when it is found in a text. */
export type Meaning =
  | { readonly kind: 'sign'; readonly id: string }
  | { readonly kind: 'host'; readonly id: string }
  | { readonly kind: 'event'; readonly id: string }
  | { readonly kind: 'onset'; readonly id: Onset };

export interface Phrase {
  readonly stems: readonly string[];
  readonly meaning: Meaning;
  /** how much the phrase tells: rare words weigh more */
  readonly weight: number;
}

/** One sign that a stem speaks for, and how strongly. */
export interface Hint {
  readonly sign: string;
  readonly weight: number;
}

export interface Lexicon {
  readonly language: Language;
  readonly phrases: readonly Phrase[];
  /** stem → the signs whose words hold it */
  readonly hints: ReadonlyMap<string, readonly Hint[]>;
  readonly vocabulary: ReadonlySet<string>;
  /** how much a stem tells: 0 for one that every sign shares */
  readonly rarity: (stem: string) => number;
  /** stems that many signs share (leaf, brown, spot): they may serve two readings at once */
  readonly generic: ReadonlySet<string>;
  /** sign → the part of the plant that it is on; animals are left out, since they walk */
  readonly partOf: ReadonlyMap<string, string>;
  /** words of any letter, as stems */
  readonly ordinary: ReadonlySet<string>;
  /** negations, as stems */
  readonly denials: ReadonlySet<string>;
  /** sign → those that are told in much the same words */
  readonly kin: ReadonlyMap<string, readonly Kin[]>;
  /** what is told of an event in one word, or in words of any letter, so that only the very words mean it ("hail", "put outside") */
  readonly literal: readonly { readonly words: readonly string[]; readonly event: string }[];
}

// From this many signs on, a word is one that many share.
const genericFrom = 6;
// A word that stands in this many of a sign's own phrases is at its core.
const coreFrom = 3;

// A single word is a sign's phrase when no more signs than these use it, or when it is at this one's core.
const singleUpTo = 3;
const ownFrom = 2;

interface Entry {
  readonly stems: readonly string[];
  /** more words stood there; the fillers among them were left out */
  readonly cut: boolean;
  readonly meaning: Meaning;
}

/**
 * Build the reader's dictionary from the signs' lay words and the hosts' names.
 *
 * A word's weight is its rarity, log(1 + meanings / meanings that hold it): inverse document frequency (Spärck Jones 1972).
 *
 * @param languageId - which of the knowledge's languages to read; the first by default
 */
export function buildLexicon({ signs, hosts, languages }: Pick<Knowledge, 'signs' | 'hosts' | 'languages'>, languageId?: string): Lexicon {
  const facts = languages.find(({ id }) => id === languageId) ?? languages[0]!;
  const language = readyLanguage(facts);
  const entry = (words: string, meaning: Meaning): Entry => {
    const stems = contentStems(words, language);
    return { stems, cut: words.trim().includes(' '), meaning };
  };
  const events = Object.entries(facts.events ?? {}).flatMap(([id, phrases]) => phrases.map((text) => ({ id, text })));
  const ordinary = new Set([...language.ordinary].map(language.stemOf));
  const isLiteral = ({ text }: { text: string }) => {
    const stems = contentStems(text, language);
    return stems.length === 1 || stems.every((stem) => ordinary.has(stem));
  };
  const entries: Entry[] = [
    ...signs.flatMap(({ id, name, words }) =>
      [name, ...words, ...(facts.signs?.[id] ?? [])].map((text) => entry(text, { kind: 'sign', id })),
    ),
    ...hosts.flatMap(({ id, name, names }) =>
      [name, ...names, ...(facts.hosts?.[id] ?? [])].map((text) => entry(text, { kind: 'host', id })),
    ),
    ...events.filter((one) => !isLiteral(one)).map(({ text, id }) => entry(text, { kind: 'event', id })),
    ...Object.entries(facts.onset).flatMap(([id, phrases]) => phrases.map((text) => entry(text, { kind: 'onset', id: id as Onset }))),
  ];
  // How many plants the library knows makes no word of a sign more or less telling.
  const telling = entries.filter(({ meaning }) => meaning.kind === 'sign' || meaning.kind === 'onset');
  const owners = ownersByStem(telling);
  const meanings = new Set(telling.map(({ meaning }) => meaning.kind + meaning.id)).size;
  const rarity = (stem: string) => Math.log(1 + meanings / (owners.get(stem)?.size ?? 1));
  const generic = new Set([...owners].filter(([, own]) => own.size >= genericFrom).map(([stem]) => stem));
  // "Nothing came up" holds no word of its own but a denial, "small plants" nothing but "small", "washed out" nothing but "wash": they would be
  // found everywhere.
  const denials = new Set([...language.negations].map(language.stemOf));
  const inPhrases = countInPhrases(entries);
  const animals = new Set(signs.filter(({ drawing }) => drawing?.organ === 'creature').map(({ id }) => id));
  const isOwn = (stem: string, sign: string) =>
    !ordinary.has(stem) && (owners.get(stem)!.size <= singleUpTo || inPhrases.get(stem)!.get(sign)! >= ownFrom);
  const tellsNothing = (stem: string) => generic.has(stem) || ordinary.has(stem);
  const phrases = entries
    .filter(({ stems, meaning, cut }) => {
      if (stems.every((stem) => denials.has(stem))) return false;
      if (stems.length > 1) return true;
      return meaning.kind === 'sign' ? isOwn(stems[0]!, meaning.id) : !(cut && tellsNothing(stems[0]!));
    })
    .map(({ stems, meaning }) => ({ stems, meaning, weight: stems.reduce((sum, stem) => sum + rarity(stem), 0) }));
  return {
    language,
    phrases,
    hints: hintsByStem(inPhrases, rarity, new Set([...denials, ...ordinary])),
    rarity,
    vocabulary: new Set(entries.flatMap(({ stems }) => stems)),
    generic,
    partOf: new Map(signs.filter(({ id }) => !animals.has(id)).map(({ id, part }) => [id, part])),
    ordinary,
    denials,
    kin: kinOfSigns(inPhrases, (sign) => animals.has(sign)),
    literal: events.filter(isLiteral).map(({ text, id }) => ({ words: text.split(' '), event: id })),
  };
}

function ownersByStem(entries: readonly Entry[]): Map<string, Set<string>> {
  const owners = new Map<string, Set<string>>();
  for (const { stems, meaning } of entries)
    for (const stem of stems) owners.set(stem, (owners.get(stem) ?? new Set()).add(meaning.kind + meaning.id));
  return owners;
}

/** In how many phrases of each sign a stem stands. */
function countInPhrases(entries: readonly Entry[]): Map<string, Map<string, number>> {
  const counts = new Map<string, Map<string, number>>();
  for (const { stems, meaning } of entries) {
    if (meaning.kind !== 'sign') continue;
    for (const stem of stems) {
      const own = counts.get(stem) ?? new Map<string, number>();
      counts.set(stem, own.set(meaning.id, (own.get(meaning.id) ?? 0) + 1));
    }
  }
  return counts;
}

/** What single words speak for. A word of any letter speaks for nothing by itself, nor does a denial: what it denies is found by its scope. */
function hintsByStem(
  counts: ReadonlyMap<string, ReadonlyMap<string, number>>,
  rarity: (stem: string) => number,
  silent: ReadonlySet<string>,
): Map<string, Hint[]> {
  return new Map(
    [...counts]
      .filter(([stem]) => !silent.has(stem))
      .map(([stem, own]) => [
        stem,
        [...own].map(([sign, count]) => ({ sign, weight: rarity(stem) * (0.5 + 0.5 * Math.min(1, count / coreFrom)) })),
      ]),
  );
}
