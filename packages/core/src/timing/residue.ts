/** How long what was put on keeps, and what takes it away. */
export interface ResidueFacts {
  /** days for which it is said to protect: then a tenth is left, in dry weather on leaves that don't grow */
  readonly lastsDays: number;
  /** hours without rain until it holds; films that need long are washed off more easily ever after. `undefined`: rain does nothing to it */
  readonly rainFastHours?: number | undefined;
  /** share by which leaves grow in a day; new leaf is bare */
  readonly growthPerDay?: number | undefined;
}

// A tenth is what "protects for so many days" leaves.
const leftAtEnd = 0.1;
// Contact films lose half in 15 to 50 mm of rain; those that need longer to dry lose it sooner. Hunsche et al. (2007), Crop Prot. 26:1191–1197, give
// the range for fungicides; which lies where in it is our estimate.
const halvedByMm = (rainFastHours: number) => Math.max(15, 50 - 5 * rainFastHours);

/**
 * Share of a spray that is still on the leaf, day by day: decay by half-life, wash-off that is exponential in rain, and dilution by new growth.
 *
 * @param rainMm - of each day from that of the application on; `null` where nobody measured, which washes nothing off
 * @returns 0 to 1 for each day's end; on the first day before its rain is known to have come after, all of it
 */
export function residueLeft(rainMm: readonly (number | null)[], { lastsDays, rainFastHours, growthPerDay = 0 }: ResidueFacts): number[] {
  let left = 1;
  return rainMm.map((rain, i) => {
    // Whether it rained before or after, on the day itself, a sum of the day does not tell.
    if (i === 0) return left;
    left *= residueKept(rain, { lastsDays, rainFastHours, growthPerDay });
    return left;
  });
}

/**
 * How well what is left protects, beside all of it: half as well when a tenth is left, which is when it is said to have lasted. Deposits begin far above
 * what is needed (log-logistic dose response with a slope of one).
 *
 * @param left - 0 to 1, as from `residueLeft`
 */
export const protectionLeft = (left: number): number => ((1 + leftAtEnd) * left) / (left + leftAtEnd);

/** Share of what is on the leaf that a day leaves there, 0 to 1; by the law of `residueLeft`. */
export const residueKept = (rainMm: number | null, { lastsDays, rainFastHours, growthPerDay = 0 }: ResidueFacts): number =>
  (leftAtEnd ** (1 / Math.max(1, lastsDays)) / (1 + growthPerDay)) *
  (rainFastHours === undefined ? 1 : 0.5 ** ((rainMm ?? 0) / halvedByMm(rainFastHours)));
