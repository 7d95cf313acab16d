import type { MixRequest } from '@field-nurse/contract';
import type { Way } from '@field-nurse/core/dose';
import type { UnitSystem } from '../shared/units';

type Unit = MixRequest['rate']['unit'];

/** What a rate goes by: a unit, of water unless it is of the compost in the pots. */
export type PerUnit = Unit | 'plant' | `compost-${'l' | 'gal-us'}`;
/** How much mix there is to make: so much in all, or so much for each of these. */
export type MixBy = 'all' | 'plant' | 'm2' | 'ft2' | 'm' | 'ft' | 'kg' | 'lb' | 'compost-l' | 'compost-gal-us';

/** What a label says of one product. */
export interface BenchRate {
  readonly amount: number;
  readonly unit: Unit;
  readonly per: number;
  readonly perUnit: PerUnit;
  /** the most that its label allows, in the same unit and on the same terms; not known: null */
  readonly most: number | null;
}

/** What is set at the bench, apart from the products. */
export interface BenchSum {
  readonly way: Way;
  readonly mixBy: MixBy;
  /** in all, in the garden's unit of water; or for each, in ml or fl oz */
  readonly make: number;
  readonly each: number;
  readonly plants: number;
  readonly area: number;
  readonly length: number;
  readonly weight: number;
  /** compost in one pot, l or gal */
  readonly pot: number;
  /** what the sprayer or can holds, in the garden's unit of water */
  readonly holds: number;
  /** in the sprayer already; 0: it is empty */
  readonly standing: number;
  readonly standingOf: 'water' | 'mix';
  readonly spoons: 'us' | 'metric';
}

const wet: readonly Way[] = ['spray', 'drench', 'dip', 'paint', 'slurry'];
const filled: readonly Way[] = ['spray', 'drench', 'dip'];

/** Is water taken to it? */
export const isWet = (way: Way): boolean => wet.includes(way);
/** Is it filled into something of a size? */
export const isFilled = (way: Way): boolean => filled.includes(way);

const units = {
  metric: { water: 'l', each: 'ml', area: 'm2', length: 'm', weight: 'kg', pot: 'l', depth: 'cm' },
  us: { water: 'gal-us', each: 'floz-us', area: 'ft2', length: 'ft', weight: 'lb', pot: 'gal-us', depth: 'in' },
} as const;

/** The units that the bench's fields are in. */
export const benchUnits = (system: UnitSystem) => units[system];

/** What the bench shows first for a way to put it on, so that only the label's figures are missing. */
export function freshSum(way: Way, system: UnitSystem): BenchSum {
  const of = units[system];
  const us = system === 'us';
  const compost: MixBy = us ? 'compost-gal-us' : 'compost-l';
  return {
    way,
    mixBy: way === 'drench' ? compost : way === 'slurry' ? of.weight : way === 'paint' ? 'plant' : 'all',
    make: us ? 1 : 5,
    each: { drench: us ? 13 : 100, slurry: us ? 0.15 : 10, paint: us ? 4 : 100 }[way as 'drench'] ?? (us ? 2 : 50),
    plants: 10,
    area: us ? 100 : 10,
    length: us ? 30 : 10,
    weight: 1,
    pot: us ? 0.5 : 2,
    holds: way === 'spray' ? (us ? 1 : 5) : us ? 2.5 : 10,
    standing: 0,
    standingOf: 'water',
    spoons: us ? 'us' : 'metric',
  };
}

/** A rate of the usual kind for a way to put it on, to be overwritten with the label's. */
export function freshRate(way: Way, system: UnitSystem): BenchRate {
  const { water, area, weight, depth } = units[system];
  const by: Readonly<Record<Way, Omit<BenchRate, 'per' | 'most'>>> = {
    spray: { amount: 10, unit: 'ml', perUnit: water },
    drench: { amount: 10, unit: 'ml', perUnit: water },
    dip: { amount: 10, unit: 'ml', perUnit: water },
    paint: { amount: 1, unit: 'parts', perUnit: 'parts' },
    slurry: { amount: 2, unit: 'g', perUnit: weight },
    dust: { amount: 5, unit: 'g', perUnit: area },
    spread: { amount: 5, unit: 'g', perUnit: area },
    bait: { amount: 5, unit: 'g', perUnit: area },
    inject: { amount: 1, unit: 'ml', perUnit: 'plant' },
    mulch: { amount: system === 'us' ? 2 : 5, unit: depth, perUnit: area },
  };
  return { ...by[way], per: way === 'paint' ? 4 : 1, most: null };
}

const perOf = ({ per, perUnit }: BenchRate): MixRequest['rate']['per'] => {
  const [compost, unit] = perUnit.startsWith('compost-') ? [true, perUnit.slice('compost-'.length)] : [false, perUnit];
  return { amount: per, unit: unit as Unit | 'plant', ...(compost && { of: 'compost' as const }) };
};

