import type { DifferentialAnswer, DifferentialRequest } from '@field-nurse/contract';
import { differential } from '@field-nurse/core/diagnosis';
import type { Library } from '../entries.js';
import { resolve, UnknownName } from './resolve.js';

/** Answer a differential question from the library. @throws UnknownName for a host, sign or region that it does not hold */
export function answerDifferential(
  library: Library,
  { host, region, findings, ...circumstances }: DifferentialRequest,
): DifferentialAnswer {
  const known = new Set(library.signs.map(({ id }) => id));
  findings?.forEach(({ sign }, i) => {
    if (!known.has(sign)) throw new UnknownName(['findings', i, 'sign'], sign);
  });
  return differential(library, {
    ...circumstances,
    findings,
    host: resolve(library.hosts, host, ['host']),
    notifiable: resolve(library.regions, region ?? 'neutral', ['region']).notifiable,
  }) as DifferentialAnswer;
}
