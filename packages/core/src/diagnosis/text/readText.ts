import type { Finding } from '../knowledge.js';
import type { Onset } from '../onset.js';
import { correctTypo } from './correctTypo.js';
import { findMatches } from './findMatches.js';
import type { Match } from './findMatches.js';
import type { Lexicon } from './lexicon.js';
import type { PlantTold } from './plantTold.js';
import { scopesOf } from './scopes.js';
import type { Scope } from './scopes.js';
import { tokenise } from './tokens.js';
import type { Token } from './tokens.js';

/** One reading of a text, with the words it came from. */
export interface Reading extends Finding {
  readonly phrase: string;
  /** chance that this is what was meant, 0 to 1 */
  readonly sure: number;
  /** it came after what was told before it ("then", "later") */
  readonly later?: boolean;
}

/** A word that is told, and the part of the plant that it is said of, as far as one was named. */
export interface SaidWord {
  readonly stem: string;
  readonly part: string | undefined;
}

export interface TextReading {
  readonly read: readonly Reading[];
  /** readings that are too doubtful to be shown: they weigh a little all the same */
  readonly doubtful: readonly Reading[];
  readonly hosts: readonly { readonly host: string; readonly phrase: string }[];
  readonly onset?: Onset;
  /** what happened, weather and care, which are no signs */
  readonly events: readonly { readonly event: string; readonly phrase: string }[];
  /** words that carried no meaning for the reader, in order */
  readonly unread: readonly string[];
  /** stems of what is told and not denied: those that made no reading, and those that did */
  readonly stems: { readonly unread: readonly SaidWord[]; readonly read: readonly SaidWord[] };
}

// A sign that was read less surely than this is not told to the grower; one that was read from loose words must be surer, and surer still
// where a comma parts them.
const toldFrom = { phrase: 0.25, loose: 0.5, looseOverComma: 0.75 };
// What is left of a reading's sureness when the text also says the opposite.
const contradicted = 0.5;

/**
 * Read what a grower wrote into findings.
 *
 * Whole phrases of the lexicon and loose words of one sign are sought in each sentence, the most telling and tightest first; a word serves one
 * reading only, unless it is generic (leaf, brown). A negation turns every reading after it in the clause to "absent". Nothing is guessed: what
 * was not understood is given back.
 *
 * @param text - up to some thousands of words
 * @param plant - the plant that it is about: what is usual on it is the likelier meaning of doubtful words
 * @example
 * readText('sticky leaves but no webs', lexicon).read
 * // => [{ sign: 'sticky-leaves', state: 'seen', phrase: 'sticky leaves' }, { sign: 'leaf-webbing', state: 'absent', phrase: 'no webs' }]
 */
export function readText(text: string, lexicon: Lexicon, plant?: PlantTold): TextReading {
  const tokens = correctTokens(tokenise(text, lexicon.language), lexicon);
  const scopes = scopesOf(tokens, lexicon.language);
  const used = new Set<number>();
  const matches = findMatches(tokens, scopes, lexicon, plant);
  const events = eventsIn(text, tokens, scopes, matches, lexicon);
  const said = new Set<string>();
  const inSentence = ({ meaning, at }: Match) => `${meaning.id} ${tokens[at[0]!]!.sentence}`;
  // A sign that was read in a sentence is not read in it once more from words that lie about.
  const saysNoMore = (match: Match) => match.loose === true && said.has(inSentence(match));
  const kept = matches.filter((match) => {
    const { at, meaning } = match;
    const fresh =
      meaning.kind !== 'event' &&
      isFresh(at, tokens, used, lexicon) &&
      !saysNoMore(match) &&
      !canSpare(match, matches, used, lexicon, tokens);
    if (!fresh) return false;
    at.forEach((i) => used.add(i));
    if (meaning.kind === 'sign') said.add(inSentence(match));
    return true;
  });
  const laterFrom = tokens.findIndex((_, i) =>
    lexicon.language.later.some((words) => words.every((word, w) => tokens[i + w]?.word === word)),
  );
  const read: Reading[] = [];
  const enough = new Map<string, number>();
  const hosts: { host: string; phrase: string }[] = [];
  let onset: Onset | undefined;
  for (const { meaning, at, sure, loose } of kept.sort((a, b) => a.at[0]! - b.at[0]!)) {
    const words = wordsBetween(text, tokens, at);
    if (meaning.kind === 'host') hosts.push({ host: meaning.id, phrase: words });
    else if (meaning.kind === 'onset') onset ??= meaning.id;
    else if (meaning.kind === 'sign') {
      const negator = scopes[at[at.length - 1]!]!.negators.find((i) => !at.includes(i));
      if (negator !== undefined) used.add(negator);
      const state = negator === undefined ? 'seen' : 'absent';
      const known = read.findIndex(({ sign }) => sign === meaning.id);
      if (known >= 0) {
        // What is said and denied stays as it was said first, and is hardly sure; what is said again is surer.
        const before = read[known]!;
        read[known] = { ...before, sure: before.state === state ? 1 - (1 - before.sure) * (1 - sure) : before.sure * contradicted };
        continue;
      }
      const phrase =
        negator === undefined
          ? words
          : wordsBetween(
              text,
              tokens,
              [negator, ...at].sort((a, b) => a - b),
            );
      const later = laterFrom >= 0 && at[0]! > laterFrom;
      read.push({ sign: meaning.id, state, phrase, sure, ...(later && { later }) });
      if (loose) enough.set(meaning.id, new Set(at.map((i) => tokens[i]!.clause)).size > 1 ? toldFrom.looseOverComma : toldFrom.loose);
    }
  }
  // Who denies something has it in mind: only what is said to be there may be an accident of words.
  const isTold = ({ sign, state, sure }: Reading) => state === 'absent' || sure >= (enough.get(sign) ?? toldFrom.phrase);
  const toldWords = (at: readonly number[]): SaidWord[] =>
    at
      .filter((i) => !scopes[i]!.quiet && !scopes[i]!.guessed && scopes[i]!.negators.length === 0)
      .map((i) => ({ stem: tokens[i]!.stem, part: scopes[i]!.topic }));
  const left = [...tokens.keys()].filter(
    (i) => !used.has(i) && !lexicon.language.fillers.has(tokens[i]!.word) && !/^\d+$/.test(tokens[i]!.word),
  );
  return {
    read: read.filter(isTold),
    doubtful: read.filter((one) => !isTold(one)),
    hosts,
    events,
    ...(onset && { onset }),
    unread: [...new Set(left.map((i) => tokens[i]!.word))],
    stems: { unread: toldWords(left), read: toldWords([...used]) },
  };
}

