import Fraction from 'fraction.js';
import { dimensionOf, fromBase, fromDecimal, inBase } from '../units/index.js';
import type { Quantity, UnitName } from '../units/index.js';
import { rateLine } from '../label/index.js';
import { splitIntoFills } from './fills.js';
import type { Standing } from './fills.js';
import { refuse, Refusal, requireDimension } from './mixRefusal.js';
import type { MixRefusal } from './mixRefusal.js';
import { mixSteps } from './mixSteps.js';
import type { MixStep, Way } from './mixSteps.js';
import { inSpoons } from './spoons.js';
import type { SpoonMeasure, SpoonSet } from './spoons.js';
import { countedBy, extentOf, mixTaken, perBase } from './toTreat.js';
import type { Per, ToTreat } from './toTreat.js';

/** So much product per so much water, ground, row, weight, compost, or per plant; or as a share; or, as a length alone, so deep. */
export interface Rate extends Quantity {
  readonly per?: Per | undefined;
}

export interface MixQuestion {
  readonly rate: Rate;
  /** finished mix wanted */
  readonly make?: Quantity | undefined;
  readonly treat?: ToTreat | undefined;
  readonly sprayer?: Quantity | undefined;
  /** what stands in the sprayer already */
  readonly standing?: Standing | undefined;
  readonly spoons?: SpoonSet | undefined;
  /** of the product, g/ml: then spoons hold a powder too; none is guessed */
  readonly density?: number | undefined;
  /** most that the label allows, in the same "per" as the rate */
  readonly labelMax?: Quantity | undefined;
  /** how it is put on; without water it is spread, else sprayed, when left out */
  readonly way?: Way | undefined;
}

export interface Fill {
  readonly water: Quantity;
  /** of the water, what is yet to be poured in */
  readonly pour: Quantity;
  readonly product: Quantity;
  readonly inSpoons: SpoonMeasure | null;
}

export interface Mix {
  readonly product: Quantity;
  readonly water: Quantity;
  readonly fills: readonly Fill[];
  readonly inSpoons: SpoonMeasure | null;
  /** mix that stays when all of it has been treated; nothing where that is not known */
  readonly leftOver: Quantity | null;
  readonly steps: readonly MixStep[];
  readonly alerts: readonly { readonly code: string; readonly text: string }[];
}

export type MixAnswer = { readonly mix: Mix } | { readonly refused: MixRefusal };

/**
 * Work out a mix exactly: how much product in how much water, in how many fills, and in which spoons.
 *
 * `percent` and `parts` are shares of the finished mix (so water = make − product); a rate per volume is per volume of *water*, or of the compost
 * in the pots. A rate by plants, ground, row or weight gives the product for all of it, with water from the coverage if one is said. A rate that
 * is a length alone is a depth over the area: mulch, lime, sand. Everything is computed in exact fractions and rounded once, when shown.
 *
 * @returns the mix, or a refusal with its code: above the label maximum nothing is given
 * @throws RangeError if an amount is not finite
 * @example
 * mixFor({ rate: { amount: 20, unit: 'ml', per: { amount: 1, unit: 'l' } }, make: { amount: 5, unit: 'l' } })
 * // => product 100 ml, water 5 l
 * mixFor({ rate: { amount: 5, unit: 'cm' }, treat: { area: { amount: 8, unit: 'm2' } } }) // => product 400 l
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
  const needed = mixTaken(question.treat);
  const { product, water } = withoutStanding(question, amounts(question, wantedVolume(question, needed)));
  const measured = productDimension(question.rate);
  const unit = unitFor(measured, question);
  const limitRatio = question.labelMax ? inBase(question.labelMax).div(inBase(question.rate)) : undefined;
  const spoonsOf = spoonsFor(question, measured, limitRatio);
  const fills = splitIntoFills(product, water, dimensionOf(question.rate.unit) === 'share', question.sprayer, question.standing).map(
    (fill) => ({
      water: fromBase(fill.water, 'l'),
      pour: fromBase(fill.pour, 'l'),
      product: fromBase(fill.product, unit),
      inSpoons: spoonsOf(fill.product),
    }),
  );
  return {
    product: fromBase(product, unit),
    water: fromBase(water, 'l'),
    fills,
    inSpoons: spoonsOf(product),
    leftOver: question.make && needed?.lt(inBase(question.make)) ? fromBase(inBase(question.make).sub(needed), 'l') : null,
    steps: mixSteps(question.way ?? (water.gt(0) ? 'spray' : isDepth(question.rate) ? 'mulch' : 'spread'), fills.length),
    alerts: alertsFor(question, fills, measured, needed),
  };
}

const isDepth = ({ unit, per }: Rate): boolean => !per && dimensionOf(unit) === 'length';

function refuseAboveLabel({ rate, labelMax }: MixQuestion): void {
  const line = rateLine(rate, labelMax);
  if (!labelMax || line === 'kept') return;
  if (line === 'other-kind')
    refuse('units-differ', `The label maximum is in ${labelMax.unit} and the rate in ${rate.unit}: give both in units of one kind.`);
  refuse('label-max', `At most ${labelMax.amount} ${labelMax.unit} is allowed, and the rate is ${rate.amount} ${rate.unit}.`);
}

function wantedVolume({ make }: MixQuestion, needed: Fraction | undefined): Fraction | undefined {
  if (!make) return needed;
  requireDimension(make, 'volume', 'The amount to make');
  return inBase(make);
}

interface Amounts {
  readonly product: Fraction;
  readonly water: Fraction;
}

function amounts({ rate, treat }: MixQuestion, wanted: Fraction | undefined): Amounts {
  if (isDepth(rate))
    // Metres deep on square metres are cubic metres, of a million ml.
    return { product: inBase(rate).mul(extentOf('area', treat)).mul(1_000_000), water: new Fraction(0n) };
  const counted = rate.per && countedBy(rate.per);
  if (counted && counted !== 'water') {
    const product = rateBase(rate).mul(extentOf(counted, treat));
    return { product, water: wanted ?? new Fraction(0n) };
  }
  if (!wanted)
    return refuse('nothing-to-treat', 'Say how much to make, or how many plants or how much area to treat and how much each takes.');
  const share = rateBase(rate);
  if (dimensionOf(rate.unit) !== 'share') return { product: share.mul(wanted), water: wanted };
  const product = share.mul(wanted);
  const water = wanted.sub(product);
  return water.lte(0) ? refuse('above-whole', 'The share of product must be below the whole.') : { product, water };
}

/** Of a mix that stands in the sprayer already, so much less is made. */
function withoutStanding({ rate, standing }: MixQuestion, { product, water }: Amounts): Amounts {
  if (!standing) return { product, water };
  requireDimension(standing, 'volume', 'What is in the sprayer');
  if (standing.of === 'water') return { product, water };
  const whole = dimensionOf(rate.unit) === 'share' ? product.add(water) : water;
  const left = whole.sub(inBase(standing));
  if (left.lte(0)) return refuse('too-much-there', 'What is in the sprayer is enough: nothing is mixed.');
  return { product: product.mul(left).div(whole), water: water.mul(left).div(whole) };
}

