import damerauLevenshtein from 'damerau-levenshtein';

/**
 * The known word nearest to a misspelt one, or `undefined`.
 *
 * One slip is forgiven in words of five letters and more, two in words of nine and more; the first letter must be right. A slip is a letter
 * added, lost, changed, or two neighbours swapped (Damerau 1964, CACM 7:171–176).
 *
 * @example
 * correctTypo('stipling', new Set(['stippling'])) // => 'stippling'
 * correctTypo('rust', new Set(['dust'])) // => undefined
 */
export function correctTypo(word: string, vocabulary: ReadonlySet<string>): string | undefined {
  if (word.length < 5 || vocabulary.has(word)) return undefined;
  const allowed = word.length >= 9 ? 2 : 1;
  let best: string | undefined;
  let bestDistance = allowed + 1;
  for (const known of vocabulary) {
    if (known[0] !== word[0] || Math.abs(known.length - word.length) > allowed || known.length < 4) continue;
    const distance = damerauLevenshtein(word, known).steps;
    if (distance < bestDistance) [best, bestDistance] = [known, distance];
  }
  return best;
}
