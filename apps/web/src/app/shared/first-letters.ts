/** The beginning of a text, at most so long, and never half a letter: one that a person sees as one may be stored as several. */
export function firstLetters(text: string, most: number): string {
  if (text.length <= most) return text;
  let end = 0;
  for (const { index, segment } of new Intl.Segmenter().segment(text)) if (index + segment.length <= most) end = index + segment.length;
  return text.slice(0, end);
}