/** Product in base units for one base unit of what it is counted per (water, finished mix, ground, plants …). */
function rateBase({ amount, unit, per }: Rate): Fraction {
  const own = inBase({ amount, unit });
  if (unit === 'parts') {
    if (per?.unit !== 'parts') return refuse('rate-per', 'Parts need a counterpart: 1 part to 9 parts.');
    return own.div(own.add(perBase(per)));
  }
  if (dimensionOf(unit) === 'share' || dimensionOf(unit) === 'weight-share') return own;
  if (!per || !countedBy(per))
    return refuse('rate-per', 'A rate is so much per volume of water or compost, per plant, area, length or weight.');
  return own.div(perBase(per));
}

function productDimension(rate: Rate): 'volume' | 'mass' {
  const dimension = dimensionOf(rate.unit);
  if (dimension === 'volume' || dimension === 'share' || isDepth(rate)) return 'volume';
  if (dimension === 'mass' || dimension === 'weight-share') return 'mass';
  return refuse('rate-per', `A rate is a volume, a mass or a share of product, not ${rate.unit}.`);
}

function unitFor(measured: 'volume' | 'mass', { rate, spoons }: MixQuestion): UnitName {
  if (measured === 'mass') return 'g';
  if (isDepth(rate)) return 'l';
  return spoons === 'us' ? 'tsp-us' : 'ml';
}

/** Spoons hold a volume; a powder goes into them only by its own density. */
function spoonsFor({ rate, spoons, density }: MixQuestion, measured: 'volume' | 'mass', limitRatio: Fraction | undefined) {
  return (base: Fraction): SpoonMeasure | null => {
    if (!spoons || isDepth(rate) || (measured === 'mass' && density === undefined)) return null;
    const ml = measured === 'mass' ? base.div(fromDecimal(density!)) : base;
    return inSpoons(ml, spoons, limitRatio && ml.mul(limitRatio)) ?? null;
  };
}

function alertsFor(
  question: MixQuestion,
  fills: readonly Fill[],
  measured: 'volume' | 'mass',
  needed: Fraction | undefined,
): Mix['alerts'] {
  const { spoons, density, make, standing, rate } = question;
  const alerts: { code: string; text: string }[] = [];
  const bySpoon = spoons && !isDepth(rate) && (measured === 'volume' || density !== undefined);
  if (spoons && measured === 'mass' && density === undefined)
    alerts.push({ code: 'weigh', text: 'Weigh this product: spoons of a powder differ too much without its own density.' });
  if (bySpoon && fills.some((fill) => !fill.inSpoons))
    alerts.push({ code: 'too-small', text: 'Less than an eighth of a teaspoon: use a syringe or make more.' });
  const worst = Math.max(0, ...fills.map((fill) => Math.abs(fill.inSpoons?.errorPercent ?? 0)));
  if (worst > 10)
    alerts.push({ code: 'spoon-error', text: `Spoons are off by ${Math.round(worst)} % here: a syringe or scales do better.` });
  if (make && needed?.gt(inBase(make)))
    alerts.push({ code: 'not-enough', text: `That is enough for ${Math.floor(inBase(make).div(needed).mul(100).valueOf())} % of it.` });
  if (standing?.of === 'mix')
    alerts.push({ code: 'same-mix', text: 'What stands in the sprayer must be the same product at the same strength, mixed today.' });
  return alerts;
}
