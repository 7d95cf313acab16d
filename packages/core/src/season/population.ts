import type { Immigration, PestModel, SeasonTreatment } from './pestModel.js';
import { series } from './series.js';
import type { SeriesRates } from './series.js';

/** What differs from run to run, or from day to day: factors on deaths, eggs and arrivals, 1 for the model as it is. */
export interface RunFactors {
  readonly mortality: number;
  readonly eggs: number;
  readonly arrivals?: number;
}

const asItIs: RunFactors = { mortality: 1, eggs: 1 };

// A kill of everything would be a hazard without end.
const mostShare = 1 - 1e-9;
// What stays on the leaf is forgotten when it kills fewer than this per day.
const leastHazard = 1e-5;
// Terms of the series are left out when they are this small beside what there was.
const precision = 1e-12;
// The series is told for at most so many events at once: more would lose digits.
const mostEvents = 30;
// Weights of the two Gauss points in a step of fourth order: Blanes & Moan (2006), Appl. Numer. Math. 56:1519–1537, eq. 3.
const root3 = Math.sqrt(3);
const [early, late] = [0.5 - root3 / 6, 0.5 + root3 / 6];
const [heavy, light] = [0.25 + root3 / 6, 0.25 - root3 / 6];

/**
 * A pest population day by day: stages as distributed delays, driven by temperature, with eggs, deaths, arrivals and treatments.
 *
 * A stage of k substages on a day of h = max(0, T − lowerC) degree days moves on at the rate r = k·h/degreeDays per day. While rates are constant the
 * equations are linear, and their solution exp(A·t) is summed by uniformisation: no term is negative, so that nothing cancels and small counts are as
 * exact as large ones. Where what stays on the leaf makes a rate fall in the course of a day, the day is cut into steps of fourth order.
 *
 * Sources: Manetsch (1976), IEEE Trans. Syst. Man Cybern. 6:547–553 (the delay); Jensen (1953), Skand. Aktuarietidskr. 36:87–91 (the sum).
 */
export class Population {
  readonly #model: PestModel;
  readonly #firsts: Int32Array;
  readonly #arrivals: number;
  readonly #now: Float64Array;
  readonly #move: Float64Array;
  readonly #out: Float64Array;
  readonly #rates: SeriesRates;
  /** deaths by residues, on top of those of the day */
  readonly #added: Float64Array;
  #arriving = 0;

