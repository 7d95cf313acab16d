import { inject, Injectable } from '@angular/core';
import type { CalculationAnswer, CalculationName, CalculationRequest } from '@field-nurse/contract';
import type { LookPlan, WordReading } from '@field-nurse/core/diagnosis';
import type { Library as LibraryIndex } from '@field-nurse/library';
import type { Calculated } from '@field-nurse/library/answers';
import type { SeasonAsked, SeasonQuestion } from '@field-nurse/library/season';
import type { Remote } from 'comlink';
import { proxy, wrap } from 'comlink';
import { Library } from '../library/library';
import type { CalcWorker, LookPlace } from './calc.worker';
import type { SendPart, TableToRead } from './check-table';
import type { Progress } from './look-at-table';
import type { GardenToPlan } from './garden-to-plan';
import type { GardenPlanQuestion } from './plan-garden';
import { createCalcWorker } from './calc-worker-factory';

function answerOf<N extends CalculationName>(result: Calculated<N>): CalculationAnswer<N> {
  if ('refused' in result) throw new Error(result.refused.message);
  return result.answer;
}

/** The one way from the pages to the computation, which runs in a worker so that typing never waits. */
@Injectable({ providedIn: 'root' })
export class Calc {
  readonly #library = inject(Library);
  #started: Remote<CalcWorker> | undefined;
  #learned: LibraryIndex | undefined;

  /** Make ready what the first answer would have to wait for. */
  warm = async (): Promise<void> => void (await (await this.#worker()).readWords('leaf', ''));
  readWords = async (text: string, host: string): Promise<WordReading> => (await this.#worker()).readWords(text, host);
  whereToLook = async (places: readonly LookPlace[]): Promise<LookPlan[]> => (await this.#worker()).whereToLook(places);

  /** Read a file of weather, which may be large. */
  readWeatherFile = async (text: string, timeZone: string) => (await this.#worker()).readWeatherFile(text, timeZone);

  /** What a file of rows is. @throws Error in words for the gardener */
  lookAtTable = async (file: File, progress: Progress) => (await this.#worker()).lookAtTable(file, proxy(progress));
  /** Read every row of it as it would be brought in. */
  checkTable = async (table: TableToRead, progress: Progress) => {
    await this.#library.whole();
    return (await this.#worker()).checkTable(table, proxy(progress));
  };
  /** Hand over what its rows become, part by part. */
  bringIn = async (table: TableToRead, firstDays: ReadonlyMap<string, string>, send: SendPart) => {
    await this.#library.whole();
    return (await this.#worker()).bringIn(table, firstDays, proxy(send));
  };

  differential = (request: CalculationRequest<'differential'>) => this.#answer('differential', request);
  /** What can be done needs the whole library. */
  options = async (request: CalculationRequest<'options'>) => {
    await this.#library.whole();
    return this.#answer('options', request);
  };
  /** A season as it can be tried, with what each school would do; nothing where the library has no numbers of the trouble. */
  seasonQuestion = async (asked: SeasonAsked): Promise<SeasonQuestion | undefined> => {
    await this.#library.whole();
    return (await this.#worker()).seasonQuestion(asked);
  };
  /** The garden's plans as a question to the planner. */
  planGarden = async (garden: GardenToPlan): Promise<GardenPlanQuestion> => {
    await this.#library.whole();
    return (await this.#worker()).planGarden(garden);
  };
  mix = (request: CalculationRequest<'mix'>) => this.#answer('mix', request);
  progress = (request: CalculationRequest<'progress'>) => this.#answer('progress', request);
  sample = (request: CalculationRequest<'sample'>) => this.#answer('sample', request);

  /** @throws Error with the words of a refusal */
  async #answer<N extends CalculationName>(name: N, request: CalculationRequest<N>): Promise<CalculationAnswer<N>> {
    const calculate = (await this.#worker()).calculate as (name: N, request: CalculationRequest<N>) => Promise<Calculated<N>>;
    const result = await calculate(name, request);
    return answerOf(result);
  }

  /** The worker, which knows the library as it is now: it grows by its second part, and by entries of the garden's own. */
  async #worker(): Promise<Remote<CalcWorker>> {
    await this.#library.first();
    this.#started ??= wrap<CalcWorker>(createCalcWorker());
    const index = this.#library.known()!;
    if (index !== this.#learned) {
      this.#learned = index;
      await this.#started.learn(index);
    }
    return this.#started;
  }
}
