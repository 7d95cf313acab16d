import { runStrategy, trySeason } from '@field-nurse/core/season';
import type { SeasonScenario, SeasonStrategy, SeasonTrial, StrategyOutcome, TriedSeason, TriedStrategy } from '@field-nurse/core/season';
import { MessageChannel } from 'node:worker_threads';
import type { MessagePort } from 'node:worker_threads';
import { Piscina } from 'piscina';

interface Chance {
  readonly runs: number;
  readonly seed: number;
}

/** A strategy, and the season that it is tried on: a model of one's own, or a trouble of the library. */
export type StrategyTask = Chance &
  (
    | { readonly scenario: SeasonScenario; readonly strategy: SeasonStrategy }
    | { readonly trial: SeasonTrial; readonly strategy: TriedStrategy }
  );

export type Outcome = StrategyOutcome | TriedSeason;

/** Told the share of the runs that is done. */
export type Heard = (share: number) => void;

/** Work it out. @throws RangeError where it cannot be */
export const runTask = (task: StrategyTask, heard?: Heard): Outcome =>
  'trial' in task
    ? trySeason(task.trial, task.strategy, task.runs, task.seed, heard)
    : runStrategy(task.scenario, task.strategy, task.runs, task.seed, heard);

/** What the thread is given: the task, and where it says how far it is. */
export interface ThreadTask {
  readonly task: StrategyTask;
  readonly progress: MessagePort;
}

/** What is wrong with a season itself, in words for who asked; any other error is the server's. */
export class SeasonFault extends Error {}

/** Where strategies are worked out. */
export interface Strategies {
  /** @throws SeasonFault, also where it takes too long */
  run(task: StrategyTask, signal: AbortSignal, heard?: Heard): Promise<Outcome>;
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
  execArgv,
}: {
  readonly workerFile: string;
  readonly deadlineMs?: number;
  readonly execArgv?: string[];
}): Strategies {
  const pool = new Piscina<ThreadTask, Outcome>({
    filename: workerFile,
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: idleMs,
    ...(execArgv && { execArgv }),
  });
  return {
    run: async (task, signal, heard) => {
      const deadline = AbortSignal.timeout(deadlineMs);
      const { port1: here, port2: progress } = new MessageChannel();
      here.on('message', (share: number) => heard?.(share));
      try {
        return await pool.run({ task, progress }, { signal: AbortSignal.any([signal, deadline]), transferList: [progress] });
      } catch (error) {
        if (deadline.aborted) throw new SeasonFault('This takes too long to work out. Ask for fewer runs or days.', { cause: error });
        throw asFault(error);
      } finally {
        here.close();
      }
    },
    close: () => pool.close({ force: true }),
  };
}

/** Strategies where they are asked, for tests and for filling the demo garden. */
export const directStrategies: Strategies = {
  run: async (task, _, heard) => {
    await Promise.resolve();
    try {
      return runTask(task, heard);
    } catch (error) {
      throw asFault(error);
    }
  },
  close: () => Promise.resolve(),
};

/** Core names what is wrong in a RangeError. */
const asFault = (error: unknown) => (error instanceof RangeError ? new SeasonFault(error.message, { cause: error }) : error);
