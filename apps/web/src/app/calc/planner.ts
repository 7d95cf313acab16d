import type { CalculationAnswer, CalculationRequest } from '@field-nurse/contract';
import type { Remote } from 'comlink';
import { transfer, wrap } from 'comlink';
import { createPlanWorker } from './calc-worker-factory';
import type { PlanMove, PlanProgress, PlanWorker } from './plan.worker';

/** What is told on the way: a half-day that was reckoned, of so many. */
export type PlanTold = (move: PlanMove, of: number) => void;

/** A planner in a worker of its own, one plan at a time: what is not wanted any more is stopped at once, however deep it is in its search. */
export class Planner {
  readonly #newWorker: () => Worker;
  #worker: Worker | undefined;
  #remote: Remote<PlanWorker> | undefined;

  constructor(newWorker: () => Worker = createPlanWorker) {
    this.#newWorker = newWorker;
  }

  /**
   * @param signal - stops it; then it never answers
   * @throws Error with the words of a refusal
   */
  async plan(
    request: CalculationRequest<'plan'>,
    signal: AbortSignal,
    told: PlanTold = () => undefined,
  ): Promise<CalculationAnswer<'plan'>> {
    signal.throwIfAborted();
    this.#worker ??= this.#newWorker();
    this.#remote ??= wrap<PlanWorker>(this.#worker);
    const line = new MessageChannel();
    line.port1.onmessage = ({ data }: MessageEvent<PlanProgress>) => told(data.move, data.of);
    const stopped = new Promise<never>((_, reject) =>
      signal.addEventListener('abort', () => {
        this.close();
        reject(signal.reason as Error);
      }),
    );
    try {
      return await Promise.race([this.#remote.plan(request, transfer(line.port2, [line.port2])), stopped]);
    } finally {
      line.port1.close();
    }
  }

  /** Stop whatever it is at. The next plan begins a new worker. */
  close(): void {
    this.#worker?.terminate();
    this.#worker = this.#remote = undefined;
  }
}
