import { efficacy } from './efficacy.js';
import type { EfficacyMethod } from './efficacy.js';
import { plotsNeeded } from './trial.js';
import type { Interval } from '../statistics/index.js';

/** What was counted of a part on a day. */
export interface PartCounts {
  readonly on: string;
  /** one for each leaf or plant */
  readonly counts: readonly number[];
}

export interface PartSeries {
  /** in order of day */
  readonly looks: readonly PartCounts[];
}

/** What a treated part says beside one that was left alone, or treated otherwise. */
export interface PartComparison {
  readonly method: EfficacyMethod;
  /** days of the counts that were used; none before where there are none */
  readonly before: string | undefined;
  readonly after: string;
  /** how much less there is than in the other part, percent */
  readonly percent: number;
  readonly interval: Interval | null;
  readonly verdict: 'less' | 'more' | 'cannot-tell';
  /** where it can't be told: to count so many on each side, in looks as large as the last; `null` where no number would show it */
  readonly looksNeeded: number | null;
  /** leaves or plants to count on each side, all looks together; `null` as above */
  readonly countsNeeded: number | null;
}

/**
 * Compare two parts: by the last day on which both were counted, and the last before the treatment on which both were. With counts before it is
 * Henderson & Tilton's formula, which bears parts that began unlike; without, Abbott's.
 *
 * @param treatedOn - day of the first treatment of the one
 * @returns `undefined` where no day after it has counts of both
 */
export function compareParts(treated: PartSeries, other: PartSeries, treatedOn: string): PartComparison | undefined {
  const both = treated.looks.flatMap((own) => {
    const beside = other.looks.find(({ on }) => on === own.on);
    return beside && own.counts.length > 0 && beside.counts.length > 0 ? [{ on: own.on, own: own.counts, beside: beside.counts }] : [];
  });
  const before = both.findLast(({ on }) => on <= treatedOn);
  const after = both.findLast(({ on }) => on > treatedOn);
  if (!after || sum(after.beside) === 0) return undefined;
  const usesBefore = before !== undefined && sum(before.own) > 0 && sum(before.beside) > 0;
  const method = usesBefore ? 'henderson-tilton' : 'abbott';
  const { percent, interval } = efficacy(
    method,
    { before: usesBefore ? before.own : undefined, after: after.own },
    { before: usesBefore ? before.beside : undefined, after: after.beside },
  );
  const verdict = !interval ? 'cannot-tell' : interval[0] > 0 ? 'less' : interval[1] < 0 ? 'more' : 'cannot-tell';
  const mean = sum(after.beside) / after.beside.length;
  const wanted = plotsNeeded({
    control: mean,
    treated: mean * Math.max(0, 1 - percent / 100),
    k: clumping([...after.beside]),
  });
  const perLook = Math.min(after.own.length, after.beside.length);
  return {
    method,
    before: usesBefore ? before.on : undefined,
    after: after.on,
    percent,
    interval,
    verdict,
    countsNeeded: wanted,
    looksNeeded: verdict !== 'cannot-tell' ? 0 : wanted === null ? null : Math.max(1, Math.ceil((wanted - perLook) / perLook)),
  };
}

const sum = (list: readonly number[]) => list.reduce((total, one) => total + one, 0);

/** Clumping by moments: k = m²/(s² − m); without end where counts scatter no more than by chance. Anscombe (1949), Biometrics 5:165–173. */
function clumping(counts: readonly number[]): number {
  if (counts.length < 2) return Infinity;
  const mean = sum(counts) / counts.length;
  const variance = counts.reduce((total, one) => total + (one - mean) ** 2, 0) / (counts.length - 1);
  return variance > mean ? mean ** 2 / (variance - mean) : Infinity;
}
