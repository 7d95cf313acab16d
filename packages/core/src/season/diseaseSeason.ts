import { protectionLeft, residueKept, temperatureResponse } from '../timing/index.js';
import { effectOf } from './seasonAction.js';
import type { SeasonAction } from './seasonAction.js';
import type { SeasonDay } from './seasonDays.js';
import type { DiseaseTrouble } from './troubleModel.js';
import { lossOf, sizeAt } from './troubleSeason.js';
import type { CropGrowth, RunChances, TroubleSeason } from './troubleSeason.js';

// Steps of a day: spots hatch and die at rates that a quarter of a day follows.
const steps = 4;
// A mildew that needs no wet leaf is washed off by rain: halved by so many millimetres in a day. Our estimate.
const dryHalvedByMm = 10;
const leastLeft = 0.01;

interface Residue {
  readonly action: SeasonAction;
  left: number;
}

/**
 * A disease of leaves on one plant through a season: leaf that is taken hatches (distributed delay), bears spores, and is dead; spots grow; new leaf
 * dilutes. Infection goes with warmth and wet hours of each day.
 *
 * Sources: van der Plank (1963), Plant Diseases (latent and infectious period); Segarra, Jeger & van den Bosch (2001), Phytopathology 91:1001–1010 (the
 * compartments); Berger, Bergamin & Amorim (1997), Phytopathology 87:1005–1013 (growth of spots); Magarey, Sutton & Russo (2005) (wet hours).
 */
export class DiseaseSeason implements TroubleSeason {
  readonly #model: DiseaseTrouble;
  readonly #chances: RunChances;
  readonly #crop: CropGrowth;
  readonly #hatching: Float64Array;
  readonly #alleles = new Map<string, number>();
  #bearing: number;
  #dead = 0;
  #residues: Residue[] = [];
  #today = 0;
  #feedingDays = 0;
  readonly helpers = 0;

  /** @param seen - share of leaf with spots at the start, 0 to 1 */
  constructor(model: DiseaseTrouble, crop: CropGrowth, seen: number, chances: RunChances) {
    this.#model = model;
    this.#chances = chances;
    this.#crop = crop;
    const there = Math.min(0.95, seen * chances.beginning);
    this.#bearing = there;
    // Where there are spots, as many again are on their way.
    this.#hatching = new Float64Array(model.substages).fill(Math.min(there, (1 - there) / 2) / model.substages);
  }

  get amount(): number {
    return Math.min(1, this.#bearing + this.#dead);
  }

  get lost(): number {
    return lossOf(this.#feedingDays, this.#model.harm);
  }

  get resistant(): number {
    return Math.max(this.#model.resistance.start, ...this.#alleles.values());
  }

  treat(action: SeasonAction): void {
    const part = (what: string) => effectOf(action, what, this.#chances.effect);
    const [cures, clears] = [part('cures') * (1 - this.#escaping(action)), part('clears')];
    for (let i = 0; i < this.#hatching.length; i++) this.#hatching[i]! *= 1 - cures;
    this.#bearing *= 1 - clears;
    this.#dead *= 1 - clears;
    if (action.residue && part('protects') > 0) this.#residues.push({ action, left: 1 });
  }

  day(weather: SeasonDay, month: number): void {
    const { latentDays, substages, sporeDays, spreadPerDay, spotGrowthPerDay, arrivals, tMin, tOpt, tMax } = this.#model;
    const { breeding, deaths, harm } = this.#chances;
    const warmth = temperatureResponse(weather.meanC, { tMin, tOpt, tMax });
    const favour = this.#favour(weather, warmth);
    const arriving = arrivals.months.includes(month) ? arrivals.perDay * this.#chances.arrivals : 0;
    // Shares of a step, so that the mean stay is what it is said to be.
    const moves = Math.min(1, (substages * warmth) / latentDays / steps);
    const dies = Math.min(1, deaths / sporeDays / steps);
    for (let step = 0; step < steps; step++) {
      const healthy = Math.max(0, 1 - this.#bearing - this.#dead - sum(this.#hatching));
      const pressing = (favour * (spreadPerDay * breeding * this.#bearing + arriving)) / steps;
      const taken = healthy * (1 - Math.exp(-this.#guarded(pressing)));
      const grown = Math.min(healthy - taken, (spotGrowthPerDay * warmth * healthy * this.#bearing) / steps);
      let moving = taken;
      for (let i = 0; i < this.#hatching.length; i++) {
        const out = this.#hatching[i]! * moves;
        this.#hatching[i]! += moving - out;
        moving = out;
      }
      const dying = this.#bearing * dies;
      this.#bearing += moving + grown - dying;
      this.#dead += dying;
    }
    this.#feedingDays += this.amount * harm;
    this.#grow();
    this.#wash(weather.rainMm);
    this.#today++;
  }

  /** How well a day suits infection, 0 to 1: a quarter where leaves were just wet for long enough, all where for twice as long. */
  #favour({ meanC, rainMm, wetHours }: SeasonDay, warmth: number): number {
    const { wetHours: needed } = this.#model;
    if (needed === undefined) return warmth * 0.5 ** (rainMm / dryHalvedByMm);
    if (warmth === 0 || !Number.isFinite(meanC)) return 0;
    return Math.min(1, wetHours / (needed / warmth) / 2) ** 2;
  }

  /** What of the infections that press on a leaf gets by what is on it; who resists gets by more easily, and is more common ever after. */
  #guarded(pressing: number): number {
    let through = pressing;
    for (const { action, left } of this.#residues) {
      const keepsOff = effectOf(action, 'protects', this.#chances.effect) * protectionLeft(left);
      const escaping = this.#escaping(action);
      const before = through;
      through *= 1 - keepsOff * (1 - escaping);
      if (action.group !== undefined && before > 0) this.#select(action.group, keepsOff, before);
    }
    return through;
  }

  #escaping({ group }: SeasonAction): number {
    const { start, escapes } = this.#model.resistance;
    return group === undefined ? 0 : escapes * (this.#alleles.get(group) ?? start);
  }

  /** One allele each, as fungi have: what comes in joins what there is. */
  #select(group: string, keepsOff: number, pressing: number): void {
    const { start, escapes } = this.#model.resistance;
    const now = this.#alleles.get(group) ?? start;
    const resistant = now * (1 - keepsOff * (1 - escapes));
    const coming = resistant / (resistant + (1 - now) * (1 - keepsOff) || 1);
    const there = this.#bearing + sum(this.#hatching);
    const weight = there + pressing > 0 ? pressing / (there + pressing) : 0;
    this.#alleles.set(group, now + (coming - now) * weight);
  }

  /** New leaf is clean. */
  #grow(): void {
    const dilution = (sizeAt(this.#crop, this.#today) / sizeAt(this.#crop, this.#today + 1)) * (1 - this.#model.newLeafPerDay);
    for (let i = 0; i < this.#hatching.length; i++) this.#hatching[i]! *= dilution;
    this.#bearing *= dilution;
    this.#dead *= dilution;
  }

  #wash(rainMm: number): void {
    const growthPerDay = sizeAt(this.#crop, this.#today + 1) / sizeAt(this.#crop, this.#today) - 1;
    for (const one of this.#residues) one.left *= residueKept(rainMm, { ...one.action.residue!, growthPerDay });
    this.#residues = this.#residues.filter(({ left }) => left > leastLeft);
  }
}

function sum(values: Float64Array): number {
  let total = 0;
  for (const value of values) total += value;
  return total;
}
