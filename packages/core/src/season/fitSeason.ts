import { normalDraw, seededRandom } from '../statistics/index.js';
import { drawDays } from './seasonDays.js';
import type { SeasonDay } from './seasonDays.js';
import { chancesAt, monthsOf, troubleMaker, unknowns } from './trySeason.js';
import type { FittedRun, SeasonTrial } from './trySeason.js';
import type { RunChances } from './troubleSeason.js';

/** What a look found, at the end of a day of the trial. */
export interface CountedDay {
  readonly day: number;
  /** animals that feed, on a plant; of a disease, share of leaf with spots */
  readonly amount: number;
}

// What a look finds of what is there: a factor of one and a half either way, two times in three. Where there are hardly any, one more or less is nothing.
const lookLog = 0.4;
const [leastAnimals, leastLeaf] = [0.5, 0.003];
// Particles are drawn anew when so few of them carry the weight, and then moved so often by steps of this size.
const fewShare = 0.5;
const [moves, step] = [3, 0.5];

/**
 * What the garden's own counts leave of all that could be: a particle filter over what is not known. Particles are drawn from what was believed before,
 * weighed by each look in turn, and where few are left drawn anew and moved by steps that leave the belief as it is (Metropolis, on the counts so far).
 *
 * Sources: Chopin (2002), Biometrika 89:539–551; the steps as in Cotter et al. (2013), Stat. Sci. 28:424–446.
 *
 * @param looks - from the trial's first day on, in any order; without any, what was believed before
 * @param particles - how many runs are given back; hundreds
 */
export function fitSeason(trial: SeasonTrial, looks: readonly CountedDay[], particles: number, seed: number): FittedRun[] {
  const random = seededRandom(seed);
  const model = new CountsGiven(trial, looks, seed);
  let all = Array.from({ length: particles }, () => model.particle(Float64Array.from({ length: unknowns }, () => normalDraw(random))));
  let weights = all.map(() => 1 / particles);
  const ordered = [...looks].sort((a, b) => a.day - b.day);
  ordered.forEach((_, until) => {
    weights = normalised(weights.map((weight, i) => Math.log(weight) + all[i]!.logs[until]!));
    const effective = 1 / weights.reduce((sum, one) => sum + one ** 2, 0);
    if (effective > fewShare * particles) return;
    all = resampled(all, weights, random);
    weights = all.map(() => 1 / particles);
    all = all.map((one) => moved(one, until + 1, model, random));
  });
  return resampled(all, weights, random).map(({ chances }) => ({ chances }));
}

interface Particle {
  readonly normals: Float64Array;
  readonly chances: RunChances;
  /** logarithm of how likely each count is, in order of day */
  readonly logs: readonly number[];
}

/** How likely the counts are where what is not known is known. */
class CountsGiven {
  readonly #make: ReturnType<typeof troubleMaker>;
  readonly #days: readonly SeasonDay[];
  readonly #months: readonly number[];
  readonly #looks: readonly CountedDay[];
  readonly #done: NonNullable<SeasonTrial['done']>;
  readonly #least: number;

  constructor(trial: SeasonTrial, looks: readonly CountedDay[], seed: number) {
    this.#make = troubleMaker(trial);
    this.#looks = [...looks].sort((a, b) => a.day - b.day);
    this.#days = drawDays(trial.calendar, seed, 0).slice(0, (this.#looks.at(-1)?.day ?? -1) + 1);
    this.#months = monthsOf(trial.calendar);
    this.#done = trial.done ?? [];
    this.#least = trial.model.kind === 'disease' ? leastLeaf : leastAnimals;
  }

  particle(normals: Float64Array): Particle {
    const chances = chancesAt(normals);
    const season = this.#make(chances);
    const logs: number[] = [];
    let next = 0;
    this.#days.forEach((weather, day) => {
      for (const { action } of this.#done.filter((one) => one.day === day)) season.treat(action);
      season.day(weather, this.#months[day]!);
      for (; this.#looks[next]?.day === day; next++) logs.push(this.#log(this.#looks[next]!.amount, season.amount));
    });
    return { normals, chances, logs };
  }

  #log(found: number, there: number): number {
    const apart = Math.log((found + this.#least) / (there + this.#least));
    return -(apart ** 2) / (2 * lookLog ** 2);
  }
}

/** A particle after some steps that keep to what the counts so far say. */
function moved(from: Particle, looks: number, model: CountsGiven, random: () => number): Particle {
  const likely = ({ logs }: Particle) => logs.slice(0, looks).reduce((sum, one) => sum + one, 0);
  let now = from;
  for (let i = 0; i < moves; i++) {
    const normals = now.normals.map((one) => Math.sqrt(1 - step ** 2) * one + step * normalDraw(random));
    const other = model.particle(normals);
    if (Math.log(1 - random()) < likely(other) - likely(now)) now = other;
  }
  return now;
}

function normalised(logs: readonly number[]): number[] {
  const most = Math.max(...logs);
  const weights = logs.map((one) => Math.exp(one - most));
  const sum = weights.reduce((so, one) => so + one, 0);
  return weights.map((one) => one / sum);
}

/** Systematic: one draw, evenly spaced. */
function resampled(all: readonly Particle[], weights: readonly number[], random: () => number): Particle[] {
  const first = random() / all.length;
  let [sum, at] = [weights[0]!, 0];
  return all.map((_, i) => {
    while (sum < first + i / all.length && at < all.length - 1) sum += weights[++at]!;
    return all[at]!;
  });
}
