import { normalDraw, quantile, seededRandom } from '../statistics/index.js';
import { addDays, northernMonth } from '../timing/index.js';
import { DiseaseSeason } from './diseaseSeason.js';
import { growingAges, PestSeason } from './pestSeason.js';
import { RunBands } from './runBands.js';
import type { BandDay } from './runBands.js';
import { drawDays, heatBefore } from './seasonDays.js';
import type { SeasonAction } from './seasonAction.js';
import type { SeasonCalendar, SeasonDay } from './seasonDays.js';
import { SeasonPolicy } from './seasonPolicy.js';
import type { TriedStrategy } from './seasonPolicy.js';
import { requireTrouble } from './troubleModel.js';
import type { TroubleModel } from './troubleModel.js';
import type { CropGrowth, RunChances, TroubleSeason } from './troubleSeason.js';

/** A season of one trouble on one planting, that ways to meet it are tried on. */
export interface SeasonTrial {
  readonly model: TroubleModel;
  readonly calendar: SeasonCalendar;
  readonly crop: CropGrowth;
  /** there now: animals that feed, on a plant; of a disease, share of leaf with spots */
  readonly seen: number;
  readonly plants: number;
  /** what the harvest of a plant, or the plant, is worth */
  readonly plantValue: number;
  readonly hourPrice: number;
  /** what one look at the planting takes */
  readonly lookMinutes: number;
  /** first day on which it is picked; nothing where it is not eaten */
  readonly harvestDay?: number | undefined;
  /** days in flower, first and last */
  readonly flowers?: { readonly from: number; readonly until: number } | undefined;
  /** the day from which on ways differ, where the season has begun before; else 0. Days of a way are counted from it */
  readonly decidesFrom?: number | undefined;
  /** what was done before it, day by day */
  readonly done?: readonly { readonly day: number; readonly action: SeasonAction }[] | undefined;
  /** chances that are known better, from counts: a run takes one of them by its number */
  readonly fitted?: readonly FittedRun[] | undefined;
}

/** What counts of this season have left of all that could be. */
export interface FittedRun {
  readonly chances: RunChances;
}

/** What a season came to in all runs: money is for the whole planting. */
export interface TriedSeason {
  readonly id: string;
  readonly name: string;
  readonly band: readonly BandDay[];
  /** share of the harvest that is kept */
  readonly kept: { readonly p10: number; readonly p50: number; readonly p90: number };
  readonly treatments: number;
  readonly sprays: number;
  readonly looks: number;
  readonly money: number;
  readonly hours: number;
  /** harvest lost, money and work together */
  readonly cost: number;
  /** the same of each run */
  readonly costs: readonly number[];
  /** treatments that harm bees, by how much, on days in flower; and those that harm helpers */
  readonly bees: number;
  readonly helpers: number;
  /** share of alleles that resist, at the end */
  readonly resistant: number;
  /** for each day, share of the runs in which something is done */
  readonly doneOn: readonly number[];
}

/** By how much what is not known differs from run to run: spread of the logarithm. */
export const chanceSpread: Readonly<Record<Exclude<keyof RunChances, 'effect'>, number>> = {
  deaths: 0.25,
  breeding: 0.25,
  arrivals: 0.6,
  helpers: 0.6,
  harm: 0.4,
  beginning: 0.3,
};

// Two people who count the same plant differ by a quarter or so.
const lookSpread = 0.25;
export const mostRuns = 2000;

/** @throws RangeError that names the number which is wrong */
export function requireTrial({ model, calendar, seen, plants, plantValue, hourPrice, lookMinutes }: SeasonTrial, runs: number): void {
  requireTrouble(model);
  const bounds = [
    ['calendar.days', calendar.days, 1, 400],
    ['seen', seen, 0, model.kind === 'disease' ? 1 : 1e6],
    ['plants', plants, 1, 1e6],
    ['plantValue', plantValue, 0, 1e6],
    ['hourPrice', hourPrice, 0, 1e4],
    ['lookMinutes', lookMinutes, 0, 1e4],
    ['runs', runs, 1, mostRuns],
  ] as const;
  for (const [name, value, least, most] of bounds)
    if (!(value >= least && value <= most)) throw new RangeError(`${name}: must be from ${least} to ${most}, got ${value}`);
}

/** How many things are not known. */
export const unknowns = Object.keys(chanceSpread).length + 1;

/** What is not known, from standard normal numbers, one for each. */
export function chancesAt(normals: ArrayLike<number>): RunChances {
  const names = Object.keys(chanceSpread) as (keyof typeof chanceSpread)[];
  const factors = Object.fromEntries(names.map((name, i) => [name, Math.exp(chanceSpread[name] * normals[i]!)]));
  // The logistic function is the normal distribution's within a hundredth: as good as evenly from 0 to 1.
  return { ...(factors as unknown as Omit<RunChances, 'effect'>), effect: 1 / (1 + Math.exp(-1.702 * normals[names.length]!)) };
}

/** What is not known, as a run has it. @param run - its number: the same for every strategy */
export function drawChances(seed: number, run: number): RunChances {
  const random = seededRandom((seed + Math.imul(run + 1, 0x9e3779b1)) >>> 0);
  return chancesAt(Array.from({ length: unknowns }, () => normalDraw(random)));
}

