import type { Language } from './language.js';

/** A word of the grower's text, with its place. */
export interface Token {
  readonly word: string;
  readonly stem: string;
  /** the stem is another one than was written: a slip was put right */
  readonly corrected?: boolean;
  /** position in the original text */
  readonly start: number;
  readonly end: number;
  /** counts clauses from 0: negation never reaches across */
  readonly clause: number;
  /** counts sentences from 0: phrases never reach across */
  readonly sentence: number;
  /** the sentence ends with a question mark */
  readonly asked?: boolean;
}

/**
 * Split lay text into lower-case stemmed words, with clause and sentence numbers.
 *
 * Contractions are opened ("isn't" → "is not"), accents folded, and degrees below zero are spelt out ("-5" → "minus 5").
 *
 * @example
 * tokenise('No webs. Sticky leaves', english) // => stems no, web | sticki, leav
 */
export function tokenise(text: string, language: Language): Token[] {
  const tokens: Token[] = [];
  let clause = 0;
  let sentence = 0;
  for (const match of text.matchAll(/[\p{L}\p{M}]+(?:['’]\p{L}+)?|(?<![\p{L}\d])[-−](?=\d)|\d+|[.,;:!?()\n]+/gu)) {
    if (/^[.,;:!?()\n]/.test(match[0])) {
      clause++;
      if (!/[.;!?\n]/.test(match[0])) continue;
      if (match[0].includes('?'))
        for (let i = tokens.length - 1; i >= 0 && tokens[i]!.sentence === sentence; i--) tokens[i] = { ...tokens[i]!, asked: true };
      sentence++;
      continue;
    }
    const start = match.index;
    const end = start + match[0].length;
    const words = /^[-−]/.test(match[0]) ? [language.minus] : openContraction(fold(match[0]));
    if (language.clauseBreaks.has(words[0]!) || (language.joiners.has(tokens.at(-1)?.word ?? '') && language.clauseStarts.has(words[0]!)))
      clause++;
    for (const word of words) tokens.push({ word, stem: language.stemOf(word), start, end, clause, sentence });
  }
  return tokens;
}

/** The content stems of a phrase, fillers left out; all of it when it holds nothing but fillers. */
export function contentStems(phrase: string, language: Language): string[] {
  const tokens = tokenise(phrase, language);
  const content = tokens.filter(({ word }) => !language.fillers.has(word));
  return [...new Set((content.length > 0 ? content : tokens).map(({ stem }) => stem))];
}

const fold = (word: string) => word.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '').replace(/’/g, "'");

function openContraction(word: string): string[] {
  if (word === "can't" || word === 'cannot') return ['can', 'not'];
  if (word.endsWith("n't")) return [word.slice(0, -3), 'not'];
  return [word.split("'")[0]!];
}
