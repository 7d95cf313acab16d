import type Fraction from 'fraction.js';
import { dimensionOf, fromDecimal, inBase } from '../units/index.js';
import type { Quantity, UnitName } from '../units/index.js';
import { refuse, requireDimension } from './mixRefusal.js';

/** What a rate or a spray goes by: so much of a measure, or of plants; a volume is of water, or of the compost in the pots. */
export interface Per {
  readonly amount: number;
  readonly unit: UnitName | 'plant';
  readonly of?: 'water' | 'compost' | undefined;
}

/** How much there is to treat, as far as it is said. */
export interface ToTreat {
  readonly plants?: number | undefined;
  readonly area?: Quantity | undefined;
  /** of a row, a trench, or of trunks right round */
  readonly length?: Quantity | undefined;
  /** of seed, bulbs, compost or bait */
  readonly weight?: Quantity | undefined;
  /** compost that the pot of one plant holds */
  readonly pot?: Quantity | undefined;
  /** mix that one plant, or one unit of ground, row, weight or compost takes */
  readonly coverage?: (Quantity & { readonly per: UnitName | 'plant' }) | undefined;
}

/** What is counted by a measure: plants, ground, rows, weight, compost, or the water of the mix itself. */
export type Counted = 'plants' | 'area' | 'length' | 'weight' | 'compost' | 'water';

/** What so much "per" is counted by; nothing for a share, which is no measure. */
export function countedBy({ unit, of }: Pick<Per, 'unit' | 'of'>): Counted | undefined {
  if (unit === 'plant') return 'plants';
  const dimension = dimensionOf(unit);
  if (dimension === 'volume') return of === 'compost' ? 'compost' : 'water';
  if (dimension === 'mass') return 'weight';
  return dimension === 'area' || dimension === 'length' ? dimension : undefined;
}

/** The measure of a "per" in base units: 10 l are 10,000 ml, 3 plants are 3. */
export const perBase = ({ amount, unit }: Per): Fraction => (unit === 'plant' ? fromDecimal(amount) : inBase({ amount, unit }));

const measures = {
  area: { dimension: 'area', name: 'The area', ask: 'Say how large the area is.' },
  length: { dimension: 'length', name: 'The length', ask: 'Say how long the row is.' },
  weight: { dimension: 'mass', name: 'The weight', ask: 'Say how much of it is treated, by weight.' },
} as const;

/**
 * How much of it there is to treat, in base units: plants, m², m, g, or ml of compost.
 *
 * @throws Refusal that asks for what was not said, or is in a unit of another kind
 */
export function extentOf(counted: Exclude<Counted, 'water'>, treat: ToTreat | undefined): Fraction {
  if (counted === 'plants')
    return treat?.plants === undefined ? refuse('nothing-to-treat', 'Say how many plants are to be treated.') : fromDecimal(treat.plants);
  if (counted === 'compost') {
    if (!treat?.pot) return refuse('nothing-to-treat', 'Say how much compost a pot holds.');
    requireDimension(treat.pot, 'volume', 'The pot');
    return inBase(treat.pot).mul(extentOf('plants', treat));
  }
  const measure = measures[counted];
  const given = treat?.[counted];
  if (!given) return refuse('nothing-to-treat', measure.ask);
  requireDimension(given, measure.dimension, measure.name);
  return inBase(given);
}

/**
 * The mix that all of it takes, ml; nothing where no coverage is said.
 *
 * @throws Refusal that asks for what was not said, or does not go together
 */
export function mixTaken(treat: ToTreat | undefined): Fraction | undefined {
  const coverage = treat?.coverage;
  if (!coverage) return undefined;
  requireDimension(coverage, 'volume', 'The coverage');
  const counted = countedBy({ unit: coverage.per, of: 'compost' });
  if (!counted || counted === 'water')
    return refuse('rate-per', `Coverage is for a plant, or a unit of ground, row, weight or compost, not per ${coverage.per}.`);
  return inBase(coverage)
    .mul(extentOf(counted, treat))
    .div(perBase({ amount: 1, unit: coverage.per }));
}
