import type { Lexicon, Meaning, Phrase } from './lexicon.js';
import { anyPart, partsMeant } from './partsMeant.js';
import type { PlantTold } from './plantTold.js';
import type { Scope } from './scopes.js';
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
  /** words of a sign that stand close together and make none of its phrases */
  readonly loose?: boolean;
}

// A phrase may be stretched by this many words that do not belong to it.
const slack = 3;
// Words of one sign count together within this many content words.
const window = 7;
// What words that make no phrase must weigh together to count as a reading, and how much less than a phrase they count where none stand between.
const enoughWeight = 5.5;
const looseShare = 0.6;

// A sign that nothing on this host shows is the less likely meaning of doubtful words, and seldom what was meant.
const unexpectedShare = 0.65;
const unexpectedSure = 0.15;
// Among those that are shown here, the more usual one is preferred by up to this share.
const usualWeight = 0.4;
const middling = 0.5;
// A reading from nothing but words that were put right is this much less sure: they may be of another language, or mean something else.
const correctedSure = 0.3;
// Among loose words such a word weighs this much.
const correctedShare = 0.4;
// Log odds that a match is what was meant: so much to begin with, and so much for each point of its score. Fitted by eye to the readings of
// the tuning descriptions: a score of 3 is right 3 times in 10, of 5 6 in 10, of 7 9 in 10, of 10 and more 98 in 100; unexpected ones were
// never right.
// The more words there are, the more of them fit something by accident.
const sureness = { start: -3, each: 0.7, short: 0.8, usualWords: 12, manyWords: 48 };

// A reading that goes on over a comma is this much weaker, and only words that stand close together may.
const overComma = 0.7;
const commaSlack = 1;
// A guess, or a question, is sure in this share of what a statement is.
const guessedSure = 0.4;
// Said of one part of the plant, a sign of another is hardly meant.
const otherPart = { score: 0.6, sure: 0.3 };

// What is less sure than this is not worth a question to the grower: its words may serve another reading.
const leastSure = 0.05;

/**
 * Every reading that a text allows, whole phrases and loose words, strongest first. They may contradict each other.
 *
 * @param plant - the plant that the text is about; without one all signs are alike
 */
export function findMatches(tokens: readonly Token[], scopes: readonly Scope[], lexicon: Lexicon, plant?: PlantTold): Match[] {
  const content = tokens.flatMap((token, i) => (lexicon.language.fillers.has(token.word) ? [] : [i]));
  const positions = indexByStem(tokens, content);
  const all = indexByStem(tokens, tokens.keys());
  if (plant?.crop) for (const i of cropNames(tokens, lexicon, plant)) positions.set(plant.crop, [...(positions.get(plant.crop) ?? []), i]);
  const whole = lexicon.phrases.flatMap((phrase) =>
    findPhrase(phrase, tokens, scopes, onlyFillers(phrase, positions) ? all : positions, lexicon),
  );
  const telling = content.filter((i) => !plant?.ownNames.has(tokens[i]!.stem));
  // Weather and care are no signs, though words of a sign may stand among them ("heat wave").
  const circumstances = new Set(whole.filter(({ meaning }) => meaning.kind === 'event').flatMap(({ at }) => at));
  const loose = findLoose(tokens, scopes, telling, lexicon).filter(({ at }) => at.some((i) => !circumstances.has(i)));
  return [...whole, ...loose]
    .map((match) => (plant ? withoutOwnName(match, tokens, lexicon, plant) : match))
    .filter(({ at }) => isTold(at, tokens, scopes, lexicon))
    .map((match) =>
      weighed(match, tokens, plant && match.meaning.kind === 'sign' ? plant.usual.get(match.meaning.id) : middling, content.length),
    )
    .map((match) => inScope(match, tokens, scopes, lexicon))
    .filter(({ meaning, sure }) => meaning.kind !== 'sign' || sure >= leastSure)
    .sort((a, b) => b.score - a.score || a.at[0]! - b.at[0]!);
}

/** Where the plant's name stands for what is gathered of it: "maggots in my plums". */
function cropNames(tokens: readonly Token[], { language }: Lexicon, { ownNames }: PlantTold): number[] {
  return [...tokens.keys()].filter(
    (i) =>
      ownNames.has(tokens[i]!.stem) &&
      [1, 2].some((back) => language.within.has(tokens[i - back]?.word ?? '') && tokens[i - back]!.clause === tokens[i]!.clause),
  );
}

/** The name of the plant in question is in every text about it, and adds nothing to what the other words tell. */
function withoutOwnName(
  match: Omit<Match, 'sure'>,
  tokens: readonly Token[],
  { rarity }: Lexicon,
  { ownNames }: PlantTold,
): Omit<Match, 'sure'> {
  if (match.meaning.kind !== 'sign') return match;
  const [own, others] = [true, false].map((wanted) =>
    match.at
      .map((i) => tokens[i]!.stem)
      .filter((stem) => ownNames.has(stem) === wanted)
      .reduce((sum, stem) => sum + rarity(stem), 0),
  ) as [number, number];
  return own === 0 || others === 0 ? match : { ...match, score: (match.score * others) / (own + others) };
}

