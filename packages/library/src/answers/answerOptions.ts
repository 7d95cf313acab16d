import type { OptionsAnswer, OptionsRequest } from '@field-nurse/contract';
import { judgeInterventions, stageKinds } from '@field-nurse/core/treatment';
import type { Library } from '../entries.js';
import { resolve, unknownName } from './resolve.js';

/** Judge the options for a planting from the library. @throws Refusal for a name that it does not hold */
export function answerOptions(library: Library, request: OptionsRequest): OptionsAnswer {
  const host = resolve(library.hosts, request.host, ['host']);
  const conditions = request.conditions.map((name, i) => resolve(library.conditions, name, ['conditions', i]));
  const stages = new Set<string>([...stageKinds, ...conditions.flatMap(({ stages }) => stages.map(({ id }) => id))]);
  if (request.stage !== undefined && !stages.has(request.stage)) throw unknownName(['stage'], request.stage);
  return judgeInterventions(library.interventions, {
    host,
    conditions,
    stage: request.stage,
    setting: request.setting,
    inFlower: request.inFlower ?? false,
    edible: request.edible ?? host.eaten,
    daysToHarvest: request.daysToHarvest,
    daysToFrost: request.daysToFrost,
    temperatureC: request.temperatureC,
    forecast: request.forecast,
    helpersSeen: request.helpersSeen ?? false,
    hidden: request.hidden,
    recent: (request.recent ?? []).map(({ ingredient, daysAgo }, i) => ({
      intervention: resolve(library.interventions, ingredient, ['recent', i, 'ingredient']).id,
      daysAgo,
    })),
    stance: request.stance,
    region: resolve(library.regions, request.region ?? 'neutral', ['region']),
  }) as unknown as OptionsAnswer;
}
