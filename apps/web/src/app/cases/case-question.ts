import type { Case, DifferentialRequest, GardenSummary } from '@field-nurse/contract';
import type { Planting } from '../gardens/plantings-now';
import { workingConditions } from './case-diagnoses';
import type { Chip } from './case-findings';
import { evidenceOf } from './case-findings';

/** What a case's question is made from beside its own record. */
export interface CaseSurroundings {
  readonly garden: Pick<GardenSummary, 'latitude' | 'region'>;
  readonly plantings: readonly Planting[];
  readonly cases: readonly Case[];
  /** mean of the last days, °C; nothing when it isn't known */
  readonly temperatureC: number | undefined;
  /** what plant clinics found */
  readonly tests: NonNullable<DifferentialRequest['tests']>;
}

/** The question "what is it?" of one case: its findings, its plant and month, and what else this garden has and had. */
export function caseQuestion(
  { id, openedOn, onset, pattern }: Pick<Case, 'id' | 'openedOn' | 'onset' | 'pattern'>,
  planting: Planting,
  chips: readonly Chip[],
  { garden, plantings, cases, temperatureC, tests }: CaseSurroundings,
): DifferentialRequest {
  const others = cases.filter((one) => one.id !== id);
  return {
    host: planting.host,
    findings: evidenceOf(chips),
    setting: planting.setting,
    month: Number(openedOn.slice(5, 7)),
    hemisphere: (garden.latitude ?? 1) < 0 ? 'south' : 'north',
    onset: onset ?? undefined,
    pattern: pattern ?? undefined,
    region: garden.region,
    ...(temperatureC !== undefined && { temperatureC }),
    history: historyOf(others, plantings),
    ...(tests.length > 0 && { tests }),
    nearby: nearbyOf(others, plantings, planting, openedOn),
  };
}

/** Closed cases with a diagnosis, counted by condition and plant: what this garden has had confirmed. */
export function historyOf(cases: readonly Case[], plantings: readonly Planting[]): NonNullable<DifferentialRequest['history']> {
  const counts = new Map<string, { condition: string; host: string; count: number }>();
  for (const { closedOn, plantingId, diagnoses } of cases) {
    const host = plantings.find((one) => one.id === plantingId)?.host;
    if (!closedOn || !host) continue;
    for (const condition of workingConditions(diagnoses)) {
      const key = `${condition} ${host}`;
      const known = counts.get(key) ?? { condition, host, count: 0 };
      counts.set(key, { ...known, count: known.count + 1 });
    }
  }
  return [...counts.values()];
}

/** What is at work on other plants while this case is open. */
function nearbyOf(
  cases: readonly Case[],
  plantings: readonly Planting[],
  { placeId }: Planting,
  on: string,
): NonNullable<DifferentialRequest['nearby']> {
  return cases
    .filter((one) => one.openedOn <= on && (!one.closedOn || one.closedOn >= on))
    .flatMap(({ plantingId, diagnoses }) => {
      const near = plantings.find((one) => one.id === plantingId)?.placeId === placeId ? ('place' as const) : ('garden' as const);
      return workingConditions(diagnoses).map((condition) => ({ condition, near }));
    });
}
