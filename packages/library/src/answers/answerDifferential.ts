import type { DifferentialAnswer, DifferentialRequest } from '@field-nurse/contract';
import { differential } from '@field-nurse/core/diagnosis';
import type { Library } from '../entries.js';
import { settingIn } from '../names/find.js';
import { Names, unknownName } from './resolve.js';

/** Answer a differential question from the library. @throws Refusal for a host, sign, condition or region that it does not hold */
export function answerDifferential(
  library: Library,
  { host, region, findings, history, nearby, tests, asked, ...circumstances }: DifferentialRequest,
): DifferentialAnswer {
  const known = new Set(library.signs.map(({ id }) => id));
  findings?.forEach(({ sign }, i) => {
    if (!known.has(sign)) throw unknownName(['findings', i, 'sign'], sign);
  });
  const names = new Names(library);
  const { entry: plant, qualifier } = names.host(host, ['host']);
  const conditionId = (name: string, path: (string | number)[]) => names.condition(name, path, plant).id;
  const answer = differential(library, {
    ...circumstances,
    setting: circumstances.setting ?? settingIn(qualifier),
    findings,
    host: plant,
    history: history?.map(({ count, ...one }, i) => {
      const { id, family } = names.host(one.host, ['history', i, 'host']).entry;
      return { condition: conditionId(one.condition, ['history', i, 'condition']), host: id, family, count };
    }),
    nearby: nearby?.map(({ condition, near }, i) => ({ condition: conditionId(condition, ['nearby', i, 'condition']), near })),
    tests: tests?.map(({ condition, ...test }, i) => ({ condition: conditionId(condition, ['tests', i, 'condition']), ...test })),
    asked: asked?.map((condition, i) => conditionId(condition, ['asked', i])),
    notifiable: names.region(region ?? 'neutral', ['region']).notifiable,
  }) as DifferentialAnswer;
  return { ...answer, host: { ...answer.host, ...(qualifier && { qualifier }) }, ...names.doubts() };
}
