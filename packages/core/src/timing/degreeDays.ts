/** How the course of a day's temperature is filled in between its extremes. */
export type DegreeDayMethod = 'average' | 'single-triangle' | 'double-triangle' | 'single-sine' | 'double-sine' | 'hourly';

/** What warmth above the upper threshold does: no more (horizontal), less and less (intermediate), nothing at all (vertical). */
export type Cutoff = 'horizontal' | 'intermediate' | 'vertical';

/** What a stage of life, or a plant, answers to. */
export interface HeatResponse {
  /** °C; below it nothing develops */
  readonly lower: number;
  /** °C; without it warmth has no end */
  readonly upper?: number | undefined;
  /** at the upper threshold; horizontal, where it is left out */
  readonly cutoff?: Cutoff | undefined;
}

/** Extremes of a day; `null` where nobody measured them. */
export interface DayExtremes {
  readonly min: number | null;
  readonly max: number | null;
}

/** The part of a day above a level: how far on average, and for how long, as shares of the day. */
interface Above {
  /** °C, averaged over the whole day */
  readonly degrees: number;
  readonly share: number;
}

type Course = (min: number, max: number, level: number) => Above;

/** A sine through the extremes: Baskerville & Emin (1969), Ecology 50:514–517, eqs. 2–4. */
const sine: Course = (min, max, level) => {
  const whole = above(min, max, level);
  if (whole) return whole;
  const [mean, swing] = [(max + min) / 2, (max - min) / 2];
  const crossing = Math.asin((level - mean) / swing);
  const left = Math.PI / 2 - crossing;
  return { degrees: ((mean - level) * left + swing * Math.cos(crossing)) / Math.PI, share: left / Math.PI };
};

/** Straight lines between the extremes: Lindsey & Newman (1956), Ecology 37:812–823. */
const triangle: Course = (min, max, level) => {
  const whole = above(min, max, level);
  if (whole) return whole;
  return { degrees: (max - level) ** 2 / (2 * (max - min)), share: (max - level) / (max - min) };
};

/** A day that lies wholly above or below a level. */
function above(min: number, max: number, level: number): Above | undefined {
  if (max <= level) return { degrees: 0, share: 0 };
  return min >= level ? { degrees: (max + min) / 2 - level, share: 1 } : undefined;
}

function heat(course: Course, min: number, max: number, { lower, upper, cutoff = 'horizontal' }: HeatResponse): number {
  const below = course(min, max, lower).degrees;
  if (upper === undefined) return below;
  const { degrees, share } = course(min, max, upper);
  if (cutoff === 'horizontal') return below - degrees;
  if (cutoff === 'intermediate') return Math.max(0, below - 2 * degrees);
  return below - degrees - (upper - lower) * share;
}

/** Development at one temperature, °C above the lower threshold. */
export function heatAt(celsius: number, response: HeatResponse): number {
  return heat(triangle, celsius, celsius, response);
}

const courses = { triangle, sine } as const;

/**
 * Degree days of a run of days, by the extremes of each.
 *
 * Double methods take the morning from the day's own minimum, the afternoon from that of the day after; where that is not known, from its own. The
 * average is what develops at the day's mean. In a day that is partly too hot the intermediate cutoff never takes more than the day gave.
 *
 * Sources: Baskerville & Emin (1969), Ecology 50:514–517; Lindsey & Newman (1956), Ecology 37:812–823; Allen (1976), Environ. Entomol. 5:388–396
 * (half days); Roltsch et al. (1999), Int. J. Biometeorol. 42:169–176 (cutoffs).
 *
 * @param days - one after the other
 * @returns degree days (°C·day), 0 or more, one for each day; `null` where an extreme is not known
 * @throws RangeError if a day's minimum is above its maximum, or the upper threshold is not above the lower
 */
export function degreeDays(
  days: readonly DayExtremes[],
  method: Exclude<DegreeDayMethod, 'hourly'>,
  response: HeatResponse,
): (number | null)[] {
  requireThresholds(response);
  days.forEach(({ min, max }, i) => {
    if (min !== null && max !== null && min > max)
      throw new RangeError(`days[${i}]: the minimum (${min} °C) is above the maximum (${max} °C)`);
  });
  return days.map(({ min, max }, i) => {
    if (min === null || max === null) return null;
    if (method === 'average') return heatAt((min + max) / 2, response);
    const [halves, name] = method.split('-') as ['single' | 'double', keyof typeof courses];
    const own = heat(courses[name], min, max, response);
    if (halves === 'single') return own;
    const nextMin = days[i + 1]?.min ?? min;
    return (own + heat(courses[name], Math.min(nextMin, max), max, response)) / 2;
  });
}

/**
 * Degree days of a day from its hours: the mean of what develops in each.
 *
 * @param celsius - one for each hour that is known
 * @returns `null` for fewer than eighteen hours: a day with a quarter missing may lack its noon
 */
export function degreeDayOfHours(celsius: readonly number[], response: HeatResponse): number | null {
  requireThresholds(response);
  if (celsius.length < fewestHours) return null;
  return celsius.reduce((sum, one) => sum + heatAt(one, response), 0) / celsius.length;
}

const fewestHours = 18;

function requireThresholds({ lower, upper }: HeatResponse): void {
  if (upper !== undefined && upper <= lower)
    throw new RangeError(`upper: the upper threshold (${upper} °C) must be above the lower one (${lower} °C)`);
}
