import type { WeatherDay } from './weatherDays.js';

/** What a run of days was like. */
export interface SeasonWeather {
  readonly rainMm: number;
  /** days with a millimetre of rain or more */
  readonly rainDays: number;
  /** days on which it was at or below 0 °C at some hour */
  readonly frostDays: number;
  readonly lastFrost: string | null;
  readonly warmest: { readonly day: string; readonly maxC: number } | null;
  /** the longest run of days without a millimetre of rain, each of them known; none of a single day */
  readonly longestDry: { readonly from: string; readonly days: number } | null;
  /** days of which more than a quarter of the hours is unknown */
  readonly poorlyKnown: number;
}

// By this a day counts as a rain day in climate records; less wets the dust.
const rainDayMm = 1;
const poorlyKnownHours = 6;

/**
 * Sums over days of weather. What nobody measured counts for nothing, so that with days missing there was at least this much rain and frost.
 *
 * @param days - one after the other, as from weatherDays
 */
export function seasonWeather(days: readonly WeatherDay[]): SeasonWeather {
  const frosts = days.filter(({ minC }) => minC !== null && minC <= 0);
  const warmest = days.reduce<SeasonWeather['warmest']>(
    (best, { day, maxC }) => (maxC !== null && (!best || maxC > best.maxC) ? { day, maxC } : best),
    null,
  );
  return {
    rainMm: days.reduce((sum, { rainMm }) => sum + (rainMm ?? 0), 0),
    rainDays: days.filter(isRainDay).length,
    frostDays: frosts.length,
    lastFrost: frosts.at(-1)?.day ?? null,
    warmest,
    longestDry: longestDry(days),
    poorlyKnown: days.filter(({ missing }) => missing > poorlyKnownHours).length,
  };
}

const isRainDay = ({ rainMm }: WeatherDay) => rainMm !== null && rainMm >= rainDayMm;
const isDry = (day: WeatherDay) => day.rainMm !== null && day.missing <= poorlyKnownHours && !isRainDay(day);

function longestDry(days: readonly WeatherDay[]): SeasonWeather['longestDry'] {
  let best: SeasonWeather['longestDry'] = null;
  let begin = 0;
  days.forEach((day, i) => {
    if (!isDry(day)) begin = i + 1;
    else if (i - begin + 1 > (best?.days ?? 1)) best = { from: days[begin]!.day, days: i - begin + 1 };
  });
  return best;
}
