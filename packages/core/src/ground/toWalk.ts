import { group } from 'd3-array';
import { nextAssessmentOn } from '../recovery/index.js';
import { dayAt } from '../timing/index.js';
import { plantedOnIfKnown } from './plantingOn.js';
import { quarantineState } from './quarantine.js';
import type { Quarantine, QuarantineState } from './quarantine.js';
import type { ToWalk } from './scoutingRound.js';
import type { Point } from './shape.js';

/** A planting as the round goes by it, as it stands today. */
export interface RoundPlanting {
  readonly id: string;
  readonly host: string;
  readonly setting: string;
  readonly plantedOn: string;
  /** what nobody has said of it */
  readonly assumed: readonly string[];
  readonly quarantine: Quarantine | null;
  readonly endedOn: string | null;
}

/** A look at a planting on a round. */
export interface RoundLook {
  readonly plantingId: string;
  readonly lookedAt: string;
  readonly found: boolean;
}

/** The records of a garden that a round is planned from. */
export interface RoundRecords<P extends RoundPlanting = RoundPlanting> {
  readonly plantings: readonly P[];
  readonly cases: readonly {
    readonly id: string;
    readonly plantingId: string;
    readonly openedOn: string;
    readonly closedOn: string | null;
    readonly diagnoses: readonly { readonly conditions: readonly string[] }[];
  }[];
  /** every case that the garden has had, in a line */
  readonly caseLines: readonly { readonly host: string; readonly openedOn: string; readonly conditions: readonly string[] }[];
  readonly decisions: readonly { readonly caseId: string; readonly decidedOn: string; readonly nextAssessmentOn: string }[];
  readonly assessments: readonly {
    readonly caseId: string;
    readonly plantingId: string;
    readonly assessedOn: string;
    readonly nextAssessmentOn: string | null;
  }[];
  readonly stops: readonly RoundLook[];
  readonly today: string;
  readonly timeZone: string;
}

/** What the library says of a planting's host at this time of year, and of conditions. */
export interface RoundKnowledge<P extends RoundPlanting = RoundPlanting> {
  readonly riskOf: (planting: P) => { readonly risk: number; readonly feared: string | null };
  readonly catching: (condition: string) => boolean;
  readonly at: (planting: string) => Point | null;
}

/** The plantings in growth, with what is known of each for the round. */
export function toWalk<P extends RoundPlanting>(records: RoundRecords<P>, knowledge: RoundKnowledge<P>): ToWalk[] {
  const { plantings, caseLines } = records;
  const casesOn = group(records.cases, ({ plantingId }) => plantingId);
  const assessmentsOf = group(
    inOrder(records.assessments, ({ assessedOn }) => assessedOn),
    ({ caseId }) => caseId,
  );
  const decisionsOf = group(
    inOrder(records.decisions, ({ decidedOn }) => decidedOn),
    ({ caseId }) => caseId,
  );
  const sightsOn = group(caseLines, ({ host }) => host);
  const lastLooks = lastLooksOf(records);
  return plantings
    .filter(({ endedOn }) => !endedOn)
    .map((planting): ToWalk => {
      const open = (casesOn.get(planting.id) ?? []).filter(({ closedOn }) => !closedOn);
      const dates = open.flatMap(({ id, openedOn }) => {
        const [assessments, decisions] = [assessmentsOf.get(id) ?? [], decisionsOf.get(id) ?? []];
        // A case that nobody has gone on with wants its look from the day it was opened.
        return nextAssessmentOn(assessments, decisions) ?? (assessments.length + decisions.length === 0 ? openedOn : []);
      });
      return {
        id: planting.id,
        at: knowledge.at(planting.id),
        plantedOn: plantedOnIfKnown(planting),
        sheltered: planting.setting !== 'outdoor',
        lastLookOn: lastLooks.get(planting.id) ?? null,
        caseLookOn: dates.sort()[0] ?? null,
        sick: open.length > 0,
        catching: open.some(({ diagnoses }) => (diagnoses.at(-1)?.conditions ?? []).some(knowledge.catching)),
        quarantineLookOn: quarantineOf(planting, records)?.nextLookOn ?? null,
        ...knowledge.riskOf(planting),
        firstSights: (sightsOn.get(planting.host) ?? []).map(({ openedOn, conditions }) => ({
          on: openedOn,
          conditions,
        })),
      };
    });
}

/** The newest day on which anybody looked at each planting: on a round, for a case, or when a case was opened. */
export function lastLooksOf({ stops, assessments, cases, timeZone }: Omit<RoundRecords, 'plantings'>): ReadonlyMap<string, string> {
  const stopsAt = new Map<string, string>();
  for (const { plantingId, lookedAt } of stops) if (lookedAt > (stopsAt.get(plantingId) ?? '')) stopsAt.set(plantingId, lookedAt);
  const last = new Map([...stopsAt].map(([planting, instant]) => [planting, dayAt(instant, timeZone)]));
  const days = [
    ...assessments.map(({ plantingId, assessedOn }) => [plantingId, assessedOn] as const),
    ...cases.map(({ plantingId, openedOn }) => [plantingId, openedOn] as const),
  ];
  for (const [planting, day] of days) if (day > (last.get(planting) ?? '')) last.set(planting, day);
  return last;
}

/** How far a planting's quarantine has come; none if it is not held apart. */
export function quarantineOf(
  { id, quarantine }: Pick<RoundPlanting, 'id' | 'quarantine'>,
  { stops, timeZone, today }: Pick<RoundRecords, 'stops' | 'timeZone' | 'today'>,
): QuarantineState | undefined {
  if (!quarantine || quarantine.releasedOn) return undefined;
  const looks = stops
    .filter(({ plantingId }) => plantingId === id)
    .map(({ lookedAt, found }) => ({ on: dayAt(lookedAt, timeZone), clean: !found }));
  return quarantineState(quarantine, looks, today);
}

const inOrder = <T>(list: readonly T[], day: (one: T) => string): T[] => [...list].sort((a, b) => day(a).localeCompare(day(b)));
