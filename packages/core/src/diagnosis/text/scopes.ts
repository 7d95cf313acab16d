import type { Language } from './language.js';
import type { Token } from './tokens.js';

/** How a word is meant where it stands. */
export interface Scope {
  /** positions of the negations that govern it, nearest first */
  readonly negators: readonly number[];
  /** it shows nothing: part of an idiom, of what was not looked at, or of a part that is well */
  readonly quiet: boolean;
  /** it is guessed or asked rather than told */
  readonly guessed: boolean;
  /** the part of the plant that is spoken of, as far as it was named in the sentence */
  readonly topic: string | undefined;
}

// A negated look counts when its verb follows this closely: "haven't dug", "not yet looked".
const lookReach = 2;

/**
 * How each word of a text is meant: what it is denied by, whether it is told, guessed or not spoken of the plant's trouble at all, and which
 * part of the plant it is said of.
 *
 * A negation governs what follows in its clause; at the very end of a clause it governs what stands before ("red edges no"), and standing
 * alone the clause before ("webs: none").
 */
export function scopesOf(tokens: readonly Token[], language: Language): Scope[] {
  const idle = coveredBy(tokens, language.idioms);
  const clauses = clausesOf(tokens);
  const topics = topicsOf(tokens, language);
  const scopes: Scope[] = [];
  clauses.forEach(({ from, to }, c) => {
    const isNegation = (i: number) =>
      language.negations.has(tokens[i]!.word) && !idle.has(i) && !language.softeners.has(tokens[i + 1]?.word ?? '');
    const quiet = isWell(tokens, from, to, language, idle) || isUnlooked(tokens, from, to, language, isNegation);
    const guessFrom = guessStart(tokens, from, to, language);
    const after = denialAfter(tokens, clauses[c + 1], language) ?? (to - from > 1 && isNegation(to - 1) ? to - 1 : undefined);
    const before: number[] = [];
    for (let i = from; i < to; i++) {
      if (isNegation(i)) before.unshift(i);
      const negators = after !== undefined && after !== i && !before.includes(after) ? [...before, after] : [...before];
      scopes.push({ negators, quiet: quiet || idle.has(i), guessed: i >= guessFrom, topic: topics[i] });
    }
  });
  return scopes;
}

interface Clause {
  readonly from: number;
  /** one past its last token */
  readonly to: number;
}

function clausesOf(tokens: readonly Token[]): Clause[] {
  const clauses: { from: number; to: number }[] = [];
  tokens.forEach(({ clause }, i) => {
    if (i > 0 && tokens[i - 1]!.clause === clause) clauses.at(-1)!.to = i + 1;
    else clauses.push({ from: i, to: i + 1 });
  });
  return clauses;
}

/** Positions of the tokens that any of the phrases covers, word for word. */
function coveredBy(tokens: readonly Token[], phrases: readonly (readonly string[])[]): Set<number> {
  const covered = new Set<number>();
  tokens.forEach((_, i) => {
    const phrase = phrases.find((words) => words.every((word, w) => tokens[i + w]?.word === word));
    phrase?.forEach((_, w) => covered.add(i + w));
  });
  return covered;
}

/** "None" or "no" that stands alone in the clause that follows in the same breath denies this one. */
function denialAfter(tokens: readonly Token[], next: Clause | undefined, { negations }: Language): number | undefined {
  if (!next || next.to - next.from !== 1 || !negations.has(tokens[next.from]!.word)) return undefined;
  return next.from > 0 && (tokens[next.from - 1]!.sentence === tokens[next.from]!.sentence || tokens[next.from - 1]!.asked)
    ? next.from
    : undefined;
}

/** A clause whose last word says that all is well, or that joins a part to such a word: "stems ok", "white petals look fine". */
function isWell(
  tokens: readonly Token[],
  from: number,
  to: number,
  { wellness, copulas, fillers }: Language,
  idle: ReadonlySet<number>,
): boolean {
  let last = to - 1;
  while (last > from && (idle.has(last) || (fillers.has(tokens[last]!.word) && !copulas.has(tokens[last]!.word)))) last--;
  if (last > from && wellness.has(tokens[last]!.word)) return true;
  for (let i = from + 1; i < to; i++) if (wellness.has(tokens[i]!.word) && copulas.has(tokens[i - 1]!.word)) return true;
  return false;
}

function isUnlooked(tokens: readonly Token[], from: number, to: number, { looks }: Language, isNegation: (i: number) => boolean): boolean {
  for (let i = from; i < to; i++)
    if (isNegation(i)) for (let j = i + 1; j < to && j <= i + lookReach; j++) if (looks.has(tokens[j]!.word)) return true;
  return false;
}

/** Where a guess or a question begins in a clause; past its end when nothing is guessed. */
function guessStart(tokens: readonly Token[], from: number, to: number, { guesses, askers }: Language): number {
  for (let i = from; i < to; i++) {
    if (guesses.some((words) => words.every((word, w) => tokens[i + w]?.word === word && i + w < to))) return i;
    if (i === from && tokens[i]!.asked && askers.has(tokens[i]!.word)) return i;
  }
  return to;
}

/** The part that each word is said of: named last before it in its sentence, or else first after it in its clause. */
function topicsOf(tokens: readonly Token[], { parts }: Language): (string | undefined)[] {
  let topic: string | undefined;
  const before = tokens.map(({ word, sentence }, i) => {
    if (i > 0 && tokens[i - 1]!.sentence !== sentence) topic = undefined;
    topic = parts.get(word) ?? topic;
    return topic;
  });
  let ahead: string | undefined;
  for (let i = tokens.length - 1; i >= 0; i--) {
    if (i < tokens.length - 1 && tokens[i + 1]!.clause !== tokens[i]!.clause) ahead = undefined;
    ahead = parts.get(tokens[i]!.word) ?? ahead;
    before[i] ??= ahead;
  }
  return before;
}
