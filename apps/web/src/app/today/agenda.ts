import type { Case, Decision, Assessment } from '@field-nurse/contract';
import { addDays } from '@field-nurse/core/timing';
import type { SampleState } from '../clinic/sample-state';
import type { Applied } from '../gardens/applied';
import type { Planting } from '../gardens/plantings-now';
import { keepOutUntil, safeToPickFrom } from '../plantings/intervals-now';
import { nextAssessmentOn, statusOf } from '../recovery/case-assessments';

export interface GardenToday {
  readonly plantings: readonly Planting[];
  readonly cases: readonly Case[];
  readonly decisions: readonly Decision[];
  readonly applications: readonly Applied[];
  readonly assessments: readonly Assessment[];
  readonly samples: readonly SampleState[];
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
  readonly samples: readonly { readonly case: string; readonly sample: string; readonly step: SampleState['step']; readonly on: string }[];
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
        const from = eaten ? safeToPickFrom(appliedOn(id), today) : undefined;
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
      .flatMap(({ id, eaten, nextHarvestOn }) => {
        if (!eaten || !nextHarvestOn || nextHarvestOn < today || nextHarvestOn > addDays(today, harvestAheadDays)) return [];
        const from = safeToPickFrom(appliedOn(id), today);
        return [{ planting: id, on: nextHarvestOn, safe: !from || from <= nextHarvestOn }];
      })
      .sort(by(({ on }) => on)),
  };
}

const by =
  <T>(key: (one: T) => string) =>
  (a: T, b: T) =>
    key(a).localeCompare(key(b));
