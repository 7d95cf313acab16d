/** What a sample says: it is too much, it is little enough, or look at more. */
export type SampleDecision = 'act' | 'leave' | 'continue';

/**
 * Two lines over the running total of what was counted. The total after `n` plants at or above `act` means "too much",
 * at or below `leave` means "little enough", and between them the sample goes on.
 */
export interface StopLines {
  readonly act: (n: number) => number;
  readonly leave: (n: number) => number;
}

/** A decision with the number of plants at which it fell, or the number seen so far. */
export interface SampleState {
  readonly decision: SampleDecision;
  readonly n: number;
  readonly total: number;
}

/**
 * Follow a sample to the first crossing of a line; what was seen later does not change the decision, or its error rates would not hold.
 *
 * Source: Wald (1947), Sequential Analysis, ch. 3.
 *
 * @param seen - what each plant showed, in the order of looking: 0 or more
 * @throws RangeError if a value is negative or no number
 */
export function follow(lines: StopLines, seen: readonly number[]): SampleState {
  let total = 0;
  for (const [i, value] of seen.entries()) {
    if (!(value >= 0)) throw new RangeError(`follow: each value seen must be 0 or more, got ${value}`);
    total += value;
    const n = i + 1;
    if (total >= lines.act(n)) return { decision: 'act', n, total };
    if (total <= lines.leave(n)) return { decision: 'leave', n, total };
  }
  return { decision: 'continue', n: seen.length, total };
}

/**
 * The fewest further plants that could end the sample, if each of them shows `each`.
 *
 * @param limit - give up after this many
 * @returns 1 or more, or `undefined` when not even `limit` of them would
 */
export function moreToEnd(lines: StopLines, state: SampleState, each: number, limit: number): number | undefined {
  for (let more = 1; more <= limit; more++) {
    const total = state.total + more * each;
    if (total >= lines.act(state.n + more) || total <= lines.leave(state.n + more)) return more;
  }
  return undefined;
}
