import Fraction from 'fraction.js';
import { dimensionOf, fromBase, inBase, unitTable } from '../units/index.js';
import type { Quantity, UnitName } from '../units/index.js';
import { rateLine } from '../label/index.js';
import { inSpoons } from './spoons.js';
import type { SpoonMeasure, SpoonSet } from './spoons.js';
import { mixSteps } from './mixSteps.js';
import type { MixStep } from './mixSteps.js';

/** So much product per so much water, per area, per length, or as a share. */
export interface Rate extends Quantity {
  readonly per?: Quantity | undefined;
}

export interface MixQuestion {
  readonly rate: Rate;
  /** finished mix wanted */
  readonly make?: Quantity | undefined;
  readonly treat?:
    | {
        readonly plants?: number | undefined;
        readonly area?: Quantity | undefined;
        /** spray that one plant or one unit of area takes */
        readonly coverage?: (Quantity & { readonly per: string }) | undefined;
      }
    | undefined;
  readonly sprayer?: Quantity | undefined;
  readonly spoons?: SpoonSet | undefined;
  /** most that the label allows, in the same "per" as the rate */
  readonly labelMax?: Quantity | undefined;
}

export interface Fill {
  readonly water: Quantity;
  readonly product: Quantity;
  readonly inSpoons: SpoonMeasure | null;
}

export interface Mix {
  readonly product: Quantity;
  readonly water: Quantity;
  readonly fills: readonly Fill[];
  readonly inSpoons: SpoonMeasure | null;
  readonly steps: readonly MixStep[];
  readonly alerts: readonly { readonly code: string; readonly text: string }[];
}

/** Why no mix is given. `label-max` is a refusal by rule; the rest ask for what is missing or does not go together. */
export interface MixRefusal {
  readonly code: 'label-max' | 'nothing-to-treat' | 'units-differ' | 'rate-per' | 'above-whole';
  readonly text: string;
}

export type MixAnswer = { readonly mix: Mix } | { readonly refused: MixRefusal };

class Refusal extends Error {
  constructor(readonly reason: MixRefusal) {
    super(reason.text);
  }
}

/**
 * Work out a mix exactly: how much product in how much water, in how many fills, and in which spoons.
 *
 * `percent` and `parts` are shares of the finished mix (so water = make − product); a rate per volume is per volume of *water*. Rates per area
 * give the product for the area, with water from the coverage if one is said. Everything is computed in exact fractions and rounded once,
 * when shown.
 *
 * @returns the mix, or a refusal with its code: above the label maximum nothing is given
 * @throws RangeError if an amount is not finite
 * @example
 * mixFor({ rate: { amount: 20, unit: 'ml', per: { amount: 1, unit: 'l' } }, make: { amount: 5, unit: 'l' } })
 * // => product 100 ml, water 5 l
 */
export function mixFor(question: MixQuestion): MixAnswer {
  try {
    return { mix: computeMix(question) };
  } catch (error) {
    if (error instanceof Refusal) return { refused: error.reason };
    throw error;
  }
}

function computeMix(question: MixQuestion): Mix {
  refuseAboveLabel(question);
  const wanted = wantedVolume(question);
  const { product, water } = amounts(question, wanted);
  const massOrVolume = productDimension(question.rate);
  const unit = unitFor(massOrVolume, question.spoons);
  const limitRatio = question.labelMax ? inBase(question.labelMax).div(rateBase(question.rate)) : undefined;
  const spoonsOf = (base: Fraction) =>
    question.spoons && massOrVolume === 'volume' ? (inSpoons(base, question.spoons, limitRatio && base.mul(limitRatio)) ?? null) : null;
  const fills = splitIntoFills(product, water, question.sprayer).map((fill) => ({
    water: fromBase(fill.water, 'l'),
    product: fromBase(fill.product, unit),
    inSpoons: spoonsOf(fill.product),
  }));
  return {
    product: fromBase(product, unit),
    water: fromBase(water, 'l'),
    fills,
    inSpoons: spoonsOf(product),
    steps: mixSteps(fills.length),
    alerts: alertsFor(fills, massOrVolume, question.spoons),
  };
}

function refuseAboveLabel({ rate, labelMax }: MixQuestion): void {
  const line = rateLine(rate, labelMax);
  if (!labelMax || line === 'kept') return;
  if (line === 'other-kind')
    refuse('units-differ', `The label maximum is in ${labelMax.unit} and the rate in ${rate.unit}: give both in units of one kind.`);
  refuse('label-max', `At most ${labelMax.amount} ${labelMax.unit} is allowed, and the rate is ${rate.amount} ${rate.unit}.`);
}

