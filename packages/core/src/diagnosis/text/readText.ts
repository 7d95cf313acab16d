import type { Finding, Onset } from '../knowledge.js';
import { correctTypo } from './correctTypo.js';
import type { Lexicon, Phrase } from './lexicon.js';
import { fillers, tokenise } from './tokens.js';
import type { Token } from './tokens.js';

/** One reading of a text, with the words it came from. */
export interface Reading extends Finding {
  readonly phrase: string;
}

export interface TextReading {
  readonly read: readonly Reading[];
  readonly hosts: readonly { readonly host: string; readonly phrase: string }[];
  readonly onset?: Onset;
  /** words that carried no meaning for the reader, in order */
  readonly unread: readonly string[];
}

const negations = new Set(['no', 'not', 'never', 'without', 'none', 'neither', 'nor', 'nothing', 'lacking', 'absent']);
// A phrase may be stretched by this many words that do not belong to it.
const slack = 3;

/**
 * Read what a grower wrote into findings.
 *
 * Phrases of the lexicon are sought in each sentence, the most telling and tightest first, words in any order within a short window; a word serves one reading only,
 * unless it is generic (leaf, brown). A negation turns every reading after it in the clause to "absent". Nothing is guessed: what was not
 * understood is given back.
 *
 * @param text - up to some thousands of words
 * @example
 * readText('sticky leaves but no webs', lexicon).read
 * // => [{ sign: 'sticky-leaves', state: 'seen', phrase: 'sticky leaves' }, { sign: 'leaf-webbing', state: 'absent', phrase: 'no webs' }]
 */
export function readText(text: string, lexicon: Lexicon): TextReading {
  const tokens = correctTokens(tokenise(text), lexicon);
  const used = new Set<number>();
  const positions = indexByStem(tokens);
  const matches = lexicon.phrases.flatMap((phrase) => findPhrase(phrase, tokens, positions)).sort((a, b) => b.score - a.score);
  const kept = matches.filter(({ at }) => {
    const fresh = isFresh(at, tokens, used, lexicon);
    if (fresh) at.forEach((i) => used.add(i));
    return fresh;
  });
  const read: Reading[] = [];
  const hosts: { host: string; phrase: string }[] = [];
  let onset: Onset | undefined;
  for (const { phrase, at } of kept.sort((a, b) => a.at[0]! - b.at[0]!)) {
    const words = wordsBetween(text, tokens, at);
    if (phrase.meaning.kind === 'host') hosts.push({ host: phrase.meaning.id, phrase: words });
    else if (phrase.meaning.kind === 'onset') onset ??= phrase.meaning.id;
    else addReading(read, phrase.meaning.id, negatorBefore(tokens, at, phrase), words, text, tokens, used);
  }
  const unread = tokens.filter(({ word }, i) => !used.has(i) && !fillers.has(word) && !/^\d+$/.test(word)).map(({ word }) => word);
  return { read, hosts, ...(onset && { onset }), unread: [...new Set(unread)] };
}

interface Match {
  readonly phrase: Phrase;
  /** positions of its tokens, ascending */
  readonly at: readonly number[];
  /** weight of the phrase, less for words that lie between */
  readonly score: number;
}

function correctTokens(tokens: readonly Token[], { vocabulary }: Lexicon): Token[] {
  return tokens.map((token) => {
    if (vocabulary.has(token.stem) || fillers.has(token.word) || negations.has(token.word)) return token;
    return { ...token, stem: correctTypo(token.stem, vocabulary) ?? token.stem };
  });
}

function indexByStem(tokens: readonly Token[]): Map<string, number[]> {
  const positions = new Map<string, number[]>();
  tokens.forEach(({ stem }, i) => positions.set(stem, [...(positions.get(stem) ?? []), i]));
  return positions;
}

function findPhrase(phrase: Phrase, tokens: readonly Token[], positions: ReadonlyMap<string, readonly number[]>): Match[] {
  if (!phrase.stems.every((stem) => positions.has(stem))) return [];
  const rarest = [...phrase.stems].sort((a, b) => positions.get(a)!.length - positions.get(b)!.length)[0]!;
  return positions.get(rarest)!.flatMap((anchor) => {
    const at = gather(phrase, anchor, tokens, positions);
    const span = at ? contentSpan(at, tokens, phrase) : Infinity;
    if (!at || span > phrase.stems.length + slack) return [];
    return [{ phrase, at, score: (phrase.weight * phrase.stems.length) / span }];
  });
}

/** Words from the first to the last of a match; fillers between cost nothing. */
function contentSpan(at: readonly number[], tokens: readonly Token[], { stems }: Phrase): number {
  return tokens.slice(at[0], at[at.length - 1]! + 1).filter(({ word, stem }) => !fillers.has(word) || stems.includes(stem)).length;
}

/** For each stem of the phrase the nearest token to the anchor within the window and the sentence; `undefined` if one is missing. */
function gather(
  phrase: Phrase,
  anchor: number,
  tokens: readonly Token[],
  positions: ReadonlyMap<string, readonly number[]>,
): number[] | undefined {
  const reach = phrase.stems.length + slack - 1;
  const at: number[] = [];
  for (const stem of phrase.stems) {
    const near = positions
      .get(stem)!
      .filter((i) => Math.abs(i - anchor) <= reach && tokens[i]!.sentence === tokens[anchor]!.sentence)
      .sort((a, b) => Math.abs(a - anchor) - Math.abs(b - anchor))[0];
    if (near === undefined) return undefined;
    at.push(near);
  }
  return at.sort((a, b) => a - b);
}

/** True when no telling word of the match already serves another reading, and what is new tells something by itself. */
function isFresh(at: readonly number[], tokens: readonly Token[], used: ReadonlySet<number>, { generic }: Lexicon): boolean {
  const isGeneric = (i: number) => generic.has(tokens[i]!.stem);
  const taken = at.filter((i) => used.has(i));
  const fresh = at.filter((i) => !used.has(i));
  return taken.every(isGeneric) && (taken.length === 0 || fresh.length > 1 || (fresh.length === 1 && !isGeneric(fresh[0]!)));
}

/** Position of the negation that governs a match: before it, in its clause, and not part of the phrase itself. */
function negatorBefore(tokens: readonly Token[], at: readonly number[], phrase: Phrase): number | undefined {
  const last = at[at.length - 1]!;
  const clause = tokens[last]!.clause;
  for (let i = last; i >= 0 && tokens[i]!.clause === clause; i--) {
    if (negations.has(tokens[i]!.word) && !at.includes(i) && !phrase.stems.includes(tokens[i]!.stem)) return i;
  }
  return undefined;
}

function addReading(
  read: Reading[],
  sign: string,
  negator: number | undefined,
  words: string,
  text: string,
  tokens: readonly Token[],
  used: Set<number>,
): void {
  if (negator !== undefined) used.add(negator);
  if (read.some((earlier) => earlier.sign === sign)) return;
  const phrase = negator === undefined ? words : `${text.slice(tokens[negator]!.start, tokens[negator]!.end)} ${words}`;
  read.push({ sign, state: negator === undefined ? 'seen' : 'absent', phrase });
}

const wordsBetween = (text: string, tokens: readonly Token[], at: readonly number[]) =>
  text.slice(tokens[at[0]!]!.start, tokens[at[at.length - 1]!]!.end).replace(/\s+/g, ' ');
