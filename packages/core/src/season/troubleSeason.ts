import type { SeasonAction } from './seasonAction.js';
import type { SeasonDay, Shelter } from './seasonDays.js';
import type { Resistance } from './troubleModel.js';

/** What is not known of a trouble and differs from run to run: factors, 1 for the model as it is, and a place in a range. */
export interface RunChances {
  readonly deaths: number;
  readonly breeding: number;
  readonly arrivals: number;
  readonly helpers: number;
  readonly harm: number;
  /** how many there are to begin with */
  readonly beginning: number;
  /** how much treatments do within their range, 0 to 1 */
  readonly effect: number;
}

/** The plant as it grows: what there is on it is told for a grown one. */
export interface CropGrowth {
  /** days since it was set, at the start; `null` for one that is grown already */
  readonly ageDays: number | null;
  /** days from setting to full leaf */
  readonly leafDays: number;
}

export interface PlantInPlace {
  readonly crop: CropGrowth;
  readonly shelter: Shelter;
}

/** A trouble in the course of one season on one plant. */
export interface TroubleSeason {
  /** Let a day pass. @param month - of the northern hemisphere, 1 to 12 */
  day(weather: SeasonDay, month: number): void;
  /** Do something at the start of the next day. */
  treat(action: SeasonAction): void;
  /** animals that feed on a plant; of a disease, share of leaf with spots */
  readonly amount: number;
  /** share of the harvest that is lost so far */
  readonly lost: number;
  /** helpers on a plant */
  readonly helpers: number;
  /** share of the alleles that resist, of the group that resists most */
  readonly resistant: number;
}

// A seedling has so much of the leaf that it will have.
const leastSize = 0.04;

/** How much leaf a plant has beside a grown one: logistic from the day on which it was set. @returns 0.04 to 1 */
export function sizeAt({ ageDays, leafDays }: CropGrowth, day: number): number {
  if (ageDays === null) return 1;
  const age = ageDays + day;
  // From a twenty-fifth to a half at half the time.
  const steep = (2 * Math.log(1 / leastSize - 1)) / Math.max(1, leafDays);
  return 1 / (1 + (1 / leastSize - 1) * Math.exp(-steep * age));
}

/** Harvest lost by so many feeding days: each time as many again take half of what is left to lose. */
export const lossOf = (feedingDays: number, { halfLossAt, mostLoss }: { readonly halfLossAt: number; readonly mostLoss: number }): number =>
  mostLoss * (1 - 2 ** (-feedingDays / halfLossAt));

/**
 * Share of a kill that is escaped, and the alleles after it: two alleles at one place, mated at random.
 *
 * Source: single-locus selection as in Comins (1977), J. theor. Biol. 64:177–197.
 *
 * @param alleles - share that resists before, 0 to 1
 * @param kill - share of those without any that it kills, 0 to 1
 * @param exposed - share of them all that it meets; the rest mates with them
 */
export function selected(alleles: number, kill: number, exposed: number, { dominance, escapes }: Resistance) {
  const [both, one, none] = [alleles ** 2, 2 * alleles * (1 - alleles), (1 - alleles) ** 2];
  const lives = (escaping: number) => 1 - exposed * kill * (1 - escaping);
  const [bothLive, oneLive, noneLive] = [both * lives(escapes), one * lives(escapes * dominance), none * lives(0)];
  const living = bothLive + oneLive + noneLive;
  return {
    /** share that it kills of what it meets */
    kill: exposed > 0 ? (1 - living) / exposed : 0,
    alleles: living > 0 ? (bothLive + oneLive / 2) / living : alleles,
  };
}
