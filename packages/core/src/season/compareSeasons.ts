import { bestShares } from './strategies.js';
import type { TriedSeason } from './trySeason.js';
import { drawChances } from './trySeason.js';
import type { RunChances } from './troubleSeason.js';

/** How a way stands beside the others. */
export interface SeasonStanding {
  readonly id: string;
  /** share of the runs in which it costs least */
  readonly best: number;
  /** what it costs more than whatever is best in each run, in the mean */
  readonly regret: number;
}

/** Something that is not known, and how far it decides which of two ways is better. */
export interface Decider {
  readonly what: keyof RunChances;
  /** rank correlation with by how much the second costs more than the first, −1 to 1: above 0 more of it speaks for the first */
  readonly pull: number;
}

/** Chance that each is best, and by how much. */
export function standingsOf(tried: readonly Pick<TriedSeason, 'id' | 'costs'>[]): SeasonStanding[] {
  const best = bestShares(tried);
  const runs = tried[0]?.costs.length ?? 0;
  const regrets = tried.map(() => 0);
  for (let run = 0; run < runs; run++) {
    const least = Math.min(...tried.map(({ costs }) => costs[run]!));
    tried.forEach(({ costs }, i) => (regrets[i]! += (costs[run]! - least) / runs));
  }
  return tried.map(({ id }, i) => ({ id, best: best[i]!, regret: regrets[i]! }));
}

/**
 * What decides between two ways: Spearman's rank correlation of each thing that is not known with how much more the second costs.
 *
 * Source: sampling-based sensitivity by ranks as in Helton & Davis (2003), Reliab. Eng. Syst. Saf. 81:23–69.
 *
 * @param chances - of each run; those that the seed draws where they are left out
 * @returns the strongest first
 */
export function whatDecides(
  first: Pick<TriedSeason, 'costs'>,
  second: Pick<TriedSeason, 'costs'>,
  seed: number,
  chances: readonly RunChances[] = first.costs.map((_, run) => drawChances(seed, run)),
): Decider[] {
  const more = ranks(first.costs.map((cost, run) => second.costs[run]! - cost));
  const names = Object.keys(chances[0] ?? {}) as (keyof RunChances)[];
  return names
    .map((what) => ({ what, pull: correlation(ranks(chances.map((one) => one[what])), more) }))
    .sort((a, b) => Math.abs(b.pull) - Math.abs(a.pull));
}

/** Ranks from 0; equal values share the mean of theirs. */
function ranks(values: readonly number[]): number[] {
  const order = values.map((_, i) => i).sort((a, b) => values[a]! - values[b]!);
  const out = new Array<number>(values.length);
  for (let i = 0; i < order.length;) {
    let j = i;
    while (j + 1 < order.length && values[order[j + 1]!] === values[order[i]!]) j++;
    for (let k = i; k <= j; k++) out[order[k]!] = (i + j) / 2;
    i = j + 1;
  }
  return out;
}

function correlation(xs: readonly number[], ys: readonly number[]): number {
  const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;
  const [mx, my] = [mean(xs), mean(ys)];
  let [xy, xx, yy] = [0, 0, 0];
  xs.forEach((x, i) => {
    xy += (x - mx) * (ys[i]! - my);
    xx += (x - mx) ** 2;
    yy += (ys[i]! - my) ** 2;
  });
  return xx > 0 && yy > 0 ? xy / Math.sqrt(xx * yy) : 0;
}
