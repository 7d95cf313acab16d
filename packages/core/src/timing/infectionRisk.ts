import { hourMs } from './weatherHour.js';

/** What a fungus or its like needs to get into a leaf. */
export interface InfectionModel {
  /** °C; at and below it nothing happens */
  readonly tMin: number;
  /** °C; here it needs the fewest hours */
  readonly tOpt: number;
  /** °C; at and above it nothing happens */
  readonly tMax: number;
  /** hours of wetness needed at the best temperature */
  readonly wMin: number;
  /** hours that are enough at any temperature at which it lives; without it there is no such limit */
  readonly wMax?: number | undefined;
  /** dry hours in a row that a wet period survives; 0 where it is left out */
  readonly dryHoursForgiven?: number | undefined;
}

/** An hour as the model asks for it. */
export interface InfectionHour {
  /** begin of the hour as it is told: a label of the answer */
  readonly time: string;
  /** the same in milliseconds since 1970 */
  readonly ms: number;
  readonly temperatureC: number;
  /** whether leaves were wet; `null` where nothing tells */
  readonly wet: boolean | null;
}

/** A run of wet hours. */
export interface WetPeriod {
  /** begin of its first wet hour, and of its last */
  readonly start: string;
  readonly end: string;
  readonly wetHours: number;
  /** mean temperature of the wet hours */
  readonly meanC: number;
  /** wet hours that it takes at that temperature; `null` where it can't happen at all */
  readonly needed: number | null;
  readonly infected: boolean;
  /** 0 to 1: from half on it is infected, at 1 it was wet for twice as long as is needed */
  readonly severity: number;
}

/**
 * How fast infection goes at a temperature, as a share of the fastest.
 *
 * Source: Yan & Hunt (1999), Ann. Bot. 84:607–614, as used by Magarey, Sutton & Russo (2005), Phytopathology 95:92–100, eq. 3.
 *
 * @returns 0 to 1; 0 at and outside the limits
 */
export function temperatureResponse(celsius: number, { tMin, tOpt, tMax }: Pick<InfectionModel, 'tMin' | 'tOpt' | 'tMax'>): number {
  if (celsius <= tMin || celsius >= tMax) return 0;
  return ((tMax - celsius) / (tMax - tOpt)) * ((celsius - tMin) / (tOpt - tMin)) ** ((tOpt - tMin) / (tMax - tOpt));
}

/**
 * Hours of wetness that infection takes at a temperature.
 *
 * Source: Magarey, Sutton & Russo (2005), Phytopathology 95:92–100, eq. 1.
 *
 * @returns hours; `null` where it can't happen
 */
export function hoursNeeded(celsius: number, model: InfectionModel): number | null {
  const response = temperatureResponse(celsius, model);
  return response === 0 ? null : Math.min(model.wMax ?? Infinity, model.wMin / response);
}

/**
 * The wet periods of a run of hours, and which of them let the disease in. An hour that is missing, or of which nothing tells whether leaves were wet,
 * ends a period: what is not known is not filled in.
 *
 * @param hours - in order of time, each hour once
 * @throws RangeError for temperatures out of order, or hours that don't ascend
 */
export function infectionPeriods(hours: readonly InfectionHour[], model: InfectionModel): WetPeriod[] {
  requireModel(model);
  const forgiven = model.dryHoursForgiven ?? 0;
  const runs: InfectionHour[][] = [];
  let dry = Infinity;
  let last = -Infinity;
  for (const hour of hours) {
    const at = hour.ms;
    if (at <= last) throw new RangeError(`hours: times must ascend, but ${hour.time} comes after a later one`);
    if (at - last > hourMs || hour.wet === null) dry = Infinity;
    last = at;
    if (hour.wet === null) continue;
    if (!hour.wet) {
      dry++;
      continue;
    }
    if (dry <= forgiven) runs.at(-1)!.push(hour);
    else runs.push([hour]);
    dry = 0;
  }
  return runs.map((run) => periodOf(run, model));
}

function periodOf(run: readonly InfectionHour[], model: InfectionModel): WetPeriod {
  const wetHours = run.length;
  const meanC = run.reduce((sum, { temperatureC }) => sum + temperatureC, 0) / wetHours;
  const needed = hoursNeeded(meanC, model);
  return {
    start: run[0]!.time,
    end: run.at(-1)!.time,
    wetHours,
    meanC,
    needed,
    infected: needed !== null && wetHours >= needed,
    severity: needed === null ? 0 : Math.min(1, wetHours / needed / 2),
  };
}

function requireModel({ tMin, tOpt, tMax, wMin, wMax }: InfectionModel): void {
  if (!(tMin < tOpt && tOpt < tMax)) throw new RangeError(`model: tMin < tOpt < tMax is needed, got ${tMin}, ${tOpt} and ${tMax} °C`);
  if (!(wMin > 0)) throw new RangeError(`model: wMin must be above 0 hours, got ${wMin}`);
  if (wMax !== undefined && wMax < wMin) throw new RangeError(`model: wMax (${wMax} h) must not be below wMin (${wMin} h)`);
}

/** A day of which it is known how warm it was and for how long leaves were wet. */
export interface InfectionDay {
  readonly day: string;
  readonly minC: number | null;
  readonly maxC: number | null;
  readonly wetHours: number | null;
}

/**
 * Days on which leaves were wet for as long as infection takes at the day's mean temperature: what sums by days can tell where hours are not at hand.
 * Wet hours of two nights count as one run, and a night's that midnight divides as two: over a season it tells which weeks were dangerous, not which
 * night.
 *
 * @returns days, in the order of `days`; those of which anything is unknown are left out
 */
export function infectionDays(days: readonly InfectionDay[], model: InfectionModel): string[] {
  return days.flatMap(({ day, minC, maxC, wetHours }) => {
    if (minC === null || maxC === null || wetHours === null) return [];
    const needed = hoursNeeded((minC + maxC) / 2, model);
    return needed !== null && wetHours >= needed ? [day] : [];
  });
}
