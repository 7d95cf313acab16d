import type { PlannedApplication, TreatmentPlan } from '@field-nurse/contract';

/** What is done in one go: rounds of the same thing, from the same pack, in the same half-day. */
export interface Job {
  /** id of its first round: it names the job, and what comes of it in the log */
  readonly id: string;
  readonly day: string;
  readonly slot: PlannedApplication['slot'];
  readonly intervention: string;
  readonly productId: string | null;
  readonly person: string;
  readonly isUnderWay: boolean;
  readonly rounds: readonly { readonly planned: PlannedApplication; readonly plan: TreatmentPlan }[];
}

/**
 * The jobs that are still to be done, in the order of their half-days.
 *
 * @param plans - those that go on
 */
export function jobsOf(plans: readonly TreatmentPlan[], planned: readonly PlannedApplication[]): Job[] {
  const open = planned.flatMap((one) => {
    const plan = plans.find(({ id }) => id === one.planId);
    return plan && (one.state === 'planned' || one.state === 'under-way') ? [{ planned: one, plan }] : [];
  });
  const groups = new Map<string, (typeof open)[number][]>();
  for (const one of open.sort((a, b) => a.planned.id.localeCompare(b.planned.id))) {
    const { plannedFor, slot, intervention, productId, person } = one.planned;
    const key = [plannedFor, slot, intervention, productId, person].join(' ');
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return [...groups.values()]
    .map((rounds): Job => {
      const { id, plannedFor, slot, intervention, productId, person } = rounds[0]!.planned;
      const isUnderWay = rounds.some(({ planned: { state } }) => state === 'under-way');
      return { id, day: plannedFor, slot, intervention, productId, person, isUnderWay, rounds };
    })
    .sort((a, b) => a.day.localeCompare(b.day) || b.slot.localeCompare(a.slot) || a.id.localeCompare(b.id));
}
