import type { DifferentialRequest, MixRequest, OptionsRequest, ProgressRequest } from '@field-nurse/contract';
import { readWords } from '@field-nurse/core/diagnosis';
import { mixFor } from '@field-nurse/core/dose';
import type { MixQuestion } from '@field-nurse/core/dose';
import { progress } from '@field-nurse/core/recovery';
import type { Library } from '@field-nurse/library';
import { answerDifferential, answerOptions } from '@field-nurse/library/answers';
import { expose } from 'comlink';

let library: Library | undefined;

const answers = {
  learn: (index: Library) => {
    library = index;
  },
  readWords: (text: string) => readWords(library!, text),
  differential: (request: DifferentialRequest) => answerDifferential(library!, request),
  options: (request: OptionsRequest) => answerOptions(library!, request),
  mix: (request: MixRequest) => mixFor(request as MixQuestion),
  progress: (request: ProgressRequest) => progress(request.points, request.model),
};

export type CalcWorker = typeof answers;

expose(answers);
