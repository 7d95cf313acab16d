import type { Application, PlannedApplication, TreatmentPlan, Written } from '@field-nurse/contract';

const noon = 12;

/** The half-day of an instant on the garden's clock. @param clock - `HH:MM` */
export const slotAt = (clock: string): PlannedApplication['slot'] => (Number(clock.slice(0, 2)) < noon ? 'morning' : 'evening');

/** A round of a plan as it is once something was applied: one that stood in the plan, or one that had no place in it yet. */
export interface RoundDone {
  readonly id: string;
  readonly version: number;
  readonly value: Written<'plannedApplications'>;
}

/** What was logged, as far as plans go by it. */
type Logged = Pick<Application, 'id' | 'intervention' | 'productId' | 'appliedBy'> & {
  readonly day: string;
  readonly slot: PlannedApplication['slot'];
  readonly targets: readonly { readonly plantingId: string; readonly caseId: string | null }[];
};

/**
 * The rounds that an application has done: of each plan that it belongs to, the next one that is open. What was done without the plan counts for it
 * all the same.
 *
 * @param plans - those that go on
 * @param newId - makes the id of a round that had no place yet
 */
export function roundsDoneBy(
  logged: Logged,
  plans: readonly TreatmentPlan[],
  planned: readonly PlannedApplication[],
  newId: () => string,
): RoundDone[] {
  return plans.flatMap((plan): RoundDone[] => {
    const target = logged.targets.find(({ plantingId }) => plantingId === plan.plantingId);
    const isOfPlan = target && (plan.caseId === null || plan.caseId === target.caseId) && plan.interventions.includes(logged.intervention);
    if (!isOfPlan || plan.startsOn > logged.day) return [];
    const own = planned.filter(({ planId }) => planId === plan.id);
    const ordinal = Array.from({ length: plan.rounds }, (_, i) => i + 1).find(
      (n) => !own.some((one) => one.ordinal === n && (one.state === 'done' || one.state === 'not-needed')),
    );
    if (ordinal === undefined) return [];
    const { id = newId(), version = 0, ...stood } = own.find((one) => one.ordinal === ordinal) ?? {};
    return [
      {
        id,
        version,
        value: {
          held: false,
          startedAt: null,
          note: '',
          ...stood,
          planId: plan.id,
          ordinal,
          intervention: logged.intervention,
          productId: logged.productId,
          plannedFor: logged.day,
          slot: logged.slot,
          person: logged.appliedBy,
          state: 'done',
          applicationId: logged.id,
        },
      },
    ];
  });
}