function wantedVolume({ make, treat }: MixQuestion): Fraction | undefined {
  if (make) {
    requireDimension(make, 'volume', 'The amount to make');
    return inBase(make);
  }
  if (!treat?.coverage) return undefined;
  requireDimension(treat.coverage, 'volume', 'The coverage');
  if (treat.coverage.per === 'plant')
    return treat.plants === undefined
      ? refuse('nothing-to-treat', 'Say how many plants are to be treated.')
      : inBase(treat.coverage).mul(treat.plants);
  if (!treat.area) return refuse('nothing-to-treat', 'Say how large the area is.');
  requireDimension(treat.area, 'area', 'The area');
  const per = unitTable[treat.coverage.per as UnitName];
  if (per?.dimension !== 'area') return refuse('rate-per', `Coverage is per plant or per unit of area, not per ${treat.coverage.per}.`);
  return inBase(treat.coverage).mul(inBase(treat.area)).div(per.inBase);
}

function amounts({ rate, treat }: MixQuestion, wanted: Fraction | undefined): { product: Fraction; water: Fraction } {
  const perDimension = rate.per && dimensionOf(rate.per.unit);
  if (perDimension === 'area') {
    if (!treat?.area) return refuse('nothing-to-treat', 'Say how large the area is.');
    requireDimension(treat.area, 'area', 'The area');
    return { product: rateBase(rate).mul(inBase(treat.area)), water: wanted ?? new Fraction(0) };
  }
  if (!wanted)
    return refuse('nothing-to-treat', 'Say how much to make, or how many plants or how much area to treat and how much each takes.');
  const share = rateBase(rate);
  if (dimensionOf(rate.unit) !== 'share') return { product: share.mul(wanted), water: wanted };
  const product = share.mul(wanted);
  const water = wanted.sub(product);
  return water.lte(0) ? refuse('above-whole', 'The share of product must be below the whole.') : { product, water };
}

/** Product in base units for one base unit of what it is counted per (water, finished mix, or area). */
function rateBase({ amount, unit, per }: Rate): Fraction {
  const own = inBase({ amount, unit });
  if (unit === 'parts') {
    if (per?.unit !== 'parts') return refuse('rate-per', 'Parts need a counterpart: 1 part to 9 parts.');
    return own.div(own.add(inBase(per)));
  }
  if (dimensionOf(unit) === 'share' || dimensionOf(unit) === 'weight-share') return own;
  if (!per || !['volume', 'area'].includes(dimensionOf(per.unit)))
    return refuse('rate-per', 'A rate is so much per volume of water or per area.');
  return own.div(inBase(per));
}

function productDimension({ unit }: Rate): 'volume' | 'mass' {
  const dimension = dimensionOf(unit);
  if (dimension === 'volume' || dimension === 'share') return 'volume';
  if (dimension === 'mass' || dimension === 'weight-share') return 'mass';
  return refuse('rate-per', `A rate is a volume, a mass or a share of product, not ${unit}.`);
}

function unitFor(dimension: 'volume' | 'mass', spoons: SpoonSet | undefined): UnitName {
  if (dimension === 'mass') return 'g';
  return spoons === 'us' ? 'tsp-us' : 'ml';
}

function splitIntoFills(product: Fraction, water: Fraction, sprayer: Quantity | undefined): { product: Fraction; water: Fraction }[] {
  if (!sprayer || water.equals(0)) return [{ product, water }];
  requireDimension(sprayer, 'volume', 'The sprayer');
  const tank = inBase(sprayer);
  const full = water.div(tank).floor().valueOf();
  if (full > 500) return refuse('nothing-to-treat', 'More than 500 fills: choose a larger sprayer or less to make.');
  const share = (part: Fraction) => ({ water: part, product: product.mul(part).div(water) });
  const fills = Array.from({ length: full }, () => share(tank));
  const rest = water.mod(tank);
  return rest.gt(0) ? [...fills, share(rest)] : fills;
}

function alertsFor(fills: readonly Fill[], dimension: 'volume' | 'mass', spoons: SpoonSet | undefined): Mix['alerts'] {
  const alerts: { code: string; text: string }[] = [];
  if (spoons && dimension === 'mass')
    alerts.push({ code: 'weigh', text: 'Weigh this product: spoons of a powder differ too much without its own density.' });
  if (spoons && dimension === 'volume' && fills.some((fill) => !fill.inSpoons))
    alerts.push({ code: 'too-small', text: 'Less than an eighth of a teaspoon: use a syringe or make more.' });
  const worst = Math.max(0, ...fills.map((fill) => Math.abs(fill.inSpoons?.errorPercent ?? 0)));
  if (worst > 10)
    alerts.push({ code: 'spoon-error', text: `Spoons are off by ${Math.round(worst)} % here: a syringe or scales do better.` });
  return alerts;
}

function requireDimension(quantity: Quantity, wanted: 'volume' | 'area', what: string): void {
  if (dimensionOf(quantity.unit) !== wanted)
    refuse('units-differ', `${what} is given as ${wanted === 'volume' ? 'a volume' : 'an area'}, not in ${quantity.unit}.`);
}

function refuse(code: MixRefusal['code'], text: string): never {
  throw new Refusal({ code, text });
}