/** A share, or a depth, is so much of the whole and goes by nothing else. */
export const goesByNothing = ({ unit }: Pick<BenchRate, 'unit'>): boolean =>
  ['percent', 'percent-wv', 'ppm', 'cm', 'in', 'm', 'ft'].includes(unit);

/** What must be known of what is treated: as the rate goes, and as the mix does. */
export function treatedBy(sum: BenchSum, rates: readonly BenchRate[]): ReadonlySet<'plants' | 'area' | 'length' | 'weight' | 'pot'> {
  const asked = new Set<'plants' | 'area' | 'length' | 'weight' | 'pot'>();
  const ask = (unit: string) => {
    if (unit === 'plant') asked.add('plants');
    else if (unit.startsWith('compost-')) asked.add('plants').add('pot');
    else if (['m2', 'ft2', 'ha', 'acre'].includes(unit)) asked.add('area');
    else if (['m', 'ft', 'cm', 'in'].includes(unit)) asked.add('length');
    else if (['g', 'kg', 'oz', 'lb'].includes(unit)) asked.add('weight');
  };
  for (const rate of rates) if (!goesByNothing(rate)) ask(rate.perUnit);
  if (sum.way === 'mulch') asked.add('area');
  if (isWet(sum.way)) ask(sum.mixBy);
  return asked;
}

/** The bench's sum for one product, as the mix is asked. @param density - of the product, g/ml, where it is known */
export function sumQuestion(sum: BenchSum, rate: BenchRate, system: UnitSystem, density: number | null): MixRequest {
  const of = units[system];
  const asked = treatedBy(sum, [rate]);
  const water = isWet(sum.way);
  return {
    rate: { amount: rate.amount, unit: rate.unit, ...(!goesByNothing(rate) && { per: perOf(rate) }) },
    ...(water && sum.mixBy === 'all' && { make: { amount: sum.make, unit: of.water } }),
    treat: {
      ...(asked.has('plants') && { plants: sum.plants }),
      ...(asked.has('area') && { area: { amount: sum.area, unit: of.area } }),
      ...(asked.has('length') && { length: { amount: sum.length, unit: of.length } }),
      ...(asked.has('weight') && { weight: { amount: sum.weight, unit: of.weight } }),
      ...(asked.has('pot') && { pot: { amount: sum.pot, unit: of.pot } }),
      ...(water &&
        sum.mixBy !== 'all' && { coverage: { amount: sum.each, unit: of.each, per: sum.mixBy.replace('compost-', '') as Unit | 'plant' } }),
    },
    ...(isFilled(sum.way) && { sprayer: { amount: sum.holds, unit: of.water } }),
    ...(isFilled(sum.way) && sum.standing > 0 && { standing: { amount: sum.standing, unit: of.water, of: sum.standingOf } }),
    ...(rate.most !== null && { labelMax: { amount: rate.most, unit: rate.unit } }),
    ...(density !== null && { density }),
    spoons: sum.spoons,
    way: sum.way,
  };
}

/** What is wrong with a field of the bench, in words that say what is allowed. */
export function sumFaults(sum: BenchSum, rates: readonly BenchRate[]): ReadonlyMap<string, string> {
  const faults = new Map<string, string>();
  const asked = treatedBy(sum, rates);
  const above = (name: keyof BenchSum, most: number) => {
    const value = sum[name] as number;
    if (!(value > 0 && value <= most)) faults.set(name, `More than 0, and at most ${most.toLocaleString('en-GB')}.`);
  };
  if (asked.has('plants') && !(Number.isInteger(sum.plants) && sum.plants >= 1 && sum.plants <= 100_000))
    faults.set('plants', 'A whole number from 1 to 100,000.');
  for (const name of ['area', 'length', 'weight', 'pot'] as const) if (asked.has(name)) above(name, 1_000_000);
  if (isWet(sum.way)) above(sum.mixBy === 'all' ? 'make' : 'each', 100_000);
  if (isFilled(sum.way)) {
    above('holds', 2000);
    if (!(sum.standing >= 0 && sum.standing <= sum.holds)) faults.set('standing', 'From 0 to what it holds.');
  }
  rates.forEach(({ amount, per, unit, perUnit, most }, i) => {
    if (!(amount > 0 && amount <= 1e6)) faults.set(`rate-${i}`, 'More than 0: as it stands on the label.');
    else if (most !== null && amount > most * (1 + 1e-9))
      faults.set(`rate-${i}`, `Its label allows ${Number(most.toPrecision(3))} at most. Nothing is mixed above it.`);
    if (!goesByNothing({ unit }) && !(per > 0 && per <= 1e6)) faults.set(`per-${i}`, 'More than 0.');
    if ((unit === 'parts') !== (perUnit === 'parts') && !goesByNothing({ unit }))
      faults.set(`per-${i}`, 'Parts go with parts: 1 part to 9 parts.');
  });
  return faults;
}
