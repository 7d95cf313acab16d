import type { OptionsAnswer, OptionsRequest } from '@field-nurse/contract';
import { northernMonth } from '@field-nurse/core/timing';
import { judgeInterventions, openQuestions, stageChances, stageKinds } from '@field-nurse/core/treatment';
import type { JudgedIntervention, Reason, Situation, StageKind, TreatmentAlert } from '@field-nurse/core/treatment';
import type { Condition, Host, Library } from '../entries.js';
import { adviceText } from './adviceText.js';
import { cautionsOf } from './cautionsOf.js';
import { questionText } from './questionText.js';
import { reasonText } from './reasonText.js';
import { Names, unknownName } from './resolve.js';

/** Judge the options for a planting from the library. @throws Refusal for a name that it does not hold */
export function answerOptions(library: Library, request: OptionsRequest): OptionsAnswer {
  const names = new Names(library);
  const host = names.host(request.host, ['host']).entry;
  const conditions = request.conditions.map((name, i) => names.condition(name, ['conditions', i], host));
  const stages = new Set<string>([...stageKinds, ...conditions.flatMap((one) => one.stages.map(({ id }) => id))]);
  if (request.stage !== undefined && !stages.has(request.stage)) throw unknownName(['stage'], request.stage);
  const situation = situationOf(library, request, host, conditions, names);
  const { options, plan, disputes, alerts } = judgeInterventions(library.interventions, situation);
  const cards = new Map(library.interventions.map((one) => [one.id, one]));
  return {
    host: { id: host.id, name: host.name },
    ...names.doubts(),
    options: options.map((one) => {
      const card = cards.get(one.id)!;
      return {
        ...one,
        ...copied(one),
        reasons: one.reasons.map(told),
        steps: [...(one.steps ?? card.steps), ...one.besides],
        cautions: cautionsOf(card, situation.setting, host.habit),
        contactMinutes: card.contactMinutes ?? null,
        products: one.products.map((product) => ({ ...product, reasons: product.reasons.map(told) })),
      };
    }),
    plan: plan.map(({ intervention, name, step, covers, inTurnWith }) => ({
      use: intervention,
      name,
      step,
      covers: [...covers],
      inTurnWith: [...inTurnWith],
    })),
    advice: adviceText({ options, plan }, situation, conditions),
    stages: assumedStages(situation),
    questions: openQuestions(library.interventions, situation).map((fact) => ({ fact, text: questionText(fact) })),
    disputes: disputes.map((dispute) => ({ ...dispute, schools: dispute.schools.map(({ view, reason }) => ({ view, reason })) })),
    alerts: alerts.map((alert) => ({ code: alert.code, text: alertText(alert, library) })),
  };
}

const bareMonths = [12, 1, 2];

function situationOf(library: Library, request: OptionsRequest, host: Host, conditions: readonly Condition[], names: Names): Situation {
  const {
    conditions: _,
    host: __,
    recent,
    tests,
    seasonDays = Infinity,
    region,
    findings,
    shelf,
    hemisphere,
    month: calendarMonth,
    notListed,
    ...said
  } = request;
  const month = calendarMonth && northernMonth(calendarMonth, hemisphere);
  const bareNow = month === undefined ? undefined : bareMonths.includes(month);
  return {
    ...said,
    host,
    conditions,
    month,
    inFlower: request.inFlower ?? false,
    edible: request.edible ?? host.eaten,
    shelf: (shelf ?? []).map((product, i) => ({
      ...product,
      intervention: names.intervention(product.intervention, ['shelf', i, 'intervention']).id,
    })),
    bare: request.bare ?? (host.deciduous ? bareNow : false),
    helpersSeen: request.helpersSeen ?? false,
    stageChances: findings && stagesFrom(library, conditions, findings, month),
    earlier: (recent ?? []).map(({ ingredient, daysAgo }, i) => ({
      intervention: names.intervention(ingredient, ['recent', i, 'ingredient']).id,
      daysAgo,
      thisSeason: daysAgo <= seasonDays,
    })),
    tests: (tests ?? []).map(({ ingredient, ...test }, i) => ({
      ...test,
      intervention: names.intervention(ingredient, ['tests', i, 'ingredient']).id,
    })),
    region: names.region(region ?? 'neutral', ['region']),
    notListed: (notListed ?? []).map((name, i) => names.condition(name, ['notListed', i]).id),
  };
}

/** Chances of the stages of each condition, from the signs that show one. */
function stagesFrom(
  library: Library,
  conditions: readonly Condition[],
  findings: NonNullable<OptionsRequest['findings']>,
  month: number | undefined,
): Map<string, Map<string, number>> {
  const stageOf = new Map(library.signs.map(({ id, stage }) => [id, stage]));
  const kinds = ({ signs }: Condition, state: 'seen' | 'absent') =>
    new Set<StageKind>(findings.flatMap((one) => (one.state === state && signs[one.sign] ? (stageOf.get(one.sign) ?? []) : [])));
  return new Map(
    conditions.flatMap((one) => {
      const [seen, absent] = [kinds(one, 'seen'), kinds(one, 'absent')];
      return seen.size + absent.size > 0 ? [[one.id, stageChances(one, { seen, absent, month })]] : [];
    }),
  );
}

const assumedStages = ({ stage, stageChances: chances }: Situation) =>
  stage || !chances
    ? []
    : [...chances].flatMap(([condition, own]) => {
        const [likeliest] = [...own].sort((a, b) => b[1] - a[1]);
        return likeliest ? [{ condition, stage: likeliest[0], probability: likeliest[1] }] : [];
      });

const told = (reason: Reason) => ({ code: reason.code, weight: reason.weight, text: reasonText(reason) });

const copied = ({ covers, notes, expected }: JudgedIntervention) => ({
  covers: [...covers],
  notes: [...notes],
  expected: { ...expected, efficacy: [...expected.efficacy] as [number, number] },
});

function alertText({ code, intervention, reason }: TreatmentAlert, library: Library): string {
  if (code === 'notifiable' || code === 'ask-first')
    return `${reasonText(reason)} Stop moving plants, photograph, take nothing off the site. Authority: ${reason.facts!['authority']}.`;
  return `${library.interventions.find(({ id }) => id === intervention)!.name}: ${reasonText(reason)}`;
}
