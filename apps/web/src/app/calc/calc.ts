import { effect, inject, Injectable, untracked } from '@angular/core';
import type {
  DifferentialAnswer,
  DifferentialRequest,
  MixRequest,
  OptionsAnswer,
  OptionsRequest,
  ProgressAnswer,
  ProgressRequest,
  SampleAnswer,
  SampleRequest,
} from '@field-nurse/contract';
import type { LookPlan, TextReading } from '@field-nurse/core/diagnosis';
import type { MixAnswer } from '@field-nurse/core/dose';
import type { Remote } from 'comlink';
import { wrap } from 'comlink';
import { Library } from '../library/library';
import type { CalcWorker, LookPlace } from './calc.worker';
import { createCalcWorker } from './calc-worker-factory';

/** The one way from the pages to the computation, which runs in a worker so that typing never waits. */
@Injectable({ providedIn: 'root' })
export class Calc {
  readonly #library = inject(Library);
  #ready: Promise<Remote<CalcWorker>> | undefined;

  constructor() {
    // Entries of the garden's own come and go; what is asked after that is answered with them.
    effect(() => {
      const index = this.#library.index();
      if (index && this.#ready) void untracked(() => this.#ready!.then((worker) => worker.learn(index)));
    });
  }

  readWords = async (text: string, host: string): Promise<TextReading> => (await this.#worker()).readWords(text, host);
  differential = async (request: DifferentialRequest): Promise<DifferentialAnswer> => (await this.#worker()).differential(request);
  options = async (request: OptionsRequest): Promise<OptionsAnswer> => (await this.#worker()).options(request);
  mix = async (request: MixRequest): Promise<MixAnswer> => (await this.#worker()).mix(request);
  sample = async (request: SampleRequest): Promise<SampleAnswer> => (await this.#worker()).sample(request);
  whereToLook = async (places: readonly LookPlace[]): Promise<LookPlan[]> => (await this.#worker()).whereToLook(places);
  progress = async (request: ProgressRequest): Promise<ProgressAnswer> =>
    (await this.#worker()).progress(request) as Promise<ProgressAnswer>;

  #worker(): Promise<Remote<CalcWorker>> {
    this.#ready ??= this.#start().catch((error: unknown) => {
      this.#ready = undefined;
      throw error;
    });
    return this.#ready;
  }

  async #start(): Promise<Remote<CalcWorker>> {
    await this.#library.load();
    const worker = wrap<CalcWorker>(createCalcWorker());
    await worker.learn(this.#library.index()!);
    return worker;
  }
}
