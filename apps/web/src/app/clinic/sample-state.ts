import type { ClinicReport, ClinicResult, ClinicSample, DifferentialRequest } from '@field-nurse/contract';

/** Where a sample stands, from what the gardener wrote of it and what its clinic said. */
export interface SampleState {
  readonly sample: ClinicSample;
  readonly step: 'to-pack' | 'under-way' | 'in-laboratory' | 'lost' | 'reported';
  /** day on which it came to that */
  readonly since: string;
  /** the clinic's own number */
  readonly reference: string | null;
  readonly results: readonly ClinicResult[];
  /** the clinic did not answer when it was last asked */
  readonly silent: boolean;
}

/** @param report - none for a sample whose results are typed in, or whose clinic has not answered yet */
export function sampleState(sample: ClinicSample, report: ClinicReport | undefined): SampleState {
  const known = { sample, reference: report?.reference ?? null, silent: (report?.failedAt ?? null) !== null, results: [] };
  if (sample.reportedOn) return { ...known, step: 'reported', since: sample.reportedOn, results: sample.results };
  if (!sample.sentOn) return { ...known, step: 'to-pack', since: sample.registeredOn };
  if (!report || report.status === 'waiting' || report.status === 'registered')
    return { ...known, step: 'under-way', since: sample.sentOn };
  return { ...known, step: report.status, since: report.since ?? sample.sentOn, results: report.results };
}

/** What the clinics' results say to the reasoner; one that told nothing says nothing. */
export function testsFrom(states: readonly SampleState[]): NonNullable<DifferentialRequest['tests']> {
  return states.flatMap(({ results }) =>
    results.flatMap(({ result, ...test }) => (result === 'inconclusive' ? [] : [{ ...test, result }])),
  );
}
