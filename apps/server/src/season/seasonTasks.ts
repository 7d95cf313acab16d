import type { OwnSeason, SeasonResult } from '@field-nurse/contract';
import { bestShares, standingsOf, whatDecides } from '@field-nurse/core/season';
import type { SeasonTrial, TriedSeason, TriedStrategy } from '@field-nurse/core/season';
import type { Outcome, StrategyTask } from './strategies.js';

/** What is to be worked out: a model of one's own as it was asked, or a trial that was made of a library trouble. */
export type SeasonWork =
  OwnSeason | { readonly trial: SeasonTrial; readonly strategies: readonly TriedStrategy[]; readonly runs: number; readonly seed: number };

/** A task for each strategy. */
export function tasksOf(work: SeasonWork): StrategyTask[] {
  const { runs, seed } = work;
  return 'trial' in work
    ? work.strategies.map((strategy) => ({ trial: work.trial, strategy, runs, seed }))
    : work.strategies.map((strategy) => ({ scenario: work.scenario, strategy, runs, seed }));
}

/** What all of them come to. */
export function resultOf(outcomes: readonly Outcome[], seed: number): SeasonResult {
  const tried = outcomes.filter((one): one is TriedSeason => 'band' in one);
  if (tried.length === outcomes.length) return triedResult(tried, seed);
  const best = bestShares(outcomes);
  return {
    strategies: outcomes.flatMap((one, i) => {
      if ('band' in one) return [];
      const { costs: _, ...outcome } = one;
      return [{ ...outcome, best: best[i]! }];
    }),
  };
}

function triedResult(tried: readonly TriedSeason[], seed: number): SeasonResult {
  const standings = standingsOf(tried);
  const [first, second] = [...tried].sort((a, b) => a.cost - b.cost);
  return {
    strategies: tried.map(({ id: _, costs: __, band, doneOn, ...one }, i) => ({
      ...one,
      kept: { ...one.kept },
      bands: { seen: [...band] },
      doneOn: [...doneOn],
      best: standings[i]!.best,
      regret: standings[i]!.regret,
    })),
    ...(first && second && { decides: whatDecides(first, second, seed) }),
  };
}
