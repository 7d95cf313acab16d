import { daysBetween } from '../timing/days.js';

/** A look for what may not be there any more. */
export interface FreedomLook {
  readonly date: string;
  readonly found: boolean;
  /** chance to see it, were it there, 0 to 1 */
  readonly sensitivity: number;
}

/** What a sample is worth as a look. */
export interface SampleOfPlants {
  readonly inspected: number;
  /** plants there are */
  readonly of: number;
  /** chance to see it on a plant that has it, 0 to 1 */
  readonly unitSensitivity: number;
  /** share of plants that would have it, were it there, 0 to 1 */
  readonly designPrevalence: number;
}

export interface FreedomQuestion {
  /** chance that it is there before the first look, 0 to 1 */
  readonly prior: number;
  /** in order of date */
  readonly looks: readonly FreedomLook[];
  /** chance that it comes in anew in a week, 0 to 1; 0 where it is left out */
  readonly introductionPerWeek?: number | undefined;
  /** how sure to be before it is believed gone; 0.95 where it is left out */
  readonly believe?: number | undefined;
}

export interface Freedom {
  /** that it is gone, after the last look */
  readonly probability: number;
  /** date of the first look from which on it stays as sure as is wanted */
  readonly believeFrom: string | null;
  /** more looks like the last one, without waiting; `null` where no number of them is enough */
  readonly cleanLooksNeeded: number | null;
  readonly history: readonly { readonly date: string; readonly probability: number }[];
}

const daysOfWeek = 7;
export const usualBelief = 0.95;

/**
 * Chance that a sample finds it, were it there: S = 1 − (1 − unitSensitivity × inspected/of)^(designPrevalence × of).
 *
 * Source: Cannon & Roe (1982); Martin, Shoukri & Thorburn (1992), Prev. Vet. Med. 14:33–43.
 *
 * @throws RangeError if more were inspected than there are
 */
export function sampleSensitivity({ inspected, of, unitSensitivity, designPrevalence }: SampleOfPlants): number {
  if (inspected > of) throw new RangeError(`inspected: ${inspected} plants were looked at, but there are ${of}`);
  return 1 - (1 - (unitSensitivity * inspected) / of) ** (designPrevalence * of);
}

/**
 * When may it be believed gone? A chain of looks, each of which lowers the chance that it is there; between them it may come in anew. A find makes it
 * certain that it was there, and looks alone don't undo that: after something was done, ask anew with what that leaves.
 *
 * Source: Martin, Cameron & Greiner (2007), Prev. Vet. Med. 79:71–97 (freedom from disease by Bayes' rule, with the risk of introduction).
 *
 * @throws RangeError if dates descend
 */
export function freedom({ prior, looks, introductionPerWeek = 0, believe = usualBelief }: FreedomQuestion): Freedom {
  let there = prior;
  let before = looks[0]?.date;
  const history = looks.map(({ date, found, sensitivity }) => {
    if (before! > date) throw new RangeError(`looks: dates must ascend, but ${date} comes after ${before}`);
    there = 1 - (1 - there) * (1 - introductionPerWeek) ** (daysBetween(before!, date) / daysOfWeek);
    before = date;
    there = found ? 1 : afterCleanLook(there, sensitivity);
    return { date, probability: 1 - there };
  });
  const doubted = history.findLastIndex(({ probability }) => probability < believe);
  return {
    probability: 1 - there,
    believeFrom: history[doubted + 1]?.date ?? null,
    cleanLooksNeeded: looksNeeded(there, looks.at(-1)?.sensitivity ?? 0, believe),
    history,
  };
}

const afterCleanLook = (there: number, sensitivity: number) =>
  there * sensitivity >= 1 ? there : (there * (1 - sensitivity)) / (1 - there * sensitivity);

/** Each clean look multiplies the odds that it is there by 1 − S. */
function looksNeeded(there: number, sensitivity: number, believe: number): number | null {
  if (1 - there >= believe) return 0;
  if (there >= 1 || sensitivity <= 0 || believe >= 1) return null;
  if (sensitivity >= 1) return 1;
  const odds = there / (1 - there);
  const allowed = (1 - believe) / believe;
  // A rounding error must not ask for one look more.
  const needed = Math.log(allowed / odds) / Math.log1p(-sensitivity);
  return Number.isFinite(needed) ? Math.max(1, Math.ceil(needed - 1e-9)) : null;
}
