/// <reference path="./snowball.d.ts" />
import snowball from 'snowball-stemmers';

/** A word of the grower's text, with its place. */
export interface Token {
  readonly word: string;
  readonly stem: string;
  /** position in the original text */
  readonly start: number;
  readonly end: number;
  /** counts clauses from 0: negation never reaches across */
  readonly clause: number;
  /** counts sentences from 0: phrases never reach across */
  readonly sentence: number;
}

const english = snowball.newStemmer('english');
const clauseBreaks = new Set(['but', 'however', 'although', 'though', 'except', 'yet', 'instead']);

/** Words so common that a phrase may skip them; negations are not among them. */
export const fillers: ReadonlySet<string> = new Set(
  [...clauseBreaks].concat(
    (
      'a an the is are was were be been being am of on in at to from by for with and or it its they them their there this that these those i my we our you your he she ' +
      'have has had do does did can could may might will would seem seems seemed look looks looking like some all any lot lots very really quite just so too also as if then ' +
      'when where which who what how about into onto over out up down off again now got get gets getting going go gone find found see saw seen notice noticed think maybe ' +
      'plant plants thing things bit bits kind sort please help along beside near after before during since s t ve m re d'
    ).split(' '),
  ),
);

/**
 * Split lay text into lower-case stemmed words, with clause and sentence numbers.
 *
 * Contractions are opened ("isn't" → "is not"), accents folded. Stems by Porter's English algorithm (Porter 2001, "Snowball").
 *
 * @example
 * tokenise('No webs. Sticky leaves') // => stems no, web | sticki, leav
 */
export function tokenise(text: string): Token[] {
  const tokens: Token[] = [];
  let clause = 0;
  let sentence = 0;
  for (const match of text.matchAll(/[\p{L}\p{M}]+(?:['’]\p{L}+)?|\d+|[.,;:!?()\n]+/gu)) {
    if (/^[.,;:!?()\n]/.test(match[0])) {
      clause++;
      if (/[.;!?\n]/.test(match[0])) sentence++;
      continue;
    }
    const start = match.index;
    const end = start + match[0].length;
    const words = openContraction(fold(match[0]));
    if (clauseBreaks.has(words[0]!)) clause++;
    for (const word of words) tokens.push({ word, stem: stemOf(word), start, end, clause, sentence });
  }
  return tokens;
}

/** The content stems of a phrase, fillers left out; all of it when it holds nothing but fillers. */
export function contentStems(phrase: string): string[] {
  const tokens = tokenise(phrase);
  const content = tokens.filter(({ word }) => !fillers.has(word));
  return [...new Set((content.length > 0 ? content : tokens).map(({ stem }) => stem))];
}

const fold = (word: string) => word.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '').replace(/’/g, "'");

function openContraction(word: string): string[] {
  if (word === "can't" || word === 'cannot') return ['can', 'not'];
  if (word.endsWith("n't")) return [word.slice(0, -3), 'not'];
  return [word.split("'")[0]!];
}

// UK spelling leads; these pairs stem differently and mean the same.
const sameWord: Readonly<Record<string, string>> = {
  gray: 'grey',
  mold: 'mould',
  moldy: 'mould',
  molds: 'mould',
  color: 'colour',
  odor: 'odour',
  leafs: 'leaves',
  leaf: 'leaves',
  older: 'old',
  oldest: 'old',
  younger: 'young',
  youngest: 'young',
  newer: 'new',
  newest: 'new',
  furry: 'fur',
  tiny: 'small',
  little: 'small',
  teeny: 'small',
  minute: 'small',
  patch: 'patch',
  blotch: 'patch',
  blotches: 'patch',
  speck: 'dot',
  specks: 'dot',
  beneath: 'under',
  underneath: 'under',
  below: 'under',
};

function stemOf(word: string): string {
  // "fluffy", "powdery" and "rusty" mean what "fluff", "powder" and "rust" do.
  const stem = english.stem(sameWord[word] ?? word).replace(/(?<=.{3})i$/, '');
  return sameWord[stem] === undefined ? stem : english.stem(sameWord[stem]);
}
