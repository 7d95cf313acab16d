import type { Case, ClinicResult, Decision, Assessment } from '@field-nurse/contract';
import { dayAt } from '@field-nurse/core/timing';
import type { SampleState } from '../clinic/sample-state';
import type { Applied } from '../gardens/applied';

/** One thing that happened on a case, on its day. */
export type StoryEvent =
  | { readonly kind: 'opened' | 'closed'; readonly on: string }
  | { readonly kind: 'found'; readonly on: string; readonly sign: string; readonly state: 'seen' | 'absent' | 'old' }
  | { readonly kind: 'taken-for'; readonly on: string; readonly conditions: readonly string[]; readonly why: string }
  | { readonly kind: 'decided'; readonly on: string; readonly intervention: string }
  | { readonly kind: 'treated'; readonly on: string; readonly intervention: string }
  | { readonly kind: 'sent'; readonly on: string; readonly clinic: string }
  | { readonly kind: 'lost'; readonly on: string; readonly clinic: string }
  | { readonly kind: 'tested'; readonly on: string; readonly condition: string; readonly result: ClinicResult['result'] }
  | { readonly kind: 'looked'; readonly on: string; readonly severity: number; readonly photos: readonly string[] };

export interface CaseRecords {
  readonly one: Case;
  readonly decisions: readonly Decision[];
  readonly applications: readonly Applied[];
  readonly assessments: readonly Assessment[];
  readonly samples: readonly SampleState[];
  readonly timeZone: string;
}

const order: readonly StoryEvent['kind'][] = [
  'opened',
  'found',
  'taken-for',
  'sent',
  'lost',
  'tested',
  'decided',
  'treated',
  'looked',
  'closed',
];

/** The case's story by days, oldest first: what was found, what it was taken for and why, and what was done. */
export function caseStory({
  one,
  decisions,
  applications,
  assessments,
  samples,
  timeZone,
}: CaseRecords): { on: string; events: StoryEvent[] }[] {
  const events: StoryEvent[] = [
    { kind: 'opened', on: one.openedOn },
    ...one.findings.flatMap(({ sign, state, on }) => (state === 'struck' ? [] : [{ kind: 'found' as const, on, sign, state }])),
    ...one.diagnoses.map(({ on, conditions, why }) => ({ kind: 'taken-for' as const, on, conditions, why })),
    ...decisions.map(({ decidedOn, intervention }) => ({ kind: 'decided' as const, on: decidedOn, intervention })),
    ...applications.map(({ appliedAt, intervention }) => ({ kind: 'treated' as const, on: dayAt(appliedAt, timeZone), intervention })),
    ...samples.flatMap(eventsOfSample),
    ...assessments.map(({ assessedOn, severity, photos }) => ({ kind: 'looked' as const, on: assessedOn, severity, photos })),
    ...(one.closedOn ? [{ kind: 'closed' as const, on: one.closedOn }] : []),
  ];
  const days = [...new Set(events.map(({ on }) => on))].sort();
  const inOrder = events.sort((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind));
  return days.map((on) => ({ on, events: inOrder.filter((event) => event.on === on) }));
}

function eventsOfSample({ sample: { sentOn, clinicName }, step, since, results }: SampleState): StoryEvent[] {
  return [
    ...(sentOn ? [{ kind: 'sent' as const, on: sentOn, clinic: clinicName }] : []),
    ...(step === 'lost' ? [{ kind: 'lost' as const, on: since, clinic: clinicName }] : []),
    ...results.map(({ condition, result }) => ({ kind: 'tested' as const, on: since, condition, result })),
  ];
}
