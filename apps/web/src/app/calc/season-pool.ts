import type { CountedDay, FittedRun, SeasonTrial, TriedSeason, TriedStrategy } from '@field-nurse/core/season';
import type { Remote } from 'comlink';
import { transfer, wrap } from 'comlink';
import { createSeasonWorker } from './calc-worker-factory';
import type { SeasonWorker } from './season.worker';

/** Told while it runs: which strategy, and how much of it is done, 0 to 1. */
export type SeasonTold = (strategy: string, share: number) => void;

interface Desk {
  readonly worker: Worker;
  readonly remote: Remote<SeasonWorker>;
}

/** Workers that try strategies side by side, as many as the device has cores to spare; what is not wanted any more is stopped at once. */
export class SeasonPool {
  readonly #newWorker: () => Worker;
  readonly #most: number;
  #desks: Desk[] = [];

  constructor(newWorker: () => Worker = createSeasonWorker, most = Math.max(1, Math.min(4, navigator.hardwareConcurrency - 1))) {
    this.#newWorker = newWorker;
    this.#most = most;
  }

  /** @throws Error where a number cannot be, in its words */
  fit(trial: SeasonTrial, looks: readonly CountedDay[], particles: number, seed: number, signal: AbortSignal): Promise<FittedRun[]> {
    return this.#until(signal, () => this.#desk(0).remote.fit(trial, looks, particles, seed));
  }

  /** Try all, each in the next worker that is free. @returns in the order asked */
  run(
    trial: SeasonTrial,
    strategies: readonly TriedStrategy[],
    {
      runs,
      seed,
      signal,
      told,
    }: { readonly runs: number; readonly seed: number; readonly signal: AbortSignal; readonly told?: SeasonTold },
  ): Promise<TriedSeason[]> {
    const tried: TriedSeason[] = [];
    let next = 0;
    const work = async (desk: Desk) => {
      while (next < strategies.length && !signal.aborted) {
        const at = next++;
        const strategy = strategies[at]!;
        const line = new MessageChannel();
        line.port1.onmessage = ({ data }: MessageEvent<number>) => told?.(strategy.id, data);
        try {
          tried[at] = await desk.remote.run(trial, strategy, runs, seed, transfer(line.port2, [line.port2]));
          told?.(strategy.id, 1);
        } finally {
          line.port1.close();
        }
      }
    };
    const desks = Array.from({ length: Math.min(this.#most, strategies.length) }, (_, i) => this.#desk(i));
    return this.#until(signal, async () => {
      await Promise.all(desks.map(work));
      return tried;
    });
  }

  /** Stop whatever they are at. The next season begins new workers. */
  close(): void {
    for (const { worker } of this.#desks) worker.terminate();
    this.#desks = [];
  }

  #desk(i: number): Desk {
    const worker = this.#desks[i]?.worker ?? this.#newWorker();
    this.#desks[i] ??= { worker, remote: wrap<SeasonWorker>(worker) };
    return this.#desks[i];
  }

  async #until<T>(signal: AbortSignal, work: () => Promise<T>): Promise<T> {
    signal.throwIfAborted();
    const stopped = new Promise<never>((_, reject) =>
      signal.addEventListener('abort', () => {
        this.close();
        reject(signal.reason as Error);
      }),
    );
    return Promise.race([work(), stopped]);
  }
}
