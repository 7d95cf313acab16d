import { signal } from '@angular/core';
import type { DifferentialAnswer, DifferentialRequest, OptionsRequest } from '@field-nurse/contract';
import { readWords } from '@field-nurse/core/diagnosis';
import { answerDifferential, answerOptions } from '@field-nurse/library/answers';
import { Calc } from '../calc/calc';
import { ClinicSamples } from '../clinic/clinic-samples';
import type { SampleState } from '../clinic/sample-state';
import { GardenWeather } from '../weather/garden-weather';
import { reference } from './show';

/** What the reasoner makes of a plant, with the reference library. */
export const answerTo = (request: DifferentialRequest): DifferentialAnswer => answerDifferential(reference, request);

/** The computation, where a page asks for it, without its worker. */
export const reader = {
  provide: Calc,
  useValue: {
    readWords: async (text: string, host: string) =>
      readWords(
        reference,
        text,
        reference.hosts.find(({ id }) => id === host),
      ),
    differential: async (request: DifferentialRequest) => answerTo(request),
    options: async (request: OptionsRequest) => answerOptions(reference, request),
  },
};

/** No weather, and of samples no more than these. */
export const quiet = (...samples: readonly SampleState[]) => [
  { provide: ClinicSamples, useValue: { of: () => samples, testsOf: () => [] } },
  { provide: GardenWeather, useValue: { measured: signal([]), forecast: signal([]) } },
];
