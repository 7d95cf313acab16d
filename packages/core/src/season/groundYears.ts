import { normalDraw, quantile, seededRandom } from '../statistics/index.js';

/** How something lasts in the ground; amounts are told beside what was there when it was found. */
export interface GroundTrouble {
  /** share that lives through a year at 10 °C in the mean */
  readonly survivesYear: number;
  /** by how much less for each degree above that */
  readonly fasterPerDegree: number;
  /** at so much half of a crop is lost */
  readonly halfLossAt: number;
  /** what a crop that is wholly lost to it leaves */
  readonly cropAdds: number;
}

interface Band {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/** How the ground stands at the beginning of a year. */
export interface GroundYear {
  /** 0 is the year in which it was found */
  readonly year: number;
  readonly left: Band;
  /** share of a crop that would be lost, if it were grown there in this year */
  readonly loss: Band;
}

const usualC = 10;
// What a year leaves is known to some percent, what it costs to a half: our estimate, as spreads of the logit and of the logarithm.
const [survivalSpread, lossSpread] = [0.35, 0.5];
const [leastSurvival, mostSurvival] = [0.02, 0.995];

/**
 * What is left in the ground year by year, and what a crop would lose to it: it dies off by a share each year, faster where it is warm, and a crop that
 * falls ill to it leaves more.
 *
 * Source: exponential decline of resting spores, as Wallenhammar (1996), Plant Pathol. 45:710–719, found it.
 *
 * @param years - how many
 * @param yearC - mean of the year, °C
 * @param crops - years in which a host grows there all the same; 0 is the year in which it was found
 */
export function groundYears(
  { survivesYear, fasterPerDegree, halfLossAt, cropAdds }: GroundTrouble,
  { years, yearC, crops = [] }: { readonly years: number; readonly yearC: number; readonly crops?: readonly number[] },
  runs = 400,
  seed = 1,
): GroundYear[] {
  const random = seededRandom(seed);
  const mean = Math.min(mostSurvival, Math.max(leastSurvival, survivesYear - fasterPerDegree * (yearC - usualC)));
  const logit = Math.log(mean / (1 - mean));
  const [left, loss] = [new Float64Array(runs * years), new Float64Array(runs * years)];
  for (let run = 0; run < runs; run++) {
    const survives = 1 / (1 + Math.exp(-(logit + survivalSpread * normalDraw(random))));
    const half = halfLossAt * Math.exp(lossSpread * normalDraw(random));
    let there = 1;
    for (let year = 0; year < years; year++) {
      left[year * runs + run] = there;
      const lost = 1 - 2 ** (-there / half);
      loss[year * runs + run] = lost;
      there = (there + (crops.includes(year) ? cropAdds * lost : 0)) * survives;
    }
  }
  const band = (of: Float64Array, year: number): Band => {
    const sorted = of.slice(year * runs, (year + 1) * runs).sort();
    return { p10: quantile(sorted, 0.1), p50: quantile(sorted, 0.5), p90: quantile(sorted, 0.9) };
  };
  return Array.from({ length: years }, (_, year) => ({ year, left: band(left, year), loss: band(loss, year) }));
}
