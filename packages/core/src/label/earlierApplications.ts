import { daysBetween, seasonOf } from '../timing/index.js';
import type { EarlierApplication } from './labelCard.js';

/**
 * What was done on a planting before a day, as the label's law counts it.
 *
 * @param applied - in any order; those after the day are left out
 * @param on - the day that is judged
 * @param seasonStart - month and day on which the garden's season begins, `MM-DD`
 */
export function earlierApplications(
  applied: readonly { readonly intervention: string; readonly appliedOn: string }[],
  on: string,
  seasonStart: string,
): EarlierApplication[] {
  const season = seasonOf(on, seasonStart);
  return applied
    .filter(({ appliedOn }) => appliedOn <= on)
    .map(({ intervention, appliedOn }) => ({
      intervention,
      daysAgo: daysBetween(appliedOn, on),
      thisSeason: appliedOn >= season.from,
    }));
}
