import type { DifferentialAnswer, DifferentialRequest } from '@field-nurse/contract';
import { differential } from '@field-nurse/core/diagnosis';
import type { Library } from '../entries.js';
import { resolve, unknownName } from './resolve.js';

/** Answer a differential question from the library. @throws Refusal for a host, sign, condition or region that it does not hold */
export function answerDifferential(
  library: Library,
  { host, region, findings, history, nearby, tests, asked, ...circumstances }: DifferentialRequest,
): DifferentialAnswer {
  const known = new Set(library.signs.map(({ id }) => id));
  findings?.forEach(({ sign }, i) => {
    if (!known.has(sign)) throw unknownName(['findings', i, 'sign'], sign);
  });
  const conditionId = (name: string, path: (string | number)[]) => resolve(library.conditions, name, path).id;
  return differential(library, {
    ...circumstances,
    findings,
    host: resolve(library.hosts, host, ['host']),
    history: history?.map(({ count, ...one }, i) => {
      const { id, family } = resolve(library.hosts, one.host, ['history', i, 'host']);
      return { condition: conditionId(one.condition, ['history', i, 'condition']), host: id, family, count };
    }),
    nearby: nearby?.map(({ condition, near }, i) => ({ condition: conditionId(condition, ['nearby', i, 'condition']), near })),
    tests: tests?.map(({ condition, ...test }, i) => ({ condition: conditionId(condition, ['tests', i, 'condition']), ...test })),
    asked: asked?.map((condition, i) => conditionId(condition, ['asked', i])),
    notifiable: resolve(library.regions, region ?? 'neutral', ['region']).notifiable,
  }) as DifferentialAnswer;
}
