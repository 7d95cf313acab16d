import type { Product, Trap, Catch } from '@field-nurse/contract';
import type { LogLine } from './log-rows';
import { activeOf } from './log-totals';

/** What a trap caught in a year, by kind. */
export interface TrapSum {
  readonly name: string;
  readonly readings: number;
  readonly caught: readonly { readonly what: string; readonly count: number }[];
}

/** Catches by trap, the fullest first. @param year - all years, where it is left out */
export function trapSums(traps: readonly Trap[], catches: readonly Catch[], year: string | undefined): TrapSum[] {
  return traps
    .flatMap(({ id, name }) => {
      const own = catches.filter((one) => one.trapId === id && (!year || one.checkedOn.startsWith(year)));
      const counts = new Map<string, number>();
      for (const { caught } of own) for (const { what, count } of caught) counts.set(what, (counts.get(what) ?? 0) + count);
      const caught = [...counts].map(([what, count]) => ({ what, count })).sort((a, b) => b.count - a.count);
      return own.length > 0 ? [{ name, readings: own.length, caught }] : [];
    })
    .sort((a, b) => total(b) - total(a));
}

const total = ({ caught }: TrapSum) => caught.reduce((sum, { count }) => sum + count, 0);

/** What one ingredient that stays in the soil comes to in a place. */
export interface SoilSum {
  readonly ingredient: string;
  readonly place: string;
  readonly times: number;
  /** grams of it, of the packs whose strength is known */
  readonly activeG: number;
  /** the same over the area of the place; nothing where that is not known */
  readonly gPerM2: number | undefined;
  /** times of which the amount or the strength is not known */
  readonly unknown: number;
}

/**
 * Ingredients whose season is counted together over several cards, by place.
 *
 * @param countsAs - what a card is counted as, where it is counted together with others
 * @param areaOf - area of a place, where it is known
 */
export function soilSums(
  lines: readonly LogLine[],
  {
    products,
    countsAs,
    areaOf,
  }: {
    readonly products: ReadonlyMap<string, Product>;
    readonly countsAs: (intervention: string) => string | undefined;
    readonly areaOf: (place: string) => number | undefined;
  },
): SoilSum[] {
  const sums = new Map<string, SoilSum>();
  for (const line of lines) {
    const ingredient = countsAs(line.intervention);
    if (!ingredient) continue;
    const product = products.get(line.productId ?? '');
    const active = product && activeOf(product, line.productMl ?? 0, line.productG ?? 0);
    const plants = line.targets.reduce((sum, target) => sum + target.plants, 0);
    for (const place of new Set(line.targets.map((target) => target.place))) {
      const here = line.targets.filter((target) => target.place === place).reduce((sum, target) => sum + target.plants, 0);
      const key = `${ingredient} ${place}`;
      const before = sums.get(key) ?? { ingredient, place, times: 0, activeG: 0, gPerM2: undefined, unknown: 0 };
      const activeG = before.activeG + ((active ?? 0) * here) / plants;
      const area = areaOf(place);
      sums.set(key, {
        ...before,
        times: before.times + 1,
        activeG,
        gPerM2: area ? activeG / area : undefined,
        unknown: before.unknown + (active === undefined ? 1 : 0),
      });
    }
  }
  return [...sums.values()].sort((a, b) => (b.gPerM2 ?? 0) - (a.gPerM2 ?? 0) || a.place.localeCompare(b.place));
}
