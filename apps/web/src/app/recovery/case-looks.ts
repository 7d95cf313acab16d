import type { Decision, Look } from '@field-nurse/contract';
import type { RecoveryStatus } from '@field-nurse/core/recovery';
import { recoveryStatus } from '@field-nurse/core/recovery';
import { daysBetween } from '@field-nurse/core/timing';

/** Day of the look that is due next: what the newest look or decision asked for, whichever was made later. */
export function nextLookOn(looks: readonly Look[], decisions: readonly Decision[]): string | undefined {
  const look = looks.at(-1);
  const decision = decisions.at(-1);
  if (!look) return decision?.lookAgainOn;
  if (decision && decision.decidedOn >= look.lookedOn) return decision.lookAgainOn;
  return look.nextLookOn ?? undefined;
}

/** How the plant does, from its looks in order of day. */
export function statusOf(looks: readonly Look[]): RecoveryStatus | undefined {
  const first = looks[0];
  if (!first) return undefined;
  return recoveryStatus(
    looks.map(({ lookedOn, severity, count, newGrowth }) => ({
      day: daysBetween(first.lookedOn, lookedOn),
      severity,
      count: count ?? undefined,
      newGrowth,
    })),
  );
}
