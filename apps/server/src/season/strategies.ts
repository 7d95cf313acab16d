import { runStrategy } from '@field-nurse/core/season';
import type { SeasonScenario, SeasonStrategy, StrategyOutcome } from '@field-nurse/core/season';
import { Piscina } from 'piscina';

/** A strategy, and the season that it is tried on. */
export interface StrategyTask {
  readonly scenario: SeasonScenario;
  readonly strategy: SeasonStrategy;
  readonly runs: number;
  readonly seed: number;
}

/** Where strategies are worked out. */
export interface Strategies {
  /** @throws Error that says what is wrong with it, also that it takes too long */
  run(task: StrategyTask, signal: AbortSignal): Promise<StrategyOutcome>;
  close(): Promise<void>;
}

const idleMs = 30_000;

/**
 * Strategies in a thread beside those of the other calculations: a season takes seconds, and keeps nobody waiting who asks for less. The thread is there
 * while there is something to do.
 */
export function threadedStrategies({
  workerFile,
  deadlineMs = 60_000,
  execArgv = [],
}: {
  readonly workerFile: string;
  readonly deadlineMs?: number;
  readonly execArgv?: string[];
}): Strategies {
  const pool = new Piscina<StrategyTask, StrategyOutcome>({
    filename: workerFile,
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: idleMs,
    execArgv,
  });
  return {
    run: async (task, signal) => {
      const deadline = AbortSignal.timeout(deadlineMs);
      try {
        return await pool.run(task, { signal: AbortSignal.any([signal, deadline]) });
      } catch (error) {
        if (deadline.aborted) throw new Error('This takes too long to work out. Ask for fewer runs or days.', { cause: error });
        throw error;
      }
    },
    close: () => pool.close({ force: true }),
  };
}

/** Strategies where they are asked, for tests and for filling the demo garden. */
export const directStrategies: Strategies = {
  run: ({ scenario, strategy, runs, seed }) => Promise.resolve().then(() => runStrategy(scenario, strategy, runs, seed)),
  close: () => Promise.resolve(),
};
