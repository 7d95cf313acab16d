/** What a search for something that may not be there takes. */
export interface Detection {
  /** share of plants that would show it if it were there, in (0, 1] */
  readonly share: number;
  /** chance to see it on a plant that has it, in (0, 1] */
  readonly sensitivity: number;
  /** how sure to be, in (0, 1) */
  readonly confidence: number;
  /** plants there are; leave out where they can't be counted */
  readonly plants?: number | undefined;
}

/**
 * How many plants must be clean before "it is not here" may be said.
 *
 * Without a number of plants: n = ln(1−confidence) / ln(1−share·sensitivity). With one, the looks are without return, and the approximation of
 * the hypergeometric is used; it can ask for every plant, or not be reachable at all with dim eyes (then every plant is the answer).
 *
 * Source: Cannon & Roe (1982), Livestock Disease Surveys; Cannon (2001), Preventive Veterinary Medicine 49:141–163.
 *
 * @returns whole plants, 1 or more
 * @throws RangeError for values outside their range
 * @example
 * looksToDetect({ share: 0.05, sensitivity: 1, confidence: 0.95 }) // => 59
 * looksToDetect({ share: 0.05, sensitivity: 1, confidence: 0.95, plants: 100 }) // => 45
 */
export function looksToDetect({ share, sensitivity, confidence, plants }: Detection): number {
  for (const [name, value, top] of [
    ['share', share, true],
    ['sensitivity', sensitivity, true],
    ['confidence', confidence, false],
  ] as const)
    if (!(value > 0 && (top ? value <= 1 : value < 1)))
      throw new RangeError(`looksToDetect: ${name} must lie between 0 and 1, got ${value}`);
  if (plants === undefined) {
    const missed = 1 - share * sensitivity;
    return missed === 0 ? 1 : Math.ceil(Math.log(1 - confidence) / Math.log(missed));
  }
  const carriers = Math.max(1, Math.round(share * plants));
  const needed = ((1 - (1 - confidence) ** (1 / carriers)) * (plants - (carriers * sensitivity - 1) / 2)) / sensitivity;
  return Math.min(plants, Math.max(1, Math.ceil(needed)));
}

/**
 * Chance that at least one look would have found it, had it been there.
 *
 * Source: Martin, Shoukri & Thorburn (1992), Preventive Veterinary Medicine 14:33–43.
 *
 * @param looked - plants that were clean, 0 or more
 */
export function detectionChance(looked: number, share: number, sensitivity: number): number {
  return 1 - (1 - share * sensitivity) ** looked;
}
