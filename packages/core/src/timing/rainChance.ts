/** How far a forecast of rain can be believed. */
export interface RainForecast {
  /** what it says of the half-day */
  readonly isWet: boolean;
  /** from when it was made; 0 or more */
  readonly daysAhead: number;
  /** chance of rain in a half-day of this time of the year, 0 to 1 */
  readonly usual: number;
}

// Haiden et al. (2012), Mon. Wea. Rev. 140:2720–2733: four days ahead, forecasts of rain are worth 45 % of what perfect ones would be: e^(−4/5).
const skillDays = 5;
// A temperate half-day is wet about three times in ten; it weighs as much as ten days of what was measured here.
const usualElsewhere = 0.3;
const halfDaysElsewhere = 20;

/**
 * Chance that it rains in a half-day of which a forecast speaks. At first the forecast is taken at its word; the further ahead it looks, the nearer the
 * chance comes to what is usual. Over many half-days the chances add up to the usual one, whatever the forecast is worth.
 *
 * @returns 0 to 1
 */
export function rainChance({ isWet, daysAhead, usual }: RainForecast): number {
  const skill = Math.exp(-daysAhead / skillDays);
  return Number(isWet) * skill + usual * (1 - skill);
}

/** Chance of rain in a half-day, from those that were measured here of late. @returns 0 to 1; where none was measured, that of a temperate climate */
export function usualRainChance(wasWet: readonly boolean[]): number {
  return (wasWet.filter(Boolean).length + usualElsewhere * halfDaysElsewhere) / (wasWet.length + halfDaysElsewhere);
}
