import type { Assessment, CasePart } from '@field-nurse/contract';
import { compareParts, laggingPlants } from '@field-nurse/core/recovery';
import type { ClearLook, PartComparison } from '@field-nurse/core/recovery';

/** What is compared: a part of a stand, or another case of the same trouble. */
export interface Side {
  readonly id: string;
  readonly name: string;
}

/** Two of them side by side. */
export interface Compared {
  readonly treated: Side;
  readonly other: Side;
  /** nothing where they were not counted on one day after the treatment */
  readonly comparison: PartComparison | undefined;
}

/** Every treated part beside what was left alone, or beside the part that was treated otherwise. */
export function comparedParts(
  parts: readonly CasePart[],
  looks: readonly Assessment[],
  appliedOn: (intervention: string) => string | undefined,
): Compared[] {
  const ofPart = (part: CasePart) => countsOf(looks.filter(({ partId }) => partId === part.id));
  const alone = parts.filter(({ intervention }) => intervention === null);
  const treated = parts.filter(({ intervention }) => intervention !== null);
  const pairs = alone.length > 0 ? treated.flatMap((one) => alone.map((other) => [one, other] as const)) : pairsOf(treated);
  return pairs.map(([one, other]) => {
    const on = appliedOn(one.intervention!);
    return { treated: one, other, comparison: on === undefined ? undefined : compareParts(ofPart(one), ofPart(other), on) };
  });
}

/** This case beside others of the same trouble, as far as both were counted on one day. @param appliedOn - when it was first treated */
export function comparedCases(
  own: { readonly side: Side; readonly looks: readonly Assessment[] },
  others: readonly { readonly side: Side; readonly looks: readonly Assessment[] }[],
  appliedOn: string,
): Compared[] {
  return others.flatMap(({ side, looks }) => {
    const comparison = compareParts(countsOf(own.looks), countsOf(looks), appliedOn);
    return comparison ? [{ treated: own.side, other: side, comparison }] : [];
  });
}

const countsOf = (looks: readonly Assessment[]) => ({
  looks: looks.filter(({ counts }) => counts.length > 0).map(({ assessedOn, counts }) => ({ on: assessedOn, counts })),
});

const pairsOf = <T>(list: readonly T[]) => list.flatMap((one, i) => list.slice(i + 1).map((other) => [one, other] as const));

/** How each single plant came along, with those that lag behind. */
export function plantsFollowed(looks: readonly Assessment[]) {
  const followed = [...new Set(looks.flatMap(({ plant }) => plant ?? []))].sort((a, b) => a - b);
  const courses = followed.map((plant) => {
    const own = looks.filter((look) => look.plant === plant);
    return { plant, first: own[0]!.severity, last: own.at(-1)!.severity, looks: own.length };
  });
  const lag = new Set(laggingPlants(courses.filter((one) => one.looks > 1)));
  return courses.map((one) => ({ ...one, lags: lag.has(one.plant) }));
}

/** A look tells whether it was found by what was counted, or by plants that had it; one without a count, by fresh marks. */
export const clearLooks = (looks: readonly Assessment[]): ClearLook[] =>
  looks.map(({ assessedOn, count, plantsLooked, plantsMarked, newGrowth, severity }) => ({
    on: assessedOn,
    plants: plantsLooked ?? undefined,
    found: count === null && plantsMarked === null ? newGrowth === 'marked' || severity > 0 : (count ?? 0) > 0 || (plantsMarked ?? 0) > 0,
  }));

// Eyes can't tell closer than this, percent of the plant.
const noticeable = 3;

/** Worse again after it had been better. */
export function cameBack(looks: readonly Pick<Assessment, 'severity'>[]): boolean {
  const [first, last] = [looks[0]?.severity ?? 0, looks.at(-1)?.severity ?? 0];
  const least = Math.min(...looks.map(({ severity }) => severity));
  return first - least > noticeable && last - least > noticeable;
}
