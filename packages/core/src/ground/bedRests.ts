import { addDays } from '../timing/index.js';

/** A place that stays closed to plant families because of what lasts in its soil. */
export interface BedRest {
  readonly placeId: string;
  readonly condition: string;
  readonly families: readonly string[];
  readonly from: string;
  /** first day on which it is open again */
  readonly until: string;
}

/** A case as far as its ground keeps it: where it was, when, and what it was taken for last. */
export interface GroundCase {
  readonly placeId: string;
  readonly openedOn: string;
  readonly closedOn: string | null;
  readonly conditions: readonly string[];
}

/** What must be known of a condition: how long it lasts in the ground, and which hosts it takes. */
export interface LastingCondition {
  readonly restYears?: number | undefined;
  readonly hosts: { readonly often: readonly string[]; readonly sometimes: readonly string[] };
}

/** A test of the ground of a place for what lasts in it. */
export interface GroundTest {
  readonly placeId: string;
  readonly condition: string;
  readonly on: string;
  readonly found: boolean;
}

const daysInYear = 365.2425;

/**
 * Rests that follow from a garden's cases: from the day on which a case was closed (or opened, while it is open) for as long as its trouble lasts. A test
 * that finds nothing ends the rest on its day; one that finds it begins the years anew. Of several tests the last counts.
 *
 * @param familyOf - family of a host; none for what is a family itself
 */
export function bedRestsOf(
  cases: readonly GroundCase[],
  conditions: ReadonlyMap<string, LastingCondition>,
  familyOf: (host: string) => string | undefined,
  tests: readonly GroundTest[] = [],
): BedRest[] {
  return cases.flatMap(({ placeId, conditions: found, openedOn, closedOn }) =>
    found.flatMap((id): BedRest[] => {
      const condition = conditions.get(id);
      if (!condition?.restYears) return [];
      const taken = [...condition.hosts.often, ...condition.hosts.sometimes];
      const last = tests
        .filter((test) => test.placeId === placeId && test.condition === id && test.on >= openedOn)
        .sort((a, b) => a.on.localeCompare(b.on))
        .at(-1);
      const years = Math.round(condition.restYears * daysInYear);
      const until = last && !last.found ? last.on : addDays(last?.on ?? closedOn ?? openedOn, years);
      return [{ placeId, condition: id, families: [...new Set(taken.map((host) => familyOf(host) ?? host))], from: openedOn, until }];
    }),
  );
}

/**
 * What the ground of a place has against a plant on a day: each trouble once, with the longest of its rests.
 *
 * @param family - of the plant, or its id where it has none
 */
export function restsAgainst(rests: readonly BedRest[], placeId: string, family: string, day: string): BedRest[] {
  const longest = new Map<string, BedRest>();
  for (const rest of rests) {
    if (rest.placeId !== placeId || !rest.families.includes(family) || rest.from > day || day >= rest.until) continue;
    const known = longest.get(rest.condition);
    if (!known || known.until < rest.until) longest.set(rest.condition, rest);
  }
  return [...longest.values()].sort((a, b) => b.until.localeCompare(a.until));
}
