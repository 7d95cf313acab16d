import { normalDraw, seededRandom } from '../statistics/index.js';
import { requireImmigration, requirePestModel, requireTreatments } from './pestModel.js';
import type { Immigration, PestModel, SeasonTreatment } from './pestModel.js';
import { Population } from './population.js';
import { RunBands } from './runBands.js';
import type { BandDay } from './runBands.js';

/** A season that strategies are tried on. */
export interface SeasonScenario {
  /** mean of each day, °C; as many days are run */
  readonly temperatureC: readonly number[];
  /** how much runs differ, 0 to 1: 1 is a spread of 4 °C in warmth that lasts for days, and of half in deaths, eggs and arrivals; 0 is none */
  readonly noise?: number | undefined;
  readonly immigrationPerDay?: Immigration | undefined;
  readonly pest: PestModel;
  /** what it costs to have them: money for each one of a stage and day, up to the value of the crop */
  readonly damage?: { readonly perDay: Readonly<Record<string, number>>; readonly most?: number | undefined } | undefined;
  /** price of an hour's work; 0 where it is left out */
  readonly hourPrice?: number | undefined;
}

export interface SeasonStrategy {
  readonly name: string;
  readonly treatments: readonly SeasonTreatment[];
  readonly costPerTreatment?: number | undefined;
  readonly hoursPerTreatment?: number | undefined;
}

/** What one strategy comes to over all runs. */
export interface StrategyOutcome {
  readonly name: string;
  readonly bands: Record<string, BandDay[]>;
  readonly sprays: number;
  readonly hours: number;
  /** mean of all runs: treatments, work and damage */
  readonly cost: number;
  /** the same of each run */
  readonly costs: readonly number[];
}

// Spread of a season that is as different as seasons are.
const [spreadC, spreadLog] = [4, 0.5];
// Warm spells last for days: how much of a day's departure is left on the next (first-order autoregression).
const lasting = 0.7;

// Faster stages cost time and tell nothing: a stage of hours has one substage.
const mostSteps = 200;

/**
 * Refuse what cannot be run, before anything is.
 *
 * @throws RangeError that names the number which is wrong
 */
export function requireSeason(scenario: SeasonScenario, strategies: readonly SeasonStrategy[], runs: number): void {
  requirePestModel(scenario.pest);
  if (scenario.immigrationPerDay) requireImmigration(scenario.pest, scenario.immigrationPerDay);
  strategies.forEach(({ treatments }, i) => requireTreatments(scenario.pest, treatments, `strategies.${i}`));
  requireWork(scenario, runs);
}

/**
 * One strategy on a season, run after run. The chances of a run follow from the seed and its number alone, so that all strategies meet the same
 * seasons and can be compared run by run.
 *
 * @param runs - whole, 1 or more
 * @param scenario - checked by `requireSeason`
 * @param heard - told the share that is done, now and then
 * @throws RangeError where the pest grows beyond all numbers
 */
export function runStrategy(
  scenario: SeasonScenario,
  strategy: SeasonStrategy,
  runs: number,
  seed: number,
  heard?: (share: number) => void,
): StrategyOutcome {
  const { temperatureC, noise = 0, immigrationPerDay, pest, damage, hourPrice = 0 } = scenario;
  const { name, treatments, costPerTreatment = 0, hoursPerTreatment = 0 } = strategy;
  const [days, stages] = [temperatureC.length, pest.stages.length];
  const sprays = treatments.filter(({ day }) => day < days).length;
  const hours = sprays * hoursPerTreatment;
  const spent = sprays * costPerTreatment + hours * hourPrice;
  const perDay = pest.stages.map(({ id }) => damage?.perDay[id] ?? 0);
  const kept = new RunBands(runs, days, stages);
  const costs: number[] = [];
  const still = noise === 0 ? new Population(pest, immigrationPerDay) : undefined;
  for (let run = 0; run < runs; run++) {
    const drawn = still ? undefined : drawRun(scenario, noise, seed, run);
    const population = still ?? new Population(pest, drawn!.immigration);
    const counts = population.run(drawn?.temperatureC ?? temperatureC, treatments, drawn?.factors);
    kept.add(run, counts);
    let lost = 0;
    for (let i = 0; i < counts.length; i++) lost += counts[i]! * perDay[i % stages]!;
    costs.push(spent + Math.min(lost, damage?.most ?? Infinity));
    if (run % 16 === 15) heard?.((run + 1) / runs);
  }
  return {
    name,
    bands: Object.fromEntries(pest.stages.map(({ id }, stage) => [id, kept.of(stage)])),
    sprays,
    hours,
    cost: costs.reduce((sum, cost) => sum + cost, 0) / runs,
    costs,
  };
}

/** Share of the runs in which each strategy costs least; those that cost the same share the run. */
export function bestShares(outcomes: readonly Pick<StrategyOutcome, 'costs'>[]): number[] {
  const shares = outcomes.map(() => 0);
  const runs = outcomes[0]?.costs.length ?? 0;
  for (let run = 0; run < runs; run++) {
    const least = Math.min(...outcomes.map(({ costs }) => costs[run]!));
    const first = outcomes.flatMap(({ costs }, i) => (costs[run] === least ? [i] : []));
    for (const i of first) shares[i]! += 1 / first.length;
  }
  return shares.map((share) => Math.min(1, share / runs));
}

function requireWork({ temperatureC, noise = 0, pest }: SeasonScenario, runs: number): void {
  if (!(noise >= 0 && noise <= 1)) throw new RangeError(`noise: must be from 0 to 1, got ${noise}`);
  if (!(Number.isInteger(runs) && runs >= 1)) throw new RangeError(`runs: must be whole and 1 or more, got ${runs}`);
  temperatureC.forEach((celsius, day) => {
    if (!Number.isFinite(celsius)) throw new RangeError(`temperatureC.${day}: must be a number, got ${celsius}`);
  });
  const warmest = Math.max(...temperatureC) + 3 * noise * spreadC;
  pest.stages.forEach(({ lowerC, degreeDays, substages }, i) => {
    if ((substages * (warmest - lowerC)) / degreeDays > mostSteps)
      throw new RangeError(
        `pest.stages.${i}.substages: it would pass more than ${mostSteps} of them in a day; fewer of them, or more degree days`,
      );
  });
}

function drawRun({ temperatureC, immigrationPerDay }: SeasonScenario, noise: number, seed: number, run: number) {
  const random = seededRandom((seed + Math.imul(run + 1, 0x9e3779b1)) >>> 0);
  const normal = () => normalDraw(random);
  const factor = () => Math.exp(noise * spreadLog * normal());
  const factors = { mortality: factor(), eggs: factor() };
  const arriving = factor();
  let departure = noise * spreadC * normal();
  const fresh = noise * spreadC * Math.sqrt(1 - lasting ** 2);
  return {
    factors,
    immigration: immigrationPerDay && { ...immigrationPerDay, count: immigrationPerDay.count * arriving },
    temperatureC: temperatureC.map((mean) => {
      const today = mean + departure;
      departure = lasting * departure + fresh * normal();
      return today;
    }),
  };
}
