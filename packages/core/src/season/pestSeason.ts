import { protectionLeft, residueKept } from '../timing/index.js';
import { Population } from './population.js';
import { effectOf } from './seasonAction.js';
import type { SeasonAction } from './seasonAction.js';
import type { SeasonDay, Shelter } from './seasonDays.js';
import type { PestTrouble } from './troubleModel.js';
import { lossOf, selected, sizeAt } from './troubleSeason.js';
import type { CropGrowth, PlantInPlace, RunChances, TroubleSeason } from './troubleSeason.js';

/** How a pest stands at the start. */
export interface PestStart {
  /** of those that feed, on a plant; ages as in a growing population */
  readonly seen: number;
  /** degree days since the year began, above the threshold of its flight */
  readonly heatBefore: number;
}

// What figures of development and egg laying are told at.
const usualC = 20;
// Egg laying and hunting go with warmth, and not for ever.
const mostWarmth = 1.6;
// Where as many feed as a plant can bear, so many more die in a day.
const crowdedDeaths = 0.15;
const mostCrowded = 6;
const mostGrowth = 4;
// Through doors and vents comes so much of what comes outdoors: our estimate.
const comesIn = { outdoor: 1, greenhouse: 0.4, indoor: 0.05 } as const;
const helpersComeIn = { outdoor: 1, greenhouse: 0.3, indoor: 0 } as const;
// A residue is forgotten when so little of it is left.
const leastLeft = 0.01;
const mostShare = 1 - 1e-9;

interface Residue {
  readonly action: SeasonAction;
  /** at which it kills each stage when all of it is there, per day */
  readonly hazards: Float64Array;
  left: number;
}

/**
 * A pest on one plant through a season: stages as distributed delays, with helpers that eat it, crowding, arrivals, treatments and what stays of them,
 * and resistance. Within a day rates are constant and the delays are solved as `Population` does; helpers and crowding are set anew each day from what
 * there is at its start.
 *
 * Sources: Manetsch (1976); Holling (1959), Can. Entomol. 91:385–398 (type II); Comins (1977) (resistance).
 */
export class PestSeason implements TroubleSeason {
  readonly #model: PestTrouble;
  readonly #chances: RunChances;
  readonly #crop: CropGrowth;
  readonly #shelter: Shelter;
  readonly #population: Population;
  readonly #counts: Float64Array;
  readonly #hazards: Float64Array;
  readonly #eaten: readonly number[];
  readonly #alleles = new Map<string, number>();
  #residues: Residue[] = [];
  #heat: number;
  #today = 0;
  #feedingDays = 0;
  #preyBefore = 0;
  /** share of what comes in that nothing keeps off */
  #open = 1;
  helpers: number;

  /** @param ages - substages in a growing population, from `growingAges` */
  constructor(model: PestTrouble, { crop, shelter }: PlantInPlace, start: PestStart, ages: Float64Array, chances: RunChances) {
    this.#model = model;
    this.#chances = chances;
    this.#crop = crop;
    this.#shelter = shelter;
    this.#heat = start.heatBefore;
    this.#population = populationOf(model);
    this.#population.takeUp(ages.map((share) => share * start.seen * chances.beginning));
    this.#counts = new Float64Array(model.stages.length);
    this.#hazards = new Float64Array(model.stages.length);
    this.#eaten = model.stages.map(({ id }) => model.enemies?.eats[id] ?? 0);
    this.helpers = (model.enemies?.initial ?? 0) * chances.helpers;
    this.#population.count(this.#counts);
  }

