import levenshtein from 'damerau-levenshtein';
import { readUnit } from './readUnit.js';
import type { UnitName } from '../units/index.js';

/** A column that a list may have. */
export interface Column {
  readonly name: string;
  /** what people call it in their own lists */
  readonly also: readonly string[];
}

/** Where a column was found. */
export interface MatchedColumn {
  /** place of the head in the list, from 0 */
  readonly at: number;
  /** the unit that its head names in brackets or behind it */
  readonly unit: UnitName | undefined;
}

const leastAlike = 0.8;

/**
 * Which column of somebody's list is which of ours, by its head: named as ours, or as people call it, with a slip of the keys, or with other
 * words beside it. Each head is taken once, the surest first.
 *
 * @returns by the names of `columns`; those that no head is like are missing
 */
export function matchColumns(heads: readonly string[], columns: readonly Column[]): Map<string, MatchedColumn> {
  const read = heads.map(readHead);
  const pairs = columns.flatMap(({ name, also }) =>
    read.map(({ words }, at) => ({ name, at, likeness: Math.max(...[name, ...also].map((own) => alike(words, readHead(own).words))) })),
  );
  const matched = new Map<string, MatchedColumn>();
  const taken = new Set<number>();
  for (const { name, at, likeness } of pairs.sort((a, b) => b.likeness - a.likeness)) {
    if (likeness < leastAlike || matched.has(name) || taken.has(at)) continue;
    matched.set(name, { at, unit: read[at]!.unit });
    taken.add(at);
  }
  return matched;
}

/** Words of a head in small letters, and the unit in it. */
function readHead(head: string): { readonly words: readonly string[]; readonly unit: UnitName | undefined } {
  const inBrackets = /[([]([^)\]]*)[)\]]/.exec(head)?.[1];
  const words = head
    .replaceAll(/[([][^)\]]*[)\]]/g, ' ')
    .replaceAll(/(\p{Ll})(\p{Lu})/gu, '$1 $2')
    .toLowerCase()
    .split(/[^\p{L}\d]+/u)
    .filter(Boolean);
  const behind = words.length > 1 ? readUnit(words.at(-1)!) : undefined;
  return {
    words: behind ? words.slice(0, -1) : words,
    unit: (inBrackets === undefined ? undefined : readUnit(inBrackets)) ?? behind ?? (words.length === 1 ? readUnit(words[0]!) : undefined),
  };
}

/** 1 for the same, less for a slip, less still for more words than ours. */
function alike(words: readonly string[], own: readonly string[]): number {
  if (words.length === 0 || own.length === 0) return 0;
  const [all, ours] = [words.join(''), own.join('')];
  if (all === ours) return 1;
  const whole = ours.length > 3 ? levenshtein(all, ours).similarity : 0;
  const within = own.every((word) => words.includes(word)) ? 0.8 + 0.15 * (own.length / words.length) : 0;
  return Math.max(whole >= leastAlike ? whole - 0.02 : 0, within);
}
