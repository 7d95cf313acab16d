import type { PlannedApplication, TreatmentPlan } from '@field-nurse/contract';
import type { SeasonAction, TriedStrategy } from '@field-nurse/core/season';
import { addDays, daysBetween } from '@field-nurse/core/timing';

/** A round that is set on a day of the season, counted from the day on which it is decided. */
export interface SetRound {
  readonly day: number;
  readonly action: string;
}

/** Rounds of the garden's open plans against a trouble on a planting; those that stand nowhere yet one after the other from their first day. */
export function plannedRounds(
  plans: readonly TreatmentPlan[],
  planned: readonly PlannedApplication[],
  about: { readonly planting: string; readonly condition: string; readonly today: string },
): SetRound[] {
  return plans
    .filter(({ plantingId, against, endedOn }) => plantingId === about.planting && against.includes(about.condition) && !endedOn)
    .flatMap((plan) =>
      Array.from({ length: plan.rounds }, (_, i): SetRound[] => {
        const stored = planned.find(({ planId, ordinal }) => planId === plan.id && ordinal === i + 1);
        if (stored && (stored.state === 'done' || stored.state === 'not-needed')) return [];
        const first = plan.startsOn > about.today ? plan.startsOn : about.today;
        const on = stored?.plannedFor ?? addDays(first, i * plan.betweenDays);
        return [
          {
            day: Math.max(0, daysBetween(about.today, on)),
            action: stored?.intervention ?? plan.interventions[i % plan.interventions.length]!,
          },
        ];
      }).flat(),
    )
    .sort((a, b) => a.day - b.day);
}

/** A way of rounds that are set. */
export const setStrategy = (id: string, name: string, rounds: readonly SetRound[], actions: readonly SeasonAction[]): TriedStrategy => ({
  id,
  name,
  actions: actions.filter((action) => rounds.some((round) => round.action === action.id)),
  when: { kind: 'rounds', rounds },
});

/** A round moved, at most to the ends of the season. */
export const movedRound = (rounds: readonly SetRound[], at: number, day: number, days: number): SetRound[] =>
  rounds.map((round, i) => (i === at ? { ...round, day: Math.max(0, Math.min(days - 1, day)) } : round));
