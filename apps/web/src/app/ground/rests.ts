import type { Case } from '@field-nurse/contract';
import { addDays } from '@field-nurse/core/timing';
import type { Condition, Host } from '@field-nurse/library';
import type { Planting } from '../gardens/plantings-now';

/** A place that stays closed to a plant family because of what lasts in its soil. */
export interface BedRest {
  readonly placeId: string;
  readonly condition: string;
  readonly families: readonly string[];
  readonly from: string;
  readonly until: string;
}

const daysInYear = 365.2425;

/** Rests that follow from the garden's cases: from the day the case was closed (or opened, while it is open) for as long as the trouble lasts. */
export function bedRestsOf(
  cases: readonly Case[],
  plantings: readonly Planting[],
  conditions: ReadonlyMap<string, Condition>,
  hosts: ReadonlyMap<string, Host>,
): BedRest[] {
  const byId = new Map(plantings.map((planting) => [planting.id, planting]));
  return cases.flatMap(({ plantingId, diagnoses, openedOn, closedOn }) =>
    (diagnoses.at(-1)?.conditions ?? []).flatMap((id): BedRest[] => {
      const [condition, planting] = [conditions.get(id), byId.get(plantingId)];
      if (!condition?.restYears || !planting) return [];
      const taken = [...condition.hosts.often, ...condition.hosts.sometimes];
      const families = [...new Set(taken.map((name) => hosts.get(name)?.family ?? name))];
      return [
        {
          placeId: planting.placeId,
          condition: id,
          families,
          from: openedOn,
          until: addDays(closedOn ?? openedOn, Math.round(condition.restYears * daysInYear)),
        },
      ];
    }),
  );
}
