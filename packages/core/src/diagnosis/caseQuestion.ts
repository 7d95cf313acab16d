import { continentAt } from './continentAt.js';

/** A case in a line: its plant, when it was, and what it was taken for last. */
export interface CaseLine {
  readonly id: string;
  readonly plantingId: string;
  readonly placeId: string;
  readonly host: string;
  readonly openedOn: string;
  readonly closedOn: string | null;
  readonly conditions: readonly string[];
}

/** What a case's question is made from beside its own record. */
export interface CaseSurroundings<Test> {
  readonly garden: { readonly latitude: number | null; readonly longitude?: number | null | undefined; readonly region: string };
  /** every case that the garden has had */
  readonly caseLines: readonly CaseLine[];
  /** mean of the last days, °C; nothing when it isn't known */
  readonly temperatureC: number | undefined;
  /** what plant clinics found */
  readonly tests: readonly Test[];
}

/** A case as far as it asks for a cause. */
export interface AskingCase<Onset extends string, Pattern extends string> {
  readonly id: string;
  readonly openedOn: string;
  readonly onset: Onset | null;
  readonly pattern: Pattern | null;
}

/**
 * The question "what is it?" of one case: its findings, its plant and month, and what else this garden has and had.
 *
 * @param planting - as it stands on the day
 * @param findings - signs seen, and looked for and absent
 */
export function caseQuestion<Onset extends string, Pattern extends string, Setting extends string, Finding, Test>(
  { id, openedOn, onset, pattern }: AskingCase<Onset, Pattern>,
  planting: { readonly host: string; readonly placeId: string; readonly setting: Setting },
  findings: readonly Finding[],
  { garden, caseLines, temperatureC, tests }: CaseSurroundings<Test>,
) {
  const continent = garden.latitude !== null && garden.longitude != null ? continentAt(garden.latitude, garden.longitude) : undefined;
  const others = caseLines.filter((one) => one.id !== id);
  return {
    host: planting.host,
    findings: [...findings],
    setting: planting.setting,
    month: Number(openedOn.slice(5, 7)),
    hemisphere: (garden.latitude ?? 1) < 0 ? ('south' as const) : ('north' as const),
    onset: onset ?? undefined,
    pattern: pattern ?? undefined,
    region: garden.region,
    ...(continent && { continent }),
    ...(temperatureC !== undefined && { temperatureC }),
    history: historyOf(others),
    ...(tests.length > 0 && { tests: [...tests] }),
    nearby: nearbyOf(others, planting.placeId, openedOn),
  };
}

/** Closed cases with a diagnosis, counted by condition and plant: what this garden has had confirmed. */
export function historyOf(
  caseLines: readonly Pick<CaseLine, 'host' | 'closedOn' | 'conditions'>[],
): { condition: string; host: string; count: number }[] {
  const counts = new Map<string, { condition: string; host: string; count: number }>();
  for (const { closedOn, host, conditions } of caseLines)
    for (const condition of closedOn ? conditions : []) {
      const key = `${condition} ${host}`;
      counts.set(key, { condition, host, count: (counts.get(key)?.count ?? 0) + 1 });
    }
  return [...counts.values()];
}

/** What is at work on other plants while a case is open. */
const nearbyOf = (caseLines: readonly CaseLine[], placeId: string, on: string) =>
  caseLines
    .filter((one) => one.openedOn <= on && (!one.closedOn || one.closedOn >= on))
    .flatMap((one) => {
      const near = one.placeId === placeId ? ('place' as const) : ('garden' as const);
      return one.conditions.map((condition) => ({ condition, near }));
    });
