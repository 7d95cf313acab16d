import Fraction from 'fraction.js';
import { inBase } from '../units/index.js';
import type { Quantity } from '../units/index.js';
import { refuse, requireDimension } from './mixRefusal.js';

/** What stands in the sprayer already: clean water, or the same mix from before. */
export type Standing = Quantity & { readonly of: 'water' | 'mix' };

/** One fill, in ml and in base units of the product. */
export interface ExactFill {
  readonly water: Fraction;
  /** of the water, what is yet to be poured in */
  readonly pour: Fraction;
  readonly product: Fraction;
}

const mostFills = 500;
const none = new Fraction(0n);

/**
 * Split a mix into fills of a sprayer; the last may be a part fill, and each has its own share of the product.
 *
 * @param poured - product that is poured in and takes up room itself, as a share of the mix does; a little powder or concentrate does not count
 * @param standing - what is in the sprayer before the first fill
 * @throws Refusal for more than 500 fills, for more water than the mix needs, for a sprayer that is full, or a unit of another kind
 */
export function splitIntoFills(
  product: Fraction,
  water: Fraction,
  poured: boolean,
  sprayer: Quantity | undefined,
  standing: Standing | undefined,
): ExactFill[] {
  if (sprayer) requireDimension(sprayer, 'volume', 'The sprayer');
  const whole = poured ? water.add(product) : water;
  const tank = sprayer ? inBase(sprayer) : whole;
  const there = standing ? inBase(standing) : none;
  if (sprayer && there.gt(tank)) refuse('too-much-there', 'More is in the sprayer than it holds: put one of the two right.');
  if (water.equals(0)) return [{ product, water, pour: water }];
  // Old mix takes up room in the first fill; clean water is part of it.
  const room = standing?.of === 'mix' ? tank.sub(there) : tank;
  const first = sprayer && room.lt(whole) ? room : whole;
  const parts = first.gt(0) ? [first] : [];
  for (let left = whole.sub(first); left.gt(0); left = left.sub(parts.at(-1)!)) {
    if (parts.length === mostFills) refuse('nothing-to-treat', `More than ${mostFills} fills: choose a larger sprayer or less to make.`);
    parts.push(left.lt(tank) ? left : tank);
  }
  const waterIn = (part: Fraction) => water.mul(part).div(whole);
  const firstWater = waterIn(first);
  if (standing?.of === 'water' && there.gt(firstWater))
    refuse(
      'too-much-there',
      `The mix needs ${litres(firstWater)} l, and ${litres(there)} l are in the sprayer: pour ${litres(there.sub(firstWater))} l out.`,
    );
  return parts.map((part, index) => ({
    water: waterIn(part),
    pour: index === 0 && standing?.of === 'water' ? waterIn(part).sub(there) : waterIn(part),
    product: product.mul(part).div(whole),
  }));
}

const litres = (ml: Fraction): number => Number(ml.div(1000).valueOf().toPrecision(3));