  get amount(): number {
    let sum = 0;
    for (let i = 0; i < this.#counts.length; i++) if (this.#model.stages[i]!.feeds > 0) sum += this.#counts[i]!;
    return sum;
  }

  get lost(): number {
    return lossOf(this.#feedingDays, this.#model.harm);
  }

  get resistant(): number {
    return Math.max(this.#model.resistance.start, ...this.#alleles.values());
  }

  /** how many of each stage there are on a plant */
  get counts(): ArrayLike<number> {
    return this.#counts;
  }

  treat(action: SeasonAction): void {
    const { stages } = this.#model;
    const shares = stages.map((stage) => {
      const share = effectOf(action, stage.id, this.#chances.effect);
      return action.reachesSheltered ? share : Math.min(share, 1 - stage.sheltered);
    });
    const kills = action.group === undefined ? shares : this.#select(action.group, shares);
    this.#population.kill(kills);
    this.#population.count(this.#counts);
    if (action.residue) {
      const hazards = Float64Array.from(kills, (share) => -Math.log1p(-Math.min(share, mostShare)));
      this.#residues.push({ action, hazards, left: 1 });
    }
    this.#open *= 1 - effectOf(action, 'arrivals', this.#chances.effect);
    this.#preyBefore = 0;
    this.helpers = this.helpers * action.sparesHelpers + (action.releases ?? 0) * this.#chances.helpers;
  }

  day(weather: SeasonDay, month: number): void {
    const { stages, upperC, crowdedAt } = this.#model;
    const celsius = Math.min(weather.meanC, upperC);
    const size = sizeAt(this.#crop, this.#today);
    const crowd = Math.min(mostCrowded, this.amount / (crowdedAt * size));
    this.#hazards.fill(0);
    this.#hunt(celsius, size);
    this.#stay(weather.rainMm);
    for (let i = 0; i < stages.length; i++) if (stages[i]!.feeds > 0) this.#hazards[i]! += crowdedDeaths * crowd;
    const adult = stages.at(-1)!;
    const warmth = Math.min(mostWarmth, Math.max(0, celsius - adult.lowerC) / (usualC - adult.lowerC));
    const eggs = (warmth * this.#chances.breeding) / (1 + crowd ** 2);
    const arrivals = this.#open * comesIn[this.#shelter] * this.#arriving(celsius, month);
    const before = this.#fed();
    this.#population.day(celsius, this.#hazards, { mortality: this.#chances.deaths, eggs, arrivals });
    this.#population.count(this.#counts);
    // A small plant is eaten up by few.
    this.#feedingDays += ((before + this.#fed()) / 2 / size) * this.#chances.harm;
    this.#today++;
  }

  /** Animals that feed, by how much of the damage each does. */
  #fed(): number {
    let sum = 0;
    for (let i = 0; i < this.#counts.length; i++) sum += this.#counts[i]! * this.#model.stages[i]!.feeds;
    return sum;
  }

  /** What helpers eat today, and how many there are tomorrow. */
  #hunt(celsius: number, size: number): void {
    const { enemies } = this.#model;
    if (!enemies) return;
    const { mostPerDay, halfAt, lowerC, youngPerPrey, lifeDays, arrivePerDay } = enemies;
    const active = Math.min(mostWarmth, Math.max(0, celsius - lowerC) / (usualC - lowerC));
    let prey = 0;
    for (let i = 0; i < this.#counts.length; i++) prey += this.#counts[i]! * this.#eaten[i]!;
    const arriving = helpersComeIn[this.#shelter] * arrivePerDay * this.#chances.helpers * active;
    // At noon there are as many more of the pest as there were more this morning than the day before.
    const noon = prey * Math.sqrt(Math.min(mostGrowth, Math.max(1 / mostGrowth, this.#preyBefore > 0 ? prey / this.#preyBefore : 1)));
    this.#preyBefore = prey;
    const scarce = halfAt * size + noon;
    const hazardOf = (helpers: number) => (mostPerDay * active * helpers) / scarce;
    const gained = (helpers: number) => noon * (hazardOf(helpers) * youngPerPrey + arriving / scarce) - helpers / lifeDays;
    const helpersAtNoon = Math.max(0, this.helpers + gained(this.helpers) / 2);
    for (let i = 0; i < this.#counts.length; i++) this.#hazards[i]! += hazardOf(helpersAtNoon) * this.#eaten[i]!;
    this.helpers = Math.max(0, this.helpers + gained(helpersAtNoon));
  }

  /** What is still on the leaf goes on killing; rain and new leaf take of it. */
  #stay(rainMm: number): void {
    const grown = sizeAt(this.#crop, this.#today + 1) / sizeAt(this.#crop, this.#today) - 1;
    for (const one of this.#residues) {
      const after = one.left * residueKept(rainMm, { ...one.action.residue!, growthPerDay: grown });
      const mean = (protectionLeft(one.left) + protectionLeft(after)) / 2;
      for (let i = 0; i < this.#hazards.length; i++) this.#hazards[i]! += one.hazards[i]! * mean;
      one.left = after;
    }
    this.#residues = this.#residues.filter(({ left }) => left > leastLeft);
  }

  #arriving(celsius: number, month: number): number {
    const { arrivals } = this.#model;
    if (!arrivals) return 0;
    if ('perDay' in arrivals) return arrivals.months.includes(month) ? arrivals.perDay * this.#chances.arrivals : 0;
    const { count, atDegreeDays, spread, lowerC } = arrivals;
    const before = this.#heat;
    this.#heat += Math.max(0, celsius - lowerC);
    return count * this.#chances.arrivals * (risen(this.#heat, atDegreeDays, spread) - risen(before, atDegreeDays, spread));
  }

  /** Shares that are killed in spite of those that resist, and more of these ever after. */
  #select(group: string, shares: readonly number[]): number[] {
    const { resistance, stages } = this.#model;
    const alleles = this.#alleles.get(group) ?? resistance.start;
    const total = this.#counts.reduce((sum, count) => sum + count, 0);
    let after = 0;
    const kills = shares.map((share, i) => {
      const met = selected(alleles, share, 1, resistance);
      // All stages draw on the same alleles: a stage counts for how many of them there are.
      after += (total > 0 ? this.#counts[i]! / total : 1 / stages.length) * met.alleles;
      return met.kill;
    });
    this.#alleles.set(group, after);
    return kills;
  }
}

// Logistic in place of normal, of the same spread.
const risen = (heat: number, half: number, spread: number) => 1 / (1 + Math.exp((-(heat - half) / spread) * (Math.PI / Math.sqrt(3))));

/** The delays of a pest, without enemies and treatments; what arrives is told day by day. */
export function populationOf({ stages, eggsPerAdultDay, femaleShare, arrivals }: PestTrouble): Population {
  return new Population({ stages, eggsPerAdultDay, femaleShare, initial: {} }, { stage: arrivals?.stage ?? stages[0]!.id, count: 1 });
}

const generations = 6;

/**
 * Ages in a population that grows undisturbed at 20 °C: for each of those that feed, how many there are in every substage.
 *
 * @returns substages in order; they sum to 1 over the stages that feed. Where a pest dies out by itself, as one flight does, the youngest that feed
 */
export function growingAges(model: PestTrouble): Float64Array {
  const population = populationOf({ ...model, arrivals: undefined });
  const counts = new Float64Array(model.stages.length);
  const none = new Float64Array(model.stages.length);
  const feeding = () => model.stages.reduce((sum, { feeds }, i) => sum + (feeds > 0 ? counts[i]! : 0), 0);
  const days = Math.ceil(
    generations * model.stages.slice(0, -1).reduce((sum, one) => sum + one.degreeDays / Math.max(1, usualC - one.lowerC), 0),
  );
  const first = model.stages.findIndex(({ feeds }) => feeds > 0);
  const at = model.stages.slice(0, first).reduce((sum, { substages }) => sum + substages, 0);
  const state = population.keep().fill(0);
  state[at] = 1;
  population.takeUp(state);
  for (let day = 0; day < Math.min(days, 400); day++) {
    population.day(usualC, none, { mortality: 1, eggs: 1, arrivals: 0 });
    population.count(counts);
    const now = feeding();
    // Only the shares are asked: kept small, so that they never grow beyond all numbers.
    if (now > 1e6) population.takeUp(population.keep().map((one) => one / now));
  }
  population.count(counts);
  const now = feeding();
  return now > 1e-6 ? population.keep().map((one) => one / now) : state;
}
