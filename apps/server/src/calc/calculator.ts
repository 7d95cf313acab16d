import type { CalculationName, CalculationRequest } from '@field-nurse/contract';
import type { Library, OwnEntryFacts } from '@field-nurse/library';
import { withOwnEntries } from '@field-nurse/library';
import { calculate } from '@field-nurse/library/answers';
import type { Calculated } from '@field-nurse/library/answers';
import { Piscina } from 'piscina';
import { meansFor } from './planMeans.js';
import { ApiError } from '../http/apiError.js';
import { retryAfter } from '../http/retryAfter.js';

/** Where calculations are done. */
export interface Calculator {
  /**
   * @param own - entries of the garden that it is calculated for
   * @param signal - ends it when nobody waits for the answer any more
   * @throws ApiError when it takes too long, or too many wait
   */
  calculate<N extends CalculationName>(
    name: N,
    request: CalculationRequest<N>,
    own?: readonly OwnEntryFacts[],
    signal?: AbortSignal,
  ): Promise<Calculated<N>>;
  close(): Promise<void>;
}

/** What a worker thread is given for each calculation. */
export interface CalculationTask {
  readonly name: CalculationName;
  readonly request: never;
  readonly own: readonly OwnEntryFacts[];
}

interface PoolSettings {
  readonly workerFile: string;
  readonly libraryFile: string;
  readonly threads: number;
  readonly deadlineMs?: number;
  readonly mostWaiting?: number;
  readonly execArgv?: string[];
}

/** Calculations in threads of their own: none holds up the others that the server talks to, and none goes on for ever. */
export function pooledCalculator({
  workerFile,
  libraryFile,
  threads,
  deadlineMs = 5000,
  mostWaiting = 64,
  execArgv,
}: PoolSettings): Calculator {
  const pool = new Piscina<CalculationTask, unknown>({
    filename: workerFile,
    workerData: { libraryFile },
    minThreads: threads,
    maxThreads: threads,
    ...(execArgv && { execArgv }),
  });
  return {
    calculate: async (name, request, own = [], signal = new AbortController().signal) => {
      if (pool.queueSize >= mostWaiting) throw busy();
      const deadline = AbortSignal.timeout(deadlineMs);
      try {
        return (await pool.run({ name, request: request as never, own }, { signal: AbortSignal.any([signal, deadline]) })) as never;
      } catch (error) {
        // While others wait too, it may be the waiting that took so long.
        if (deadline.aborted && pool.queueSize > 0) throw busy();
        if (deadline.aborted) throw new ApiError(422, 'too-long', 'This takes too long to work out. Say less at once.');
        if (signal.aborted) throw new ApiError(499, 'gone', 'Nobody waits for this any more.');
        throw error;
      }
    },
    close: () => pool.close({ force: true }),
  };
}

const busy = () => new ApiError(503, 'busy', 'Too much is being worked out at once. Try again in a moment.', retryAfter(1));

/** Calculations where they are asked, for tests and for filling the demo garden. */
export const directCalculator = (library: Library): Calculator => ({
  calculate: async (name, request, own = []) => calculate(withOwnEntries(library, own), name, request, await meansFor(name)),
  close: () => Promise.resolve(),
});
