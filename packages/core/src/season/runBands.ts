import { quantile } from '../statistics/index.js';

/** How many there are at a day's end: a tenth of the runs has fewer than `p10`, half fewer than `p50`. */
export interface BandDay {
  readonly day: number;
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

// So many numbers are kept at once, or so many runs where days and stages are many.
const [mostNumbers, leastRuns] = [1_000_000, 500];

/**
 * Counts of runs, for the bands of each day.
 *
 * Memory is flat in runs: of very many the first stand for all, since runs differ by chance alone.
 */
export class RunBands {
  readonly #kept: number;
  readonly #days: number;
  readonly #stages: number;
  readonly #counts: Float64Array;

  /** @param runs - that will come; all whole and 1 or more, as are days and stages */
  constructor(runs: number, days: number, stages = 1) {
    this.#kept = Math.min(runs, Math.max(leastRuns, Math.floor(mostNumbers / (days * stages))));
    this.#days = days;
    this.#stages = stages;
    this.#counts = new Float64Array(this.#kept * days * stages);
  }

  /** @param counts - of a run: for each day those of each stage */
  add(run: number, counts: Float64Array): void {
    if (run < this.#kept) this.#counts.set(counts, run * counts.length);
  }

  of(stage = 0): BandDay[] {
    const column = new Float64Array(this.#kept);
    return Array.from({ length: this.#days }, (_, day) => {
      for (let run = 0; run < this.#kept; run++) column[run] = this.#counts[(run * this.#days + day) * this.#stages + stage]!;
      column.sort();
      return { day, p10: quantile(column, 0.1), p50: quantile(column, 0.5), p90: quantile(column, 0.9) };
    });
  }
}
