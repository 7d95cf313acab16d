import { Injectable } from '@angular/core';
import type { GaugeOptions, Picture } from '@field-nurse/core/leaf';
import { proxy, transfer, wrap } from 'comlink';
import { createLeafWorker } from './leaf-worker-factory';
import type { GaugeAnswer, LeafWorker } from './leaf.worker';

/** Measuring a leaf, in a worker of its own that can be stopped. */
@Injectable({ providedIn: 'root' })
export class Gauge {
  #running: { readonly worker: Worker; readonly stop: () => void } | undefined;

  /** @returns `null` when it was stopped */
  async measure(
    picture: Picture,
    options: Omit<GaugeOptions, 'onProgress'>,
    progress: (share: number) => void,
  ): Promise<GaugeAnswer | null> {
    this.stop();
    const worker = createLeafWorker();
    const stopped = new Promise<null>((resolve) => (this.#running = { worker, stop: () => resolve(null) }));
    try {
      const copy = { ...picture, data: picture.data.slice() };
      const answer = wrap<LeafWorker>(worker).gauge(transfer(copy, [copy.data.buffer]), options, proxy(progress));
      return await Promise.race([answer, stopped]);
    } finally {
      worker.terminate();
      if (this.#running?.worker === worker) this.#running = undefined;
    }
  }

  stop(): void {
    this.#running?.worker.terminate();
    this.#running?.stop();
    this.#running = undefined;
  }
}
