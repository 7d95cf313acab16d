/**
 * The known word nearest to a misspelt one, or `undefined`.
 *
 * One slip is forgiven in words of five letters and more, two in words of nine and more; the first letter must be right. A slip is a letter
 * added, lost, changed, or two neighbours swapped (Damerau 1964, CACM 7:171–176; optimal string alignment).
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
    const distance = editDistance(word, known);
    if (distance < bestDistance) [best, bestDistance] = [known, distance];
  }
  return best;
}

/**
 * Slips between two words (optimal string alignment distance).
 *
 * @example
 * editDistance('rsut', 'rust') // => 1
 */
export function editDistance(a: string, b: string): number {
  let beforeLast: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1;
      let cost = Math.min(last[j]! + 1, row[j - 1]! + 1, last[j - 1]! + same);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) cost = Math.min(cost, beforeLast[j - 2]! + 1);
      row.push(cost);
    }
    [beforeLast, last] = [last, row];
  }
  return last[b.length]!;
}
