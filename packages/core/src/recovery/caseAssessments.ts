import { daysBetween } from '../timing/days.js';
import { looksByDay } from './lookOfDay.js';
import type { CaseAssessment } from './lookOfDay.js';
import { recoveryStatus } from './status.js';
import type { RecoveryStatus } from './status.js';

/** What was decided for a case on a day. */
export interface CaseDecision {
  readonly decidedOn: string;
  readonly nextAssessmentOn: string;
}

/**
 * Day of the assessment that is due next: what the newest assessment or decision asked for, whichever was made later; of one day the decision.
 *
 * @param assessments - of one case, in order of day
 * @param decisions - of the same case, in order of day
 */
export function nextAssessmentOn(
  assessments: readonly Pick<CaseAssessment, 'assessedOn' | 'nextAssessmentOn'>[],
  decisions: readonly CaseDecision[],
): string | undefined {
  const assessment = assessments.at(-1);
  const decision = decisions.at(-1);
  if (!assessment) return decision?.nextAssessmentOn;
  if (decision && decision.decidedOn >= assessment.assessedOn) return decision.nextAssessmentOn;
  // Of the looks of one day, at parts and at single plants, any may say when the next is due.
  const said = assessments.flatMap((one) => (one.assessedOn === assessment.assessedOn ? (one.nextAssessmentOn ?? []) : []));
  return said.sort()[0];
}

/** How the plant does, from its assessments in order of day. */
export function statusOf(assessments: readonly CaseAssessment[]): RecoveryStatus | undefined {
  const first = assessments[0];
  if (!first) return undefined;
  return recoveryStatus(
    looksByDay(assessments).map(({ assessedOn, severity, count, newGrowth }) => ({
      day: daysBetween(first.assessedOn, assessedOn),
      severity,
      count: count ?? undefined,
      newGrowth,
    })),
  );
}
