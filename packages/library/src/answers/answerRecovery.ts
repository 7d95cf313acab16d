import type { CalculationAnswer, CalculationRequest } from '@field-nurse/contract';
import { efficacy, freedom, sampleSensitivity } from '@field-nurse/core/recovery';
import type { Library } from '../entries.js';

/** How much less there is than without the treatment. */
export function answerEfficacy(_: Library, { method, treated, control }: CalculationRequest<'efficacy'>): CalculationAnswer<'efficacy'> {
  const { percent, interval } = efficacy(method, treated, control);
  return { percent, interval: interval && [...interval] };
}

/** When it may be believed gone. */
export function answerFreedom(_: Library, { looks, ...question }: CalculationRequest<'freedom'>): CalculationAnswer<'freedom'> {
  const { history, ...answer } = freedom({
    ...question,
    looks: looks.map((look) => ({
      date: look.date,
      found: look.found,
      sensitivity: 'sensitivity' in look ? look.sensitivity : sampleSensitivity(look),
    })),
  });
  return { ...answer, history: [...history] };
}
