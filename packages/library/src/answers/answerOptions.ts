import type { OptionsAnswer, OptionsRequest } from '@field-nurse/contract';
import { judgeInterventions, stageKinds } from '@field-nurse/core/treatment';
import type { JudgedIntervention, Reason, TreatmentAlert } from '@field-nurse/core/treatment';
import type { Library } from '../entries.js';
import { reasonText } from './reasonText.js';
import { Names, unknownName } from './resolve.js';

/** Judge the options for a planting from the library. @throws Refusal for a name that it does not hold */
export function answerOptions(library: Library, request: OptionsRequest): OptionsAnswer {
  const names = new Names(library);
  const host = names.host(request.host, ['host']).entry;
  const conditions = request.conditions.map((name, i) => names.condition(name, ['conditions', i], host));
  const stages = new Set<string>([...stageKinds, ...conditions.flatMap(({ stages }) => stages.map(({ id }) => id))]);
  if (request.stage !== undefined && !stages.has(request.stage)) throw unknownName(['stage'], request.stage);
  const seasonDays = request.seasonDays ?? Infinity;
  const { options, plan, disputes, alerts } = judgeInterventions(library.interventions, {
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
    earlier: (request.recent ?? []).map(({ ingredient, daysAgo }, i) => ({
      intervention: names.intervention(ingredient, ['recent', i, 'ingredient']).id,
      daysAgo,
      thisSeason: daysAgo <= seasonDays,
    })),
    stance: request.stance,
    region: names.region(request.region ?? 'neutral', ['region']),
  });
  return {
    host: { id: host.id, name: host.name },
    ...names.doubts(),
    options: options.map((one) => ({ ...one, ...copied(one), reasons: one.reasons.map(told) })),
    plan: plan.map(({ intervention, name, step, covers }) => ({ use: intervention, name, step, covers: [...covers] })),
    disputes: disputes.map((dispute) => ({ ...dispute, schools: [...dispute.schools] })),
    alerts: alerts.map((alert) => ({ code: alert.code, text: alertText(alert, library) })),
  };
}

const told = (reason: Reason) => ({ code: reason.code, weight: reason.weight, text: reasonText(reason) });

const copied = ({ covers, notes, expected }: JudgedIntervention) => ({
  covers: [...covers],
  notes: [...notes],
  expected: { ...expected, efficacy: [...expected.efficacy] as [number, number] },
});

function alertText({ code, intervention, reason }: TreatmentAlert, library: Library): string {
  if (code === 'notifiable')
    return `${reasonText(reason)} Stop moving plants, photograph, take nothing off the site. Authority: ${reason.facts!['authority']}.`;
  return `${library.interventions.find(({ id }) => id === intervention)!.name}: ${reasonText(reason)}`;
}
