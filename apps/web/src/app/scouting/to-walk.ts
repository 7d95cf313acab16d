import type { Case, Decision, Assessment, Stop } from '@field-nurse/contract';
import { quarantineState } from '@field-nurse/core/ground';
import type { Point, QuarantineState, ToWalk } from '@field-nurse/core/ground';
import { dayAt } from '@field-nurse/core/timing';
import { workingConditions } from '../cases/case-diagnoses';
import type { Planting } from '../gardens/plantings-now';
import { nextAssessmentOn } from '../recovery/case-assessments';

/** The records of a garden that a round is planned from. */
export interface RoundRecords {
  readonly plantings: readonly Planting[];
  readonly cases: readonly Case[];
  readonly decisions: readonly Decision[];
  readonly assessments: readonly Assessment[];
  readonly stops: readonly Stop[];
  readonly today: string;
  readonly timeZone: string;
}

/** What the library says of a planting's host at this time of year, and of conditions. */
export interface RoundKnowledge {
  readonly riskOf: (planting: Planting) => { readonly risk: number; readonly feared: string | null };
  readonly catching: (condition: string) => boolean;
  readonly conditionName: (condition: string) => string;
  readonly at: (planting: string) => Point | null;
}

/** The plantings in growth, with what is known of each for the round. */
export function toWalk(records: RoundRecords, knowledge: RoundKnowledge): ToWalk[] {
  const { plantings, cases, decisions, assessments } = records;
  const hostOf = new Map(plantings.map(({ id, host }) => [id, host]));
  return plantings
    .filter(({ endedOn }) => !endedOn)
    .map((planting): ToWalk => {
      const own = cases.filter(({ plantingId, closedOn }) => plantingId === planting.id && !closedOn);
      const dates = own.flatMap(({ id, openedOn }) => {
        const of = <T extends { readonly caseId: string }>(list: readonly T[], day: (one: T) => string) =>
          list.filter(({ caseId }) => caseId === id).sort((a, b) => day(a).localeCompare(day(b)));
        const ownLooks = of(assessments, ({ assessedOn }) => assessedOn);
        const ownDecisions = of(decisions, ({ decidedOn }) => decidedOn);
        // A case that nobody has gone on with wants its look from the day it was opened.
        return nextAssessmentOn(ownLooks, ownDecisions) ?? (ownLooks.length + ownDecisions.length === 0 ? openedOn : []);
      });
      return {
        id: planting.id,
        at: knowledge.at(planting.id),
        plantedOn: planting.plantedOn,
        sheltered: planting.setting !== 'outdoor',
        lastLookOn: lastLookOn(records, planting.id),
        caseLookOn: dates.sort()[0] ?? null,
        sick: own.length > 0,
        catching: own.some(({ diagnoses }) => workingConditions(diagnoses).some(knowledge.catching)),
        quarantineLookOn: quarantineOf(planting, records)?.nextLookOn ?? null,
        ...knowledge.riskOf(planting),
        firstSights: cases
          .filter(({ plantingId }) => hostOf.get(plantingId) === planting.host)
          .map(({ openedOn, diagnoses }) => ({
            on: openedOn,
            name: workingConditions(diagnoses).map(knowledge.conditionName).join(' and ') || 'Something',
          })),
      };
    });
}

/** The newest day on which anybody looked at a planting: on a round, for a case, or when a case was opened. */
export function lastLookOn({ stops, assessments, cases, timeZone }: RoundRecords, plantingId: string): string | null {
  const days = [
    ...stops.filter((one) => one.plantingId === plantingId).map(({ lookedAt }) => dayAt(lookedAt, timeZone)),
    ...assessments.filter((one) => one.plantingId === plantingId).map(({ assessedOn }) => assessedOn),
    ...cases.filter((one) => one.plantingId === plantingId).map(({ openedOn }) => openedOn),
  ];
  return days.sort().at(-1) ?? null;
}

/** How far a planting's quarantine has come; none if it is not held apart. */
export function quarantineOf(
  { id, quarantine }: Planting,
  { stops, timeZone, today }: Pick<RoundRecords, 'stops' | 'timeZone' | 'today'>,
): QuarantineState | undefined {
  if (!quarantine || quarantine.releasedOn) return undefined;
  const assessments = stops
    .filter(({ plantingId }) => plantingId === id)
    .map(({ lookedAt, found }) => ({ on: dayAt(lookedAt, timeZone), clean: !found }));
  return quarantineState(quarantine, assessments, today);
}