function correctTokens(tokens: readonly Token[], { vocabulary, language }: Lexicon): Token[] {
  const corrected = new Map<string, string>();
  return tokens.map((token) => {
    if (vocabulary.has(token.stem) || [language.fillers, language.negations, language.ordinary].some((known) => known.has(token.word)))
      return token;
    const stem = corrected.get(token.stem) ?? correctTypo(token.stem, vocabulary) ?? token.stem;
    corrected.set(token.stem, stem);
    return stem === token.stem ? token : { ...token, stem, corrected: true };
  });
}

/** True when no telling word of the match already serves another reading, and what is new tells something by itself. */
function isFresh(at: readonly number[], tokens: readonly Token[], used: ReadonlySet<number>, { generic }: Lexicon): boolean {
  const isGeneric = (i: number) => generic.has(tokens[i]!.stem);
  const taken = at.filter((i) => used.has(i));
  const fresh = at.filter((i) => !used.has(i));
  return taken.every(isGeneric) && (taken.length === 0 || fresh.length > 1 || (fresh.length === 1 && !isGeneric(fresh[0]!)));
}

/**
 * Loose words of which some are needed elsewhere, and which tell the same without them: "orange dust below and white flies" are two things,
 * though dust is said of whiteflies too.
 */
function canSpare(
  { at, meaning, loose }: Match,
  matches: readonly Match[],
  used: ReadonlySet<number>,
  lexicon: Lexicon,
  tokens: readonly Token[],
): boolean {
  if (!loose || meaning.kind !== 'sign') return false;
  const same = matches.filter((one) => one.meaning.kind === 'sign' && one.meaning.id === meaning.id && one.sure >= toldFrom.loose);
  return matches.some((other) => {
    if (other.loose || other.meaning.kind !== 'sign' || other.meaning.id === meaning.id || other.sure < toldFrom.loose) return false;
    if (other.at.some((i) => used.has(i)) || other.at.every((i) => at.includes(i))) return false;
    if (isFresh(other.at, tokens, new Set([...used, ...at]), lexicon)) return false;
    return same.some((one) => one.at.every((i) => at.includes(i) && !other.at.includes(i)));
  });
}

/** Each event that is told and not denied, once. */
function eventsIn(
  text: string,
  tokens: readonly Token[],
  scopes: readonly Scope[],
  matches: readonly Match[],
  { language, literal }: Lexicon,
): TextReading['events'] {
  const found = matches.flatMap(({ meaning, at }) => (meaning.kind === 'event' ? [{ event: meaning.id, at: [...at] }] : []));
  tokens.forEach((_, i) => {
    for (const { words, event } of literal)
      if (words.every((word, w) => tokens[i + w]?.word === word && tokens[i + w]!.sentence === tokens[i]!.sentence))
        found.push({ event, at: words.map((_word, w) => i + w) });
  });
  const told = new Map<string, string>();
  for (const { event, at } of found) {
    const denied = scopes[at[at.length - 1]!]!.negators.some((i) => !at.includes(i) && language.negations.has(tokens[i]!.word));
    if (!denied && !told.has(event)) told.set(event, wordsBetween(text, tokens, at));
  }
  return [...told].map(([event, phrase]) => ({ event, phrase }));
}

const wordsBetween = (text: string, tokens: readonly Token[], at: readonly number[]) =>
  text.slice(tokens[at[0]!]!.start, tokens[at[at.length - 1]!]!.end).replace(/\s+/g, ' ');