/** A way to make the trouble anew for each run, with what they share worked out once. */
export function troubleMaker({ model, crop, seen, calendar }: Pick<SeasonTrial, 'model' | 'crop' | 'seen' | 'calendar'>) {
  if (model.kind === 'disease') return (chances: RunChances): TroubleSeason => new DiseaseSeason(model, crop, seen, chances);
  const flight = model.arrivals && 'count' in model.arrivals ? model.arrivals : undefined;
  const start = { seen, heatBefore: flight ? heatBefore(calendar, flight.lowerC) : 0 };
  const ages = growingAges(model);
  return (chances: RunChances): TroubleSeason => new PestSeason(model, { crop, shelter: calendar.shelter }, start, ages, chances);
}

/** Month of the northern hemisphere, for each day. */
export const monthsOf = ({ start, days, hemisphere }: SeasonCalendar): number[] =>
  Array.from({ length: days }, (_, i) => northernMonth(Number(addDays(start, i).slice(5, 7)), hemisphere));

/**
 * Try one way on a season, run after run. Weather and chances of a run go by its number, so that all ways meet the same seasons.
 *
 * @param trial - checked by `requireTrial`
 * @param heard - told the share that is done, now and then
 */
export function trySeason(
  trial: SeasonTrial,
  strategy: TriedStrategy,
  runs: number,
  seed: number,
  heard?: (share: number) => void,
): TriedSeason {
  const { calendar, plants, plantValue, hourPrice, lookMinutes } = trial;
  const make = troubleMaker(trial);
  const months = monthsOf(calendar);
  const bands = new RunBands(runs, calendar.days);
  const amounts = new Float64Array(calendar.days);
  const doneOn = new Float64Array(calendar.days);
  const all: RunSum[] = [];
  for (let run = 0; run < runs; run++) {
    const chances = trial.fitted ? trial.fitted[run % trial.fitted.length]!.chances : drawChances(seed, run);
    const random = seededRandom((seed ^ Math.imul(run + 1, 0xc2b2ae35)) >>> 0);
    const days = drawDays(calendar, seed, run);
    all.push(oneRun(trial, strategy, { season: make(chances), days, months, random }, amounts, doneOn));
    bands.add(run, amounts);
    if (run % 16 === 15) heard?.((run + 1) / runs);
  }
  const mean = (pick: (one: RunSum) => number) => all.reduce((sum, one) => sum + pick(one), 0) / runs;
  const kept = Float64Array.from(all, ({ lost }) => 1 - lost).sort();
  const costs = all.map(
    ({ lost, cost, minutes, looks }) => plants * (lost * plantValue + cost) + ((plants * minutes + looks * lookMinutes) * hourPrice) / 60,
  );
  return {
    id: strategy.id,
    name: strategy.name,
    band: bands.of(),
    kept: { p10: quantile(kept, 0.1), p50: quantile(kept, 0.5), p90: quantile(kept, 0.9) },
    treatments: mean(({ treatments }) => treatments),
    sprays: mean(({ sprays }) => sprays),
    looks: mean(({ looks }) => looks),
    money: plants * mean(({ cost }) => cost),
    hours: (plants * mean(({ minutes }) => minutes) + lookMinutes * mean(({ looks }) => looks)) / 60,
    cost: costs.reduce((sum, one) => sum + one, 0) / runs,
    costs,
    bees: mean(({ bees }) => bees),
    helpers: mean(({ helpers }) => helpers),
    resistant: mean(({ resistant }) => resistant),
    doneOn: [...doneOn].map((count) => count / runs),
  };
}

interface RunSum {
  lost: number;
  treatments: number;
  sprays: number;
  looks: number;
  cost: number;
  minutes: number;
  bees: number;
  helpers: number;
  resistant: number;
}

interface Run {
  readonly season: TroubleSeason;
  readonly days: readonly SeasonDay[];
  readonly months: readonly number[];
  readonly random: () => number;
}

function oneRun(
  { harvestDay = Infinity, flowers, decidesFrom = 0, done: past = [] }: SeasonTrial,
  strategy: TriedStrategy,
  { season, days, months, random }: Run,
  amounts: Float64Array,
  doneOn: Float64Array,
): RunSum {
  const policy = new SeasonPolicy(strategy, harvestDay - decidesFrom);
  const look = () => season.amount * Math.exp(lookSpread * normalDraw(random));
  const sum: RunSum = { lost: 0, treatments: 0, sprays: 0, looks: 0, cost: 0, minutes: 0, bees: 0, helpers: 0, resistant: 0 };
  days.forEach((weather, day) => {
    if (day < decidesFrom) {
      // What was done is the same for all, and paid.
      for (const { action } of past.filter((one) => one.day === day)) season.treat(action);
      season.day(weather, months[day]!);
      amounts[day] = season.amount;
      return;
    }
    const done = policy.todays(day - decidesFrom, weather, look);
    const inFlower = flowers !== undefined && day >= flowers.from && day <= flowers.until;
    for (const action of done) {
      season.treat(action);
      sum.treatments++;
      sum.sprays += Number(action.isSpray);
      sum.cost += action.cost;
      sum.minutes += action.minutes;
      if (inFlower) sum.bees += action.harmsBees;
      sum.helpers += action.harmsHelpers;
    }
    if (done.length > 0) doneOn[day]!++;
    season.day(weather, months[day]!);
    amounts[day] = season.amount;
  });
  return { ...sum, lost: season.lost, looks: policy.looks, resistant: season.resistant };
}
