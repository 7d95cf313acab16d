import type { DifferentialRequest, MixRequest, OptionsRequest, Planting, ProgressRequest, SampleRequest } from '@field-nurse/contract';
import { readWords, whereToLook } from '@field-nurse/core/diagnosis';
import { mixFor } from '@field-nurse/core/dose';
import type { MixQuestion } from '@field-nurse/core/dose';
import { progress } from '@field-nurse/core/recovery';
import { sample } from '@field-nurse/core/sampling';
import type { Library } from '@field-nurse/library';
import { answerDifferential, answerOptions } from '@field-nurse/library/answers';
import { expose } from 'comlink';

/** A host in a kind of place, in a month: what a round looks for there. */
export interface LookPlace {
  readonly host: string;
  readonly setting: Planting['setting'];
  readonly month: number;
  readonly hemisphere: 'north' | 'south';
}

let library: Library | undefined;

const answers = {
  learn: (index: Library) => {
    library = index;
  },
  readWords: (text: string, host: string) =>
    readWords(
      library!,
      text,
      library!.hosts.find(({ id }) => id === host),
    ),
  differential: (request: DifferentialRequest) => answerDifferential(library!, request),
  options: (request: OptionsRequest) => answerOptions(library!, request),
  mix: (request: MixRequest) => mixFor(request as MixQuestion),
  progress: (request: ProgressRequest) => progress(request.points, request.model),
  sample: (request: SampleRequest) => sample(request),
  whereToLook: (places: readonly LookPlace[]) =>
    places.map(({ host, ...circumstances }) =>
      whereToLook(library!, { ...circumstances, host: library!.hosts.find(({ id }) => id === host)! }),
    ),
};

export type CalcWorker = typeof answers;

expose(answers);
