/** One emptying or reading of a trap: what it caught since the one before, and where it stood meanwhile. */
export interface TrapCatch {
  readonly spot: string;
  /** days since the check before, above 0 */
  readonly days: number;
  /** caught in that time, 0 or more */
  readonly caught: number;
}

/** What one spot catches. */
export interface SpotRate {
  readonly spot: string;
  readonly days: number;
  readonly caught: number;
  readonly perDay: number;
  /** 90 % limits of the catch per day */
  readonly between: readonly [number, number];
  readonly advice: 'keep' | 'move' | 'too-soon';
}

// A spot is judged after this long; before, chance rules.
const fairDays = 14;
const z90 = 1.645;

/**
 * Catch per day by spot, with limits, and which spots earn their place: one that surely catches less than half of what the best surely catches
 * is better moved.
 *
 * Source of the limits: Byar's approximation of the exact Poisson limits, Breslow & Day (1987), Statistical Methods in Cancer Research II, eq. 2.13.
 *
 * @returns best first
 * @throws RangeError for days of 0 or less, or negative catches
 */
export function spotRates(catches: readonly TrapCatch[]): SpotRate[] {
  const sums = new Map<string, { days: number; caught: number }>();
  for (const { spot, days, caught } of catches) {
    if (!(days > 0)) throw new RangeError(`spotRates: days must be above 0, got ${days}`);
    if (!(caught >= 0)) throw new RangeError(`spotRates: caught must be 0 or more, got ${caught}`);
    const sum = sums.get(spot) ?? { days: 0, caught: 0 };
    sums.set(spot, { days: sum.days + days, caught: sum.caught + caught });
  }
  const rates = [...sums].map(([spot, { days, caught }]) => {
    const [low, high] = poissonLimits(caught);
    return { spot, days, caught, perDay: caught / days, between: [low / days, high / days] as const };
  });
  const best = Math.max(0, ...rates.filter(({ days }) => days >= fairDays).map(({ between }) => between[0]));
  return rates
    .map((rate) => ({
      ...rate,
      advice: rate.days < fairDays ? ('too-soon' as const) : rate.between[1] < best / 2 ? ('move' as const) : ('keep' as const),
    }))
    .sort((a, b) => b.perDay - a.perDay);
}

/** 90 % limits of a Poisson count, by Byar's approximation. */
export function poissonLimits(count: number): readonly [number, number] {
  const limit = (n: number, sign: 1 | -1) => n * (1 - 1 / (9 * n) + (sign * z90) / (3 * Math.sqrt(n))) ** 3;
  return [count === 0 ? 0 : Math.max(0, limit(count, -1)), limit(count + 1, 1)];
}
