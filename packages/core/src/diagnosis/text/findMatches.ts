import type { Lexicon, Meaning, Phrase } from './lexicon.js';
import type { Token } from './tokens.js';

/** A meaning found in a text, and the words that carry it. */
export interface Match {
  readonly meaning: Meaning;
  /** positions of its tokens, ascending */
  readonly at: readonly number[];
  /** weight of the words, less for words that lie between */
  readonly score: number;
  /** chance that this is what was meant, 0 to 1 */
  readonly sure: number;
}

// A phrase may be stretched by this many words that do not belong to it.
const slack = 3;
// Words of one sign count together within this many content words.
const window = 7;
// What words that make no phrase must weigh together to count as a reading, and how much less they then count than a phrase.
const enoughWeight = 5.5;
const looseShare = 0.55;

// A sign that nothing on this host shows is the less likely meaning of doubtful words, and seldom what was meant.
const unexpectedShare = 0.65;
const unexpectedSure = 0.15;
// Among those that are shown here, the more usual one is preferred by up to this share.
const usualWeight = 0.4;
const middling = 0.5;
// A reading from nothing but words that were put right is this much less sure: they may be of another language, or mean something else.
const correctedSure = 0.3;
// Log odds that a match is what was meant: so much to begin with, and so much for each point of its score. Fitted by eye to the readings of
// the tuning descriptions: a score of 3 is right 3 times in 10, of 5 6 in 10, of 7 9 in 10, of 10 and more 98 in 100; unexpected ones were
// never right.
const sureness = { start: -3, each: 0.7 };

// What is less sure than this is not worth a question to the grower: its words may serve another reading.
const leastSure = 0.05;

/**
 * Every reading that a text allows, whole phrases and loose words, strongest first. They may contradict each other.
 *
 * @param usual - how usual the signs are that something on the host in question shows, 0 to 1; all signs are alike when it is not given
 */
export function findMatches(tokens: readonly Token[], lexicon: Lexicon, usual?: ReadonlyMap<string, number>): Match[] {
  const content = tokens.flatMap((token, i) => (lexicon.language.fillers.has(token.word) ? [] : [i]));
  const positions = indexByStem(tokens, content);
  const all = indexByStem(tokens, tokens.keys());
  const whole = lexicon.phrases.flatMap((phrase) => findPhrase(phrase, tokens, onlyFillers(phrase, positions) ? all : positions, lexicon));
  return [...whole, ...findLoose(tokens, content, lexicon)]
    .map((match) => weighed(match, tokens, usual && match.meaning.kind === 'sign' ? usual.get(match.meaning.id) : middling))
    .filter(({ meaning, sure }) => meaning.kind !== 'sign' || sure >= leastSure)
    .sort((a, b) => b.score - a.score || a.at[0]! - b.at[0]!);
}

function weighed(match: Omit<Match, 'sure'>, tokens: readonly Token[], usual: number | undefined): Match {
  const slips = match.at.filter((i) => tokens[i]!.corrected).length;
  const sure = correctedSure ** (slips / match.at.length) / (1 + Math.exp(-sureness.start - sureness.each * match.score));
  if (usual === undefined) return { ...match, score: match.score * unexpectedShare, sure: sure * unexpectedSure };
  return { ...match, score: match.score * (1 + usualWeight * (usual - middling)), sure };
}

function indexByStem(tokens: readonly Token[], at: Iterable<number>): Map<string, number[]> {
  const positions = new Map<string, number[]>();
  for (const i of at) {
    const { stem } = tokens[i]!;
    const known = positions.get(stem);
    if (known) known.push(i);
    else positions.set(stem, [i]);
  }
  return positions;
}

/** A phrase of nothing but small words ("a few") is sought among the small words too. */
const onlyFillers = ({ meaning }: Phrase, positions: ReadonlyMap<string, unknown>) => meaning.kind === 'onset' && positions.size > 0;

function findPhrase(
  phrase: Phrase,
  tokens: readonly Token[],
  positions: ReadonlyMap<string, readonly number[]>,
  lexicon: Lexicon,
): Omit<Match, 'sure'>[] {
  if (!phrase.stems.every((stem) => positions.has(stem))) return [];
  const rarest = [...phrase.stems].sort((a, b) => positions.get(a)!.length - positions.get(b)!.length)[0]!;
  return positions.get(rarest)!.flatMap((anchor) => {
    const at = gather(phrase, anchor, tokens, positions);
    const span = at ? contentSpan(at, tokens, phrase.stems, lexicon) : Infinity;
    if (!at || span > phrase.stems.length + slack) return [];
    return [{ meaning: phrase.meaning, at, score: (phrase.weight * phrase.stems.length) / span }];
  });
}

/** Words from the first to the last of a match; fillers between cost nothing. */
function contentSpan(at: readonly number[], tokens: readonly Token[], stems: readonly string[], { language }: Lexicon): number {
  return tokens.slice(at[0], at[at.length - 1]! + 1).filter(({ word, stem }) => !language.fillers.has(word) || stems.includes(stem)).length;
}

/** For each stem of the phrase the nearest token to the anchor within reach and the sentence; `undefined` if one is missing. */
function gather(
  phrase: Phrase,
  anchor: number,
  tokens: readonly Token[],
  positions: ReadonlyMap<string, readonly number[]>,
): number[] | undefined {
  const reach = 2 * (phrase.stems.length + slack);
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

/** Signs of whose words several stand close together, in whatever order and with others between. */
function findLoose(tokens: readonly Token[], content: readonly number[], { hints }: Lexicon): Omit<Match, 'sure'>[] {
  const best = new Map<string, Omit<Match, 'sure'>>();
  content.forEach((first, c) => {
    const sums = new Map<string, { weight: number; at: number[]; stems: Set<string> }>();
    for (const i of content.slice(c, c + window)) {
      const { stem, clause } = tokens[i]!;
      if (clause !== tokens[first]!.clause) break;
      for (const { sign, weight } of hints.get(stem) ?? []) {
        const sum = sums.get(sign) ?? { weight: 0, at: [], stems: new Set() };
        sums.set(sign, sum);
        if (sum.stems.has(stem)) continue;
        sum.stems.add(stem);
        sum.at.push(i);
        sum.weight += weight;
      }
    }
    for (const [sign, { weight, at }] of sums) {
      if (at.length < 2 || weight < enoughWeight || at[0] !== first) continue;
      const score = weight * looseShare;
      const known = best.get(`${sign} ${at[0]}`);
      if (!known || known.score < score) best.set(`${sign} ${at[0]}`, { meaning: { kind: 'sign', id: sign }, at, score });
    }
  });
  return [...best.values()];
}
