import { normalDraw, seededRandom } from '../statistics/index.js';
import { addDays, daysBetween } from '../timing/index.js';

export type Shelter = 'outdoor' | 'greenhouse' | 'indoor';

/** A day as the season feels it. */
export interface SeasonDay {
  readonly meanC: number;
  readonly rainMm: number;
  readonly wetHours: number;
}

/** A day that was measured or is forecast. */
export interface KnownDay extends SeasonDay {
  readonly day: string;
}

/** The days of a season as far as they are known, and others to draw what is not from. */
export interface SeasonCalendar {
  readonly start: string;
  readonly days: number;
  /** of this season and of earlier ones, each once, in any order */
  readonly known: readonly KnownDay[];
  /** what the place makes of the weather */
  readonly shelter: Shelter;
  readonly hemisphere: 'north' | 'south';
}

// A house of glass is so much warmer in the mean of a day than outdoors, and never colder than this: our estimate for one that is aired and unheated.
const [glassC, glassLeastC] = [4, 5];
const roomC = 20;
// Under glass leaves are wet by dew alone.
const glassWet = 0.4;
// A year is met a few days earlier or later than it was, and a little warmer or colder.
const [shiftDays, yearC] = [6, 1];
// Without any year at hand: the mean course of a temperate one, with weather that lasts for days.
const [usualC, swingC, warmestDay, spreadC, lasting] = [11, 8, 200, 3, 0.7];
const [rainChance, rainMeanMm] = [0.4, 5];
const [usualWetHours, wetWhenRain] = [5, 9];

/**
 * The days of one run: those that are known as they were, the rest from another year at the same time of the year, which is drawn anew for each
 * run; where no year is at hand, a temperate course of days with weather that lasts.
 *
 * @param run - number of the run: the same run has the same days for every strategy
 */
export function drawDays({ start, days, known, shelter, hemisphere }: SeasonCalendar, seed: number, run: number): SeasonDay[] {
  const random = seededRandom((seed + Math.imul(run + 1, 0x85ebca6b)) >>> 0);
  const byDay = new Map(known.map((one) => [one.day, one]));
  const years = yearsBefore(byDay, start, days);
  const year = years[Math.floor(random() * years.length)];
  const [shift, warmer] = [Math.round((2 * random() - 1) * shiftDays), (2 * random() - 1) * yearC];
  let departure = spreadC * normalDraw(random);
  return Array.from({ length: days }, (_, i) => {
    const day = addDays(start, i);
    departure = lasting * departure + spreadC * Math.sqrt(1 - lasting ** 2) * normalDraw(random);
    const drawn = usualDay(usualMean(day, hemisphere) + departure, random);
    const other = year === undefined ? undefined : byDay.get(addDays(sameDay(day, year), shift));
    return sheltered(byDay.get(day) ?? (other ? { ...other, meanC: other.meanC + warmer } : drawn), shelter);
  });
}

/**
 * Degree days from the first of January, or in the south of July, to the day before the start: as far as they are known, and else as of a temperate
 * year.
 */
export function heatBefore({ start, known, shelter, hemisphere }: SeasonCalendar, lowerC: number): number {
  const begin = hemisphere === 'north' ? `${start.slice(0, 4)}-01-01` : southernBegin(start);
  const byDay = new Map(known.map((one) => [one.day, one]));
  let sum = 0;
  for (let day = begin; day < start; day = addDays(day, 1)) {
    const { meanC } = sheltered(byDay.get(day) ?? { ...dry, meanC: usualMean(day, hemisphere) }, shelter);
    sum += Math.max(0, meanC - lowerC);
  }
  return sum;
}

const dry = { rainMm: 0, wetHours: usualWetHours };
const southernBegin = (start: string) => {
  const year = Number(start.slice(0, 4));
  return start.slice(5) >= '07-01' ? `${year}-07-01` : `${year - 1}-07-01`;
};

/** Years of which most days of this stretch are known. */
function yearsBefore(byDay: ReadonlyMap<string, KnownDay>, start: string, days: number): number[] {
  const own = Number(start.slice(0, 4));
  const first = Number(([...byDay.keys()].sort()[0] ?? start).slice(0, 4));
  const years = Array.from({ length: Math.max(0, own - first) }, (_, i) => first + i);
  return years.filter((year) => {
    let there = 0;
    for (let i = 0; i < days; i++) if (byDay.has(addDays(sameDay(start, year), i))) there++;
    return there >= 0.8 * days;
  });
}

const sameDay = (day: string, year: number) => `${year}${day.slice(4).replace('-02-29', '-02-28')}`;

function usualMean(day: string, hemisphere: SeasonCalendar['hemisphere']): number {
  const ofYear = daysBetween(`${day.slice(0, 4)}-01-01`, day) + (hemisphere === 'north' ? 0 : 182);
  return usualC + swingC * Math.cos((2 * Math.PI * (ofYear - warmestDay)) / 365);
}

function usualDay(meanC: number, random: () => number): SeasonDay {
  const rains = random() < rainChance;
  const rainMm = rains ? -rainMeanMm * Math.log(1 - random()) : 0;
  return { meanC, rainMm, wetHours: usualWetHours + (rains ? wetWhenRain : 0) };
}

function sheltered({ meanC, rainMm, wetHours }: SeasonDay, shelter: Shelter): SeasonDay {
  if (shelter === 'outdoor') return { meanC, rainMm, wetHours };
  if (shelter === 'indoor') return { meanC: roomC + 0.15 * (meanC - usualC), rainMm: 0, wetHours: 0 };
  return { meanC: Math.max(glassLeastC, meanC + glassC), rainMm: 0, wetHours: wetHours * glassWet };
}