  /** @throws nothing: check the model with `requirePestModel` first */
  constructor(model: PestModel, immigration?: Immigration) {
    this.#model = model;
    const count = model.stages.length;
    this.#firsts = new Int32Array(count + 1);
    model.stages.forEach(({ substages }, i) => (this.#firsts[i + 1] = this.#firsts[i]! + substages));
    const entry = immigration ? this.#firsts[model.stages.findIndex(({ id }) => id === immigration.stage)]! : 0;
    this.#arrivals = immigration?.count ?? 0;
    this.#now = new Float64Array(this.#firsts[count]!);
    const rates = () => new Float64Array(count);
    [this.#move, this.#out, this.#added] = [rates(), rates(), rates()];
    this.#rates = { firsts: this.#firsts, on: rates(), stay: rates(), entry, lay: 0, arrivals: 0, events: 0, terms: 0 };
  }

  /**
   * Run from the first day.
   *
   * @param temperatureC - mean of each day; as many days as there are, are run
   * @param refine - cut steps into so many; the counts hardly change
   * @returns counts at each day's end, a row of stages for each day
   */
  run(temperatureC: ArrayLike<number>, treatments: readonly SeasonTreatment[], factors = asItIs, refine = 1): Float64Array {
    const count = this.#model.stages.length;
    const counts = new Float64Array(temperatureC.length * count);
    this.begin();
    const residues = new Map<number, Float64Array>();
    for (let day = 0; day < temperatureC.length; day++) {
      for (const one of treatments) if (one.day === day) this.#treat(one, residues);
      this.#ratesOf(temperatureC[day]!, factors);
      this.#day(residues, factors, refine);
      fade(residues);
      this.count(counts, day * count);
    }
    return counts;
  }

  /** As it is at the start of the first day. */
  begin(): void {
    this.#now.fill(0);
    this.#model.stages.forEach(({ id }, i) => (this.#now[this.#firsts[i]!] = this.#model.initial[id] ?? 0));
  }

  /** How many of each stage there are. @throws RangeError where they are beyond all numbers */
  count(into: Float64Array, at = 0): void {
    for (let i = 0; i < this.#out.length; i++) {
      let total = 0;
      for (let j = this.#firsts[i]!; j < this.#firsts[i + 1]!; j++) total += this.#now[j]!;
      if (!Number.isFinite(total)) throw new RangeError('pest: it grows beyond all numbers; fewer eggs, or a shorter season');
      into[at + i] = total;
    }
  }

  /** Take a share of each stage away. */
  kill(shares: ArrayLike<number>): void {
    for (let i = 0; i < this.#out.length; i++)
      for (let j = this.#firsts[i]!; j < this.#firsts[i + 1]!; j++) this.#now[j]! *= 1 - shares[i]!;
  }

  /**
   * Let a day pass.
   *
   * @param hazards - further deaths of each stage as rates per day
   */
  day(temperatureC: number, hazards: ArrayLike<number>, factors: RunFactors): void {
    this.#ratesOf(temperatureC, factors);
    this.#arriving = this.#arrivals * (factors.arrivals ?? 1);
    for (let i = 0; i < this.#added.length; i++) this.#added[i] = hazards[i]!;
    this.#advance(1, this.#births(factors));
  }

  /** The state in numbers, to be taken up again. */
  keep = (): Float64Array => this.#now.slice();
  takeUp = (kept: Float64Array): void => this.#now.set(kept);

  /** What is killed at once, and what stays on the leaf: hazards of the stages by their half-life. */
  #treat({ killByStage, halfLifeDays }: SeasonTreatment, residues: Map<number, Float64Array>): void {
    const stays = halfLifeDays === undefined ? undefined : (residues.get(halfLifeDays) ?? new Float64Array(this.#out.length));
    this.#model.stages.forEach(({ id }, stage) => {
      const share = killByStage[id] ?? 0;
      for (let j = this.#firsts[stage]!; j < this.#firsts[stage + 1]!; j++) this.#now[j]! *= 1 - share;
      if (stays) stays[stage]! -= Math.log1p(-Math.min(share, mostShare));
    });
    if (stays) residues.set(halfLifeDays!, stays);
  }

  /** Rates of a day, before what stays on the leaf. */
  #ratesOf(temperatureC: number, { mortality }: RunFactors): void {
    this.#model.stages.forEach(({ lowerC, degreeDays, substages, mortalityPerDay }, i) => {
      this.#move[i] = (substages * Math.max(0, temperatureC - lowerC)) / degreeDays;
      this.#out[i] = this.#move[i] + mortalityPerDay * mortality;
    });
  }

  #births = ({ eggs }: RunFactors) => this.#model.eggsPerAdultDay * this.#model.femaleShare * eggs;

  #day(residues: ReadonlyMap<number, Float64Array>, factors: RunFactors, refine: number): void {
    const births = this.#births(factors);
    this.#arriving = this.#arrivals * (factors.arrivals ?? 1);
    this.#added.fill(0);
    if (residues.size === 0) {
      this.#advance(1, births);
      return;
    }
    // Within a step a residue neither halves nor kills by more than a little.
    let steps = 1;
    for (const [halfLife, hazards] of residues) steps = Math.max(steps, 1 / halfLife, most(hazards) / 2);
    steps = refine * Math.ceil(steps);
    for (let step = 0; step < steps; step++) {
      this.#half(residues, step, steps, heavy, light);
      this.#advance(0.5 / steps, births);
      this.#half(residues, step, steps, light, heavy);
      this.#advance(0.5 / steps, births);
    }
  }

  /** Deaths by residues in one half of a step: of the hazards at both of its points each its part. */
  #half(residues: ReadonlyMap<number, Float64Array>, step: number, steps: number, first: number, second: number): void {
    this.#added.fill(0);
    for (const [halfLife, hazards] of residues) {
      const rate = -Math.LN2 / (steps * halfLife);
      const part = 2 * (first * Math.exp(rate * (step + early)) + second * Math.exp(rate * (step + late)));
      for (let i = 0; i < hazards.length; i++) this.#added[i]! += part * hazards[i]!;
    }
  }

  /** The state after a while of constant rates. */
  #advance(days: number, births: number): void {
    const [out, added] = [this.#out, this.#added];
    let fastest = Math.max(births / 2, 1e-6);
    for (let i = 0; i < out.length; i++) fastest = Math.max(fastest, out[i]! + added[i]!);
    const parts = Math.ceil((fastest * days) / mostEvents);
    for (let part = 0; part < parts; part++) this.#series(days / parts, fastest, births);
  }

  #series(days: number, q: number, births: number): void {
    const rates = this.#rates;
    for (let i = 0; i < this.#out.length; i++) {
      rates.on[i] = this.#move[i]! / q;
      rates.stay[i] = 1 - (this.#out[i]! + this.#added[i]!) / q;
    }
    rates.events = q * days;
    rates.lay = births / q;
    rates.arrivals = this.#arriving / q;
    rates.terms = termsOf(rates.events, rates.lay, this.#firsts[this.#out.length - 1]!);
    series(this.#now, rates);
  }
}

/** What is left of residues after a day. */
function fade(residues: Map<number, Float64Array>): void {
  for (const [halfLife, hazards] of residues) {
    const left = 2 ** (-1 / halfLife);
    for (let i = 0; i < hazards.length; i++) hazards[i]! *= left;
    if (most(hazards) < leastHazard) residues.delete(halfLife);
  }
}

function most(hazards: Float64Array): number {
  let highest = 0;
  for (let i = 0; i < hazards.length; i++) if (hazards[i]! > highest) highest = hazards[i]!;
  return highest;
}

/**
 * How many terms leave out less than is counted: an even number, since two are taken at once.
 *
 * @param lay - eggs of an adult between two events
 * @param young - events at least from egg to adult, less one: so long a term grows by eggs alone, and not by theirs
 */
function termsOf(events: number, lay: number, young: number): number {
  let weight = Math.exp(-events);
  for (let n = 1; ; n++) {
    weight *= events / n;
    if (n < events) continue;
    let leftOut = weight;
    for (let laid = 0; laid <= n; laid += young + 1) leftOut *= 1 + lay * n;
    if (leftOut < precision) return n + (n % 2);
  }
}
