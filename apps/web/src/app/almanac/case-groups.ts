import type { PastSight } from '@field-nurse/contract';
import { compareGroups, groupMean } from '@field-nurse/core/recovery';
import type { GroupDifference, GroupMean } from '@field-nurse/core/recovery';

/** By what cases of one trouble are set beside each other. */
export const groupings = ['year', 'method', 'place', 'kind'] as const;
export type Grouping = (typeof groupings)[number];

/** Cases of one trouble that have something in common. */
export interface CaseGroup extends GroupMean {
  readonly name: string;
  /** mean severity of each, percent */
  readonly values: readonly number[];
}

interface Names {
  readonly intervention: (id: string) => string;
  readonly place: (id: string) => string;
  readonly host: (id: string) => string;
}

/** A case whose looks say how severe it was over time. */
type Measured = PastSight & { readonly meanSeverity: number };
const isMeasured = (sight: PastSight): sight is Measured => sight.meanSeverity !== null;

/** Troubles of which at least two cases were looked at twice, the most frequent first. */
export function comparableTroubles(sights: readonly PastSight[]): string[] {
  const counts = new Map<string, number>();
  for (const { conditions } of sights.filter(isMeasured)) for (const id of conditions) counts.set(id, (counts.get(id) ?? 0) + 1);
  return [...counts]
    .filter(([, count]) => count > 1)
    .sort((a, b) => b[1] - a[1])
    .map(([id]) => id);
}

/** The cases of a trouble in groups: years from the newest, others from the mildest. */
export function caseGroups(sights: readonly PastSight[], condition: string, by: Grouping, names: Names): CaseGroup[] {
  const groups = new Map<string, number[]>();
  for (const sight of sights.filter(isMeasured)) {
    if (!sight.conditions.includes(condition)) continue;
    const name = nameOf(sight, by, names);
    groups.set(name, [...(groups.get(name) ?? []), sight.meanSeverity]);
  }
  const all = [...groups].map(([name, values]) => ({ name, values, ...groupMean(values) }));
  return by === 'year' ? all.sort((a, b) => b.name.localeCompare(a.name)) : all.sort((a, b) => a.mean - b.mean);
}

function nameOf({ openedOn, done, place, host, cultivar }: Measured, by: Grouping, names: Names): string {
  switch (by) {
    case 'year':
      return openedOn.slice(0, 4);
    case 'method':
      return [...new Set(done.map(({ intervention }) => names.intervention(intervention)))].join(', then ') || 'Left alone';
    case 'place':
      return names.place(place);
    case 'kind':
      return cultivar ? `${names.host(host)} ${cultivar}` : names.host(host);
  }
}

/** The first group beside each other one, in words. */
export function groupWords([first, ...others]: readonly CaseGroup[]): string[] {
  if (!first) return [];
  return others.map((other) => differenceWord(first, other, compareGroups(first.values, other.values)));
}

const cases = (count: number) => `${count} ${count === 1 ? 'case' : 'cases'}`;

function differenceWord(one: CaseGroup, other: CaseGroup, { difference, interval, verdict, casesNeeded }: GroupDifference): string {
  const points = (value: number) => `${Math.abs(value).toFixed(0)}`;
  if (verdict === 'cannot-tell') {
    const need = casesNeeded === null ? 'More cases would not show one.' : `It takes about ${casesNeeded} of each.`;
    return `${one.name} and ${other.name}: cannot tell yet, by ${cases(one.values.length)} and ${cases(other.values.length)}. ${need}`;
  }
  const [low, high] = [Math.min(...interval!.map(Math.abs)), Math.max(...interval!.map(Math.abs))];
  return `${one.name}: ${points(difference)} percent of the plant ${verdict} than ${other.name}, between ${points(low)} and ${points(high)}.`;
}
