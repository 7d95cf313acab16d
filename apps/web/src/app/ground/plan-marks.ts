import type { Case, Assessment, Trap } from '@field-nurse/contract';
import type { RecoveryStatus } from '@field-nurse/core/recovery';
import { statusOf } from '@field-nurse/core/recovery';
import type { Applied } from '../gardens/applied';

/** What the plan shows on a planting on one day. */
export interface PlantingMarks {
  /** cases that were open then */
  readonly cases: readonly string[];
  /** how the worst of them did by then */
  readonly health: RecoveryStatus | 'sick' | 'well';
  readonly keepOut: boolean;
}

const worstFirst: readonly PlantingMarks['health'][] = ['relapsing', 'sick', 'first-look', 'level', 'recovering', 'clear', 'well'];

/** The marks of a planting as it was known on a day. */
export function marksOn(
  day: string,
  plantingId: string,
  {
    cases,
    assessments,
    applications,
  }: { readonly cases: readonly Case[]; readonly assessments: readonly Assessment[]; readonly applications: readonly Applied[] },
): PlantingMarks {
  const open = cases.filter((one) => one.plantingId === plantingId && one.openedOn <= day && (!one.closedOn || one.closedOn > day));
  const healths = open.map(({ id }): PlantingMarks['health'] => {
    const own = assessments
      .filter(({ caseId, assessedOn }) => caseId === id && assessedOn <= day)
      .sort((a, b) => a.assessedOn.localeCompare(b.assessedOn));
    return statusOf(own) ?? 'sick';
  });
  return {
    cases: open.map(({ id }) => id),
    health: worstFirst.find((health) => healths.includes(health)) ?? 'well',
    keepOut: applications.some(
      (one) =>
        one.plantingId === plantingId &&
        one.appliedAt.slice(0, 10) <= day &&
        one.reEntryAt.slice(0, 10) >= day &&
        one.reEntryAt > `${day}T12`,
    ),
  };
}

/** Where a trap stood on a day; none before it was set or after it was taken away. */
export function trapSpotOn(day: string, { spots, endedOn }: Trap): Trap['spots'][number] | undefined {
  if (endedOn && endedOn <= day) return undefined;
  return spots.findLast(({ from }) => from <= day);
}