function weighed(match: Omit<Match, 'sure'>, tokens: readonly Token[], usual: number | undefined, words: number): Match {
  const slips = match.at.filter((i) => tokens[i]!.corrected).length;
  const sure =
    correctedSure ** (slips / match.at.length) /
    (1 +
      Math.exp(
        -sureness.start -
          sureness.each * match.score -
          sureness.short * Math.log(sureness.usualWords / Math.min(sureness.manyWords, Math.max(2, words))),
      ));
  if (usual === 0) return { ...match, score: 0, sure: 0 };
  if (usual === undefined) return { ...match, score: match.score * unexpectedShare, sure: sure * unexpectedSure };
  return { ...match, score: match.score * (1 + usualWeight * (usual - middling)), sure };
}

/** False for words that show nothing where they stand, unless it is their own phrase that says so ("stays small but healthy"). */
const isTold = (at: readonly number[], tokens: readonly Token[], scopes: readonly Scope[], { language }: Lexicon) =>
  at.some((i) => !scopes[i]!.quiet || language.wellness.has(tokens[i]!.word) || language.negations.has(tokens[i]!.word));

function inScope(match: Match, tokens: readonly Token[], scopes: readonly Scope[], { language, partOf }: Lexicon): Match {
  const { meaning, at } = match;
  const guessed = at.some((i) => scopes[i]!.guessed) ? guessedSure : 1;
  if (meaning.kind !== 'sign') return { ...match, sure: match.sure * guessed };
  const part = partOf.get(meaning.id);
  const topic = scopes[at[at.length - 1]!]!.topic;
  const fits = !part || !topic || anyPart.includes(part) || (partsMeant[topic]?.includes(part) ?? true);
  const namesPart = at.some((i) => partsMeant[language.parts.get(tokens[i]!.word) ?? '']?.includes(part ?? ''));
  if (fits || namesPart) return { ...match, sure: match.sure * guessed };
  return { ...match, score: match.score * otherPart.score, sure: match.sure * guessed * otherPart.sure };
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
  scopes: readonly Scope[],
  positions: ReadonlyMap<string, readonly number[]>,
  lexicon: Lexicon,
): Omit<Match, 'sure'>[] {
  if (!phrase.stems.every((stem) => positions.has(stem))) return [];
  const denies = (stem: string) => lexicon.denials.has(stem);
  const rarest = [...phrase.stems].sort((a, b) => positions.get(a)!.length - positions.get(b)!.length)[0]!;
  return positions.get(rarest)!.flatMap((anchor) => {
    const at = gather(phrase, anchor, tokens, positions);
    const span = at ? contentSpan(at, tokens, phrase.stems, lexicon) : Infinity;
    const commas = at ? new Set(at.map((i) => tokens[i]!.clause)).size - 1 : 0;
    if (!at || span > phrase.stems.length + (commas > 0 ? commaSlack : slack)) return [];
    // Words of any letter mean a sign only where they stand together.
    if (span > phrase.stems.length && phrase.stems.every((stem) => lexicon.ordinary.has(stem))) return [];
    if (at.some((i) => denies(tokens[i]!.stem)) && span > phrase.stems.length) return [];
    if (commas > 0 && new Set(at.map((i) => scopes[i]!.negators.join())).size > 1) return [];
    return [{ meaning: phrase.meaning, at, score: ((phrase.weight * phrase.stems.length) / span) * overComma ** commas }];
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
function findLoose(
  tokens: readonly Token[],
  scopes: readonly Scope[],
  content: readonly number[],
  { hints }: Lexicon,
): Omit<Match, 'sure'>[] {
  const best = new Map<string, Omit<Match, 'sure'>>();
  content.forEach((first, c) => {
    const sums = new Map<string, { weight: number; at: number[]; stems: Set<string>; span: number }>();
    for (const [k, i] of content.slice(c, c + window).entries()) {
      const { stem, sentence, corrected } = tokens[i]!;
      if (sentence !== tokens[first]!.sentence || scopes[i]!.negators.join() !== scopes[first]!.negators.join()) break;
      for (const { sign, weight } of hints.get(stem) ?? []) {
        const sum = sums.get(sign) ?? { weight: 0, at: [], stems: new Set(), span: 0 };
        sums.set(sign, sum);
        if (sum.stems.has(stem)) continue;
        sum.stems.add(stem);
        sum.at.push(i);
        sum.span = k + 1;
        sum.weight += corrected ? weight * correctedShare : weight;
      }
    }
    for (const [sign, { weight, at, span }] of sums) {
      if (at.length < 2 || weight < enoughWeight || at[0] !== first) continue;
      const score = (weight * looseShare * at.length) / span;
      const known = best.get(`${sign} ${at[0]}`);
      if (!known || known.score < score) best.set(`${sign} ${at[0]}`, { meaning: { kind: 'sign', id: sign }, at, score, loose: true });
    }
  });
  return [...best.values()];
}
