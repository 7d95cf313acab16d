import { expectedLoss, pricesOf } from './expectedLoss.js';
import type { Dispute, InterventionFacts, Situation, TreatableCondition } from './interventionFacts.js';
import { cardFor } from '../label/index.js';
import type { JudgedIntervention, JudgedProduct, Verdict } from './judgedIntervention.js';
import { isChosen, planFor } from './combinedPlan.js';
import { keptShare } from './keptShare.js';
import { mustReport } from './mustReport.js';
import type { PlanStep } from './combinedPlan.js';
import { reasonsFor } from './rules.js';
import { stepsOfSchools } from './takenSchools.js';
import { weakestEvidence } from './weakestEvidence.js';
import type { Reason, ReasonCode } from './rules/reason.js';

export interface TreatmentAlert {
  readonly code: 'notifiable' | 'ask-first' | 'restricted' | 'bees' | 'harvest' | 'heat';
  /** the first that gave rise to it */
  readonly intervention: string;
  readonly reason: Reason;
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
 * Hard rules come first and no score softens them; within a verdict, what was chosen where growers differ stands first, and then options stand in
 * the order of expected loss. Watching and removing
 * compete on equal terms with the rest.
 *
 * @param interventions - all that the library holds; those that act on none of the conditions are left out
 * @returns options (fits, then with care, then ruled out), a combined plan, questions on which growers differ, and alerts
 */
export function judgeInterventions(interventions: readonly InterventionFacts[], situation: Situation): Judgement {
  const all = new Map(interventions.map((one) => [one.id, one]));
  const options = interventions
    .flatMap((intervention) => judge(intervention, situation, all) ?? [])
    .sort(
      (a, b) =>
        verdictOrder.indexOf(a.verdict) - verdictOrder.indexOf(b.verdict) || Number(isChosen(b)) - Number(isChosen(a)) || a.loss - b.loss,
    );
  const suspected = situation.conditions.some((one) => mustReport(one, situation) !== 'no');
  return {
    options,
    // What must be reported is nobody's to treat before the authority has spoken.
    plan: suspected ? [] : planFor(options, all, situation),
    disputes: disputesOf(options, all, situation),
    alerts: alertsOf(options),
  };
}

function judge(
  intervention: InterventionFacts,
  situation: Situation,
  all: ReadonlyMap<string, InterventionFacts>,
): JudgedIntervention | undefined {
  const covered = situation.conditions.flatMap((condition) =>
    condition.treat.filter((effect) => effect.intervention === intervention.id).map((effect) => ({ condition, effect })),
  );
  const suspects = intervention.id === 'call-authority' ? situation.conditions.filter((one) => mustReport(one, situation) !== 'no') : [];
  if (suspects.length > 0) return reporting(intervention, suspects, situation, all);
  if (covered.length === 0) return undefined;
  const effects = covered.map(({ effect }) => effect);
  const of = covered.map(({ condition }) => condition);
  const judgeBy = (card: InterventionFacts) => {
    const reasons = reasonsFor({ intervention: card, effects, of, all }, situation);
    return { reasons, verdict: verdictOf(reasons) };
  };
  const products = productsOf(intervention, of, situation, judgeBy);
  // What is at hand counts: where a product fits, another of the same ingredient whose label forbids it stays on the shelf.
  const { reasons, verdict } = products[0] ?? judgeBy(intervention);
  const kept = situation.conditions.map((condition) => (intervention.nextSeason ? 0 : keptShare(intervention.id, condition, situation)));
  return {
    id: intervention.id,
    name: intervention.name,
    rung: intervention.rung,
    verdict,
    reasons,
    products,
    covers: of.map(({ id }) => id),
    notes: effects.flatMap(({ note }) => note ?? []),
    evidence: weakestEvidence(effects),
    expected: {
      efficacy: [Math.min(...effects.map(({ efficacy }) => efficacy[0]!)), Math.max(...effects.map(({ efficacy }) => efficacy[1]!))],
      minutes: intervention.minutesPerPlant,
      cost: intervention.costPerPlant,
    },
    loss: expectedLoss(intervention, kept, situation.stance, pricesOf(situation)),
    steps: effects.find(({ steps }) => steps)?.steps,
    besides: stepsOfSchools(intervention, situation),
  };
}

const verdictOf = (reasons: readonly Reason[]): Verdict =>
  reasons.some(({ weight }) => weight === 'ruled-out') ? 'ruled-out' : reasons.some(({ weight }) => weight === 'care') ? 'care' : 'fits';

/** The products of an ingredient that are at hand, each by its own label; those that fit first, and of these the ones with a label of their own. */
function productsOf(
  intervention: InterventionFacts,
  of: readonly TreatableCondition[],
  { shelf, host }: Situation,
  judgeBy: (card: InterventionFacts) => Pick<JudgedProduct, 'reasons' | 'verdict'>,
): JudgedProduct[] {
  const targets = of.map(({ id }) => id);
  return (shelf ?? [])
    .filter((product) => product.intervention === intervention.id)
    .map(({ id, name, card }) => ({
      id,
      name,
      source: card?.source ?? ('typical' as const),
      ...judgeBy(card ? cardFor(intervention, card, host, targets) : intervention),
    }))
    .sort(
      (a, b) =>
        verdictOrder.indexOf(a.verdict) - verdictOrder.indexOf(b.verdict) ||
        Number(a.source === 'typical') - Number(b.source === 'typical'),
    );
}

/** Reporting a suspect: it stands first, whatever it costs. */
function reporting(
  intervention: InterventionFacts,
  suspects: readonly TreatableCondition[],
  situation: Situation,
  all: ReadonlyMap<string, InterventionFacts>,
): JudgedIntervention {
  return {
    id: intervention.id,
    name: intervention.name,
    rung: intervention.rung,
    verdict: 'fits',
    reasons: reasonsFor({ intervention, effects: [], of: suspects, all }, situation).filter(({ code }) => code === 'report-first'),
    covers: suspects.map(({ id }) => id),
    notes: [],
    evidence: 'strong',
    expected: { efficacy: [0, 0], minutes: intervention.minutesPerPlant, cost: intervention.costPerPlant },
    loss: 0,
    products: [],
    steps: undefined,
    besides: [],
  };
}

function disputesOf(
  options: readonly JudgedIntervention[],
  all: ReadonlyMap<string, InterventionFacts>,
  { conditions, schools }: Situation,
): Dispute[] {
  // What was chosen can be chosen anew, though it has ruled out what the question is about.
  const taken = new Set((schools ?? []).map(({ question }) => question));
  const open = options.flatMap(({ id, verdict }) =>
    (all.get(id)?.disputes ?? []).filter((dispute) => verdict !== 'ruled-out' || taken.has(dispute.id)),
  );
  return [...new Map([...conditions.flatMap(({ disputes }) => disputes), ...open].map((dispute) => [dispute.id, dispute])).values()];
}

const alertCodes: Readonly<Partial<Record<ReasonCode, TreatmentAlert['code']>>> = {
  notifiable: 'notifiable',
  'ask-first': 'ask-first',
  restricted: 'restricted',
  bees: 'bees',
  harvest: 'harvest',
  'too-hot': 'heat',
};

/** What must be said loudly: each kind once, with the first reason for it. */
function alertsOf(judged: readonly JudgedIntervention[]): TreatmentAlert[] {
  const found = new Map<TreatmentAlert['code'], TreatmentAlert>();
  for (const { id, reasons } of judged)
    for (const reason of reasons) {
      const code = alertCodes[reason.code];
      if (code && !found.has(code)) found.set(code, { code, intervention: id, reason });
    }
  return [...found.values()];
}
