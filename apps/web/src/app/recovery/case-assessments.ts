import type { Decision, Assessment } from '@field-nurse/contract';
import type { RecoveryStatus } from '@field-nurse/core/recovery';
import { recoveryStatus } from '@field-nurse/core/recovery';
import { daysBetween } from '@field-nurse/core/timing';

/** Day of the look that is due next: what the newest look or decision asked for, whichever was made later. */
export function nextAssessmentOn(looks: readonly Assessment[], decisions: readonly Decision[]): string | undefined {
  const look = looks.at(-1);
  const decision = decisions.at(-1);
  if (!look) return decision?.nextAssessmentOn;
  if (decision && decision.decidedOn >= look.assessedOn) return decision.nextAssessmentOn;
  return look.nextAssessmentOn ?? undefined;
}

/** How the plant does, from its looks in order of day. */
export function statusOf(looks: readonly Assessment[]): RecoveryStatus | undefined {
  const first = looks[0];
  if (!first) return undefined;
  return recoveryStatus(
    looks.map(({ assessedOn, severity, count, newGrowth }) => ({
      day: daysBetween(first.assessedOn, assessedOn),
      severity,
      count: count ?? undefined,
      newGrowth,
    })),
  );
}
