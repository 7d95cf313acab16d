import { nextAssessmentOn, statusOf } from '../recovery/index.js';
import type { CaseAssessment, CaseDecision } from '../recovery/index.js';
import { addDays, keepOutUntil, notPickedUntil } from '../timing/index.js';

/** Where a sample for a plant clinic stands. */
export type SampleStep = 'to-pack' | 'under-way' | 'in-laboratory' | 'lost' | 'reported';

/** What a garden's agenda is worked out of; plantings and applications as they are today. */
export interface GardenToday {
  readonly plantings: readonly {
    readonly id: string;
    readonly eaten: boolean;
    readonly harvest: { readonly from: string } | null;
    readonly nextHarvestOn: string | null;
    readonly endedOn: string | null;
  }[];
  readonly cases: readonly {
    readonly id: string;
    readonly plantingId: string;
    readonly closedOn: string | null;
    readonly diagnoses: readonly unknown[];
  }[];
  readonly decisions: readonly (CaseDecision & { readonly caseId: string })[];
  readonly applications: readonly {
    readonly plantingId: string;
    readonly caseId: string | null;
    readonly intervention: string;
    readonly appliedAt: string;
    readonly reEntryAt: string;
    readonly notPickedBefore: string | null;
    readonly repeatFrom: string | null;
  }[];
  readonly assessments: readonly (CaseAssessment & { readonly caseId: string })[];
  readonly samples: readonly {
    readonly sample: { readonly id: string; readonly caseId: string };
    readonly step: SampleStep;
    readonly since: string;
  }[];
  readonly today: string;
  readonly now: string;
}

/** What the garden wants today, each list in the order of urgency. */
export interface Agenda {
  readonly keepOut: readonly { readonly planting: string; readonly until: string }[];
  readonly notToPick: readonly { readonly planting: string; readonly from: string; readonly harvest: string | null }[];
  readonly assessments: readonly { readonly case: string; readonly planting: string; readonly on: string }[];
  readonly toDecide: readonly { readonly case: string; readonly planting: string; readonly step: 'diagnose' | 'decide' }[];
  readonly toRepeat: readonly { readonly case: string; readonly planting: string; readonly intervention: string; readonly from: string }[];
  /** samples to pack and send, and what came of those that were */
  readonly samples: readonly { readonly case: string; readonly sample: string; readonly step: SampleStep; readonly on: string }[];
  readonly harvests: readonly { readonly planting: string; readonly on: string; readonly safe: boolean }[];
}

const looksAheadDays = 3;
const harvestAheadDays = 7;
const newsDays = 7;

/** Work the agenda out of the garden's records. */
export function agendaFor(garden: GardenToday): Agenda {
  const { today } = garden;
  const growing = garden.plantings.filter(({ endedOn }) => !endedOn);
  const open = garden.cases.filter(({ closedOn }) => !closedOn);
  const appliedOn = (id: string) => garden.applications.filter(({ plantingId }) => plantingId === id);
  const assessmentsOf = (id: string) => garden.assessments.filter(({ caseId }) => caseId === id).sort(by(({ assessedOn }) => assessedOn));
  const decisionsOf = (id: string) => garden.decisions.filter(({ caseId }) => caseId === id).sort(by(({ decidedOn }) => decidedOn));

  return {
    keepOut: growing
      .flatMap(({ id }) => {
        const until = keepOutUntil(appliedOn(id), garden.now);
        return until ? [{ planting: id, until }] : [];
      })
      .sort(by(({ until }) => until)),
    notToPick: growing
      .flatMap(({ id, eaten, nextHarvestOn }) => {
        const from = eaten ? notPickedUntil(appliedOn(id), today) : undefined;
        return from ? [{ planting: id, from, harvest: nextHarvestOn }] : [];
      })
      .sort(by(({ from }) => from)),
    assessments: open
      .flatMap(({ id, plantingId }) => {
        const on = nextAssessmentOn(assessmentsOf(id), decisionsOf(id));
        return on && on <= addDays(today, looksAheadDays) ? [{ case: id, planting: plantingId, on }] : [];
      })
      .sort(by(({ on }) => on)),
    toDecide: open.flatMap(({ id, plantingId, diagnoses }): Agenda['toDecide'] => {
      if (diagnoses.length === 0) return [{ case: id, planting: plantingId, step: 'diagnose' }];
      return decisionsOf(id).length === 0 ? [{ case: id, planting: plantingId, step: 'decide' }] : [];
    }),
    toRepeat: open
      .flatMap(({ id, plantingId }) => {
        const status = statusOf(assessmentsOf(id));
        if (status === 'recovering' || status === 'clear') return [];
        const last = garden.applications
          .filter(({ caseId }) => caseId === id)
          .sort(by(({ appliedAt }) => appliedAt))
          .at(-1);
        return last?.repeatFrom && last.repeatFrom <= today
          ? [{ case: id, planting: plantingId, intervention: last.intervention, from: last.repeatFrom }]
          : [];
      })
      .sort(by(({ from }) => from)),
    samples: garden.samples
      .filter(({ step, since }) => step === 'to-pack' || ((step === 'reported' || step === 'lost') && since > addDays(today, -newsDays)))
      .filter(({ sample }) => open.some(({ id }) => id === sample.caseId))
      .map(({ sample, step, since }) => ({ case: sample.caseId, sample: sample.id, step, on: since }))
      .sort(by(({ on }) => on)),
    harvests: growing
      .flatMap(({ id, eaten, harvest }) => {
        // What is picked as it ripens is told once, when it begins.
        if (!eaten || !harvest || harvest.from < today || harvest.from > addDays(today, harvestAheadDays)) return [];
        const from = notPickedUntil(appliedOn(id), today);
        return [{ planting: id, on: harvest.from, safe: !from || from <= harvest.from }];
      })
      .sort(by(({ on }) => on)),
  };
}

const by =
  <T>(key: (one: T) => string) =>
  (a: T, b: T) =>
    key(a).localeCompare(key(b));
