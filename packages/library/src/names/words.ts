import pluralize from 'pluralize';

/** Lower case, accents folded, blanks made one. */
export const fold = (text: string) => text.trim().toLowerCase().normalize('NFD').replace(/\p{M}/gu, '').replace(/\s+/g, ' ');

// One spelling for both sides of the ocean.
const spellings: readonly (readonly [RegExp, string])[] = [
  [/mould/g, 'mold'],
  [/grey/g, 'gray'],
  [/sulph/g, 'sulf'],
  [/(col|harb|od|fl)our/g, '$1or'],
  [/aluminium/g, 'aluminum'],
  [/ise(?=d?$)/g, 'ize'],
];

/**
 * The words of a name as they are compared: folded, singular, of one spelling, without what stands for nothing.
 *
 * @example
 * wordsOf("Old Apple-Trees") // => ['old', 'apple', 'tree']
 */
export function wordsOf(text: string): string[] {
  return (
    fold(text)
      .replace(/['’]s\b/g, '')
      .replace(/['’]/g, '')
      .match(/[\p{L}\p{N}]+/gu) ?? []
  ).map(comparable);
}

const known = new Map<string, string>();
function comparable(word: string): string {
  let is = known.get(word);
  if (is === undefined) {
    is = spellings.reduce((so, [from, to]) => so.replace(from, to), word.length > 3 ? pluralize.singular(word) : word);
    // Names are typed by people: nobody types so many that forgetting them matters.
    if (known.size > 20_000) known.clear();
    known.set(word, is);
  }
  return is;
}

/** The words written as one: "pak choi" and "pakchoi" are the same plant. */
export const keyOf = (words: readonly string[]) => words.join('');
