import { expectedLoss } from './expectedLoss.js';
import type { Dispute, InterventionFacts, Situation } from './interventionFacts.js';
import type { JudgedIntervention, Verdict } from './judgedIntervention.js';
import { planFor } from './combinedPlan.js';
import type { PlanStep } from './combinedPlan.js';
import { reasonText } from './reasonText.js';
import { rules } from './rules.js';

export interface TreatmentAlert {
  readonly code: 'notifiable' | 'restricted' | 'bees' | 'harvest' | 'heat';
  readonly text: string;
}

export interface Judgement {
  readonly options: readonly JudgedIntervention[];
  readonly plan: readonly PlanStep[];
  readonly disputes: readonly Dispute[];
  readonly alerts: readonly TreatmentAlert[];
}

const verdictOrder: readonly Verdict[] = ['fits', 'care', 'ruled-out'];

/**
 * Judge every intervention that the library knows for these conditions, on this planting, today.
 *
 * Hard rules come first and no score softens them; within a verdict, options stand in the order of expected loss. Watching and removing
 * compete on equal terms with the rest.
 *
 * @param interventions - all that the library holds; those that act on none of the conditions are left out
 * @returns options (fits, then with care, then ruled out), a combined plan, questions on which growers differ, and alerts
 */
export function judgeInterventions(interventions: readonly InterventionFacts[], situation: Situation): Judgement {
  const all = new Map(interventions.map((one) => [one.id, one]));
  const options = interventions
    .flatMap((intervention) => judge(intervention, situation, all) ?? [])
    .sort((a, b) => verdictOrder.indexOf(a.verdict) - verdictOrder.indexOf(b.verdict) || a.loss - b.loss);
  return {
    options,
    plan: planFor(options, all, situation),
    disputes: disputesOf(options, all, situation),
    alerts: alertsOf(options, situation),
  };
}

function judge(intervention: InterventionFacts, situation: Situation, all: ReadonlyMap<string, InterventionFacts>): JudgedIntervention | undefined {
  const covered = situation.conditions.flatMap((condition) =>
    condition.treat.filter((effect) => effect.intervention === intervention.id).map((treatment) => ({ condition, treatment })),
  );
  if (covered.length === 0) return undefined;
  const treatments = covered.map(({ treatment }) => treatment);
  const reasons = rules.flatMap((rule) => rule({ intervention, treatments, all }, situation) ?? []);
  return {
    id: intervention.id,
    name: intervention.name,
    rung: intervention.rung,
    verdict: reasons.some(({ weight }) => weight === 'ruled-out')
      ? 'ruled-out'
      : reasons.some(({ weight }) => weight === 'care')
        ? 'care'
        : 'fits',
    reasons: reasons.map((reason) => ({ code: reason.code, weight: reason.weight, text: reasonText(reason) })),
    covers: covered.map(({ condition }) => condition.id),
    notes: treatments.flatMap(({ note }) => note ?? []),
    evidence: treatments[0]!.evidence,
    expected: {
      efficacy: [Math.min(...treatments.map(({ efficacy }) => efficacy[0]!)), Math.max(...treatments.map(({ efficacy }) => efficacy[1]!))],
      minutes: intervention.minutesPerPlant,
      cost: intervention.costPerPlant,
    },
    loss: expectedLoss(intervention, treatments, situation.conditions.length, situation.stance),
  };
}

function disputesOf(options: readonly JudgedIntervention[], all: ReadonlyMap<string, InterventionFacts>, { conditions }: Situation): Dispute[] {
  const open = options.filter(({ verdict }) => verdict !== 'ruled-out').flatMap(({ id }) => all.get(id)?.disputes ?? []);
  return [...new Map([...conditions.flatMap(({ disputes }) => disputes), ...open].map((dispute) => [dispute.id, dispute])).values()];
}

const alertCodes: Readonly<Record<string, TreatmentAlert['code']>> = {
  notifiable: 'notifiable',
  restricted: 'restricted',
  bees: 'bees',
  harvest: 'harvest',
  'too-hot': 'heat',
};

function alertsOf(options: readonly JudgedIntervention[], { region }: Situation): TreatmentAlert[] {
  const found = new Map<TreatmentAlert['code'], string>();
  for (const { name, reasons } of options)
    for (const { code, text } of reasons) {
      const alert = alertCodes[code];
      if (alert && !found.has(alert))
        found.set(
          alert,
          alert === 'notifiable'
            ? `${text} Stop moving plants, photograph, take nothing off the site. Authority: ${region.authority}.`
            : `${name}: ${text}`,
        );
    }
  return [...found].map(([code, text]) => ({ code, text }));
}
