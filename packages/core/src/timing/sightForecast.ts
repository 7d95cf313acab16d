import { quantile } from '../statistics/index.js';
import { addDays } from './days.js';
import type { HeatDay } from './heatSum.js';

/** When something is due this year, going by earlier years. */
export interface SightForecast {
  readonly expectedOn: string;
  /** nine times in ten not before, and by then */
  readonly earliest: string;
  readonly latest: string;
  /** by warmth; by the calendar alone where too little weather is known */
  readonly by: 'heat' | 'calendar';
}

export interface SightQuestion {
  /** heat that it comes at, °C·day from the begin of the season; one for each earlier year, or as the library has it */
  readonly heats?: readonly number[] | undefined;
  /** days on which it was first seen in earlier years */
  readonly seenOn: readonly string[];
  /** days with their heat, this season's up to the last that is forecast, and earlier ones; in order */
  readonly days: readonly HeatDay[];
  /** month and day on which a season begins, MM-DD */
  readonly seasonStart: string;
  readonly today: string;
}

// A season of which less is known says nothing of its heat.
const leastKnown = 0.9;
// One year's date is good for a fortnight; more years narrow it.
const daysOfOneYear = 8;
const yearDays = 365;

/**
 * When a trouble is due this year. By heat: the season's sum so far and forecast, carried on with the warmth of each earlier year in turn, until it
 * comes to what it was in each year at first sight; all those dates together give the day and its range. Without enough weather, by the dates alone.
 *
 * Source: phenology by degree days with past seasons as scenarios (Allen 1976; resampled as in Efron & Tibshirani 1993, ch. 6).
 *
 * @returns `undefined` where no earlier year and no heat is known
 */
export function sightForecast(question: SightQuestion): SightForecast | undefined {
  const { seenOn, today, seasonStart } = question;
  const seasons = seasonsOf(question.days, seasonStart);
  const begin = beginOfSeason(today, seasonStart);
  const earlier = [...seasons].flatMap(([from, heat]) => (from < begin ? [heat] : []));
  const heats = question.heats ?? seenOn.flatMap((on) => heatUntil(seasons, on, seasonStart) ?? []);
  const dates = heats.flatMap((heat) => reachedOn(heat, seasons.get(begin) ?? [], earlier));
  if (dates.length > 0) return ranged(begin, dates, Math.min(heats.length, earlier.length || 1), 'heat');
  const offsets = seenOn.map((on) => daysAfter(beginOfSeason(on, seasonStart), on));
  return offsets.length > 0 ? ranged(begin, offsets, offsets.length, 'calendar') : undefined;
}

/** Heat from the begin of the season to the end of a day; nothing where too little is known. */
export function heatOn(days: readonly HeatDay[], on: string, seasonStart: string): number | undefined {
  return heatUntil(seasonsOf(days, seasonStart), on, seasonStart);
}

/** Heat of the days of a season from its first; a day of which nothing is known is null or left out. */
type Season = (number | null | undefined)[];

function seasonsOf(days: readonly HeatDay[], seasonStart: string): ReadonlyMap<string, Season> {
  const seasons = new Map<string, Season>();
  for (const { date, dd } of days) {
    const from = beginOfSeason(date, seasonStart);
    const own = seasons.get(from) ?? [];
    seasons.set(from, own);
    own[daysAfter(from, date)] = dd;
  }
  return seasons;
}

const beginOfSeason = (day: string, seasonStart: string): string =>
  day.slice(5) >= seasonStart ? `${day.slice(0, 4)}-${seasonStart}` : `${Number(day.slice(0, 4)) - 1}-${seasonStart}`;

// Days of the calendar have no clock: both begin at midnight in UTC.
const daysAfter = (from: string, day: string) => (Date.parse(day) - Date.parse(from)) / dayMs;
const dayMs = 86_400_000;

function heatUntil(seasons: ReadonlyMap<string, Season>, on: string, seasonStart: string): number | undefined {
  const from = beginOfSeason(on, seasonStart);
  const length = daysAfter(from, on) + 1;
  const own = known((seasons.get(from) ?? []).slice(0, length));
  if (own.length < leastKnown * length) return undefined;
  // What is not known is taken to be like the rest.
  return (sum(own) * length) / own.length;
}

/** Days of the season on which it comes to a heat: one that is known, or as each earlier season would go on. */
function reachedOn(heat: number, season: Season, earlier: readonly Season[]): number[] {
  const here = firstAt(heat, season, 0);
  if (here >= 0) return [here];
  const length = season.length;
  if (length === 0 || known(season).length < leastKnown * length) return [];
  const before = sum(known(season));
  return earlier.flatMap((other) => {
    const rest = other.slice(length);
    if (known(rest).length < leastKnown * (yearDays - length)) return [];
    const after = firstAt(heat, rest, before);
    return after < 0 ? [] : [length + after];
  });
}

function firstAt(heat: number, days: Season, from: number): number {
  let all = from;
  return days.findIndex((dd) => (all += dd ?? 0) >= heat);
}

const known = (days: Season) => days.filter((dd): dd is number => dd !== null && dd !== undefined);
const sum = (numbers: readonly number[]) => numbers.reduce((all, one) => all + one, 0);

function ranged(begin: string, dates: readonly number[], years: number, by: SightForecast['by']): SightForecast {
  const sorted = [...dates].sort((a, b) => a - b);
  const expected = Math.round(quantile(sorted, 0.5));
  const least = Math.ceil(daysOfOneYear / Math.sqrt(years));
  return {
    expectedOn: addDays(begin, expected),
    earliest: addDays(begin, Math.min(Math.round(quantile(sorted, 0.05)), expected - least)),
    latest: addDays(begin, Math.max(Math.round(quantile(sorted, 0.95)), expected + least)),
    by,
  };
}
