import type { Assessment } from './status.js';

/** How a case was found on a day, and when it is to be looked at again. */
export interface CaseAssessment {
  readonly assessedOn: string;
  readonly nextAssessmentOn: string | null;
  /** the part, and the plant, that was looked at; none: the whole */
  readonly partId: string | null;
  readonly plant: number | null;
  readonly severity: number;
  readonly count: number | null;
  readonly newGrowth: Assessment['newGrowth'];
}

const worst: readonly CaseAssessment['newGrowth'][] = ['marked', 'unknown', 'clean', 'none'];

/**
 * One look for each day: that at the whole; where only parts or single plants were looked at, what they come to: mean severity, all that was counted,
 * the worst new growth.
 *
 * @param looks - in order of day
 */
export function looksByDay<L extends CaseAssessment>(looks: readonly L[]): L[] {
  return [...new Set(looks.map(({ assessedOn }) => assessedOn))].map((day) => {
    const own = looks.filter(({ assessedOn }) => assessedOn === day);
    const whole = own.findLast((look) => look.partId === null && look.plant === null);
    if (whole) return whole;
    const counted = own.flatMap(({ count }) => count ?? []);
    return {
      ...own.at(-1)!,
      severity: own.reduce((sum, { severity }) => sum + severity, 0) / own.length,
      count: counted.length > 0 ? counted.reduce((sum, count) => sum + count, 0) : null,
      newGrowth: worst.find((one) => own.some(({ newGrowth }) => newGrowth === one))!,
    };
  });
}
