import { fitSeason, requireTrial, trySeason } from '@field-nurse/core/season';
import type { CountedDay, FittedRun, SeasonTrial, TriedSeason, TriedStrategy } from '@field-nurse/core/season';
import { expose } from 'comlink';

const worker = {
  fit: (trial: SeasonTrial, looks: readonly CountedDay[], particles: number, seed: number): FittedRun[] => {
    requireTrial(trial, particles);
    return fitSeason(trial, looks, particles, seed);
  },
  /** @param line - on which the share that is done is told, now and then */
  run: (trial: SeasonTrial, strategy: TriedStrategy, runs: number, seed: number, line: MessagePort): TriedSeason => {
    requireTrial(trial, runs);
    return trySeason(trial, strategy, runs, seed, (share) => line.postMessage(share));
  },
};

export type SeasonWorker = typeof worker;

expose(worker);
