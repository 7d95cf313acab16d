import Fraction from 'fraction.js';
import { fromDecimal } from './fromDecimal.js';

export type Dimension = 'volume' | 'mass' | 'area' | 'length' | 'share' | 'weight-share';

export interface Unit {
  readonly dimension: Dimension;
  /** how many base units one of these is: ml, g, m2, m, parts of one (v/v), grams per millilitre */
  readonly inBase: Fraction;
}

// One US gallon is 231 cubic inches of 2.54 cm: 3785.411784 ml exactly (NIST Handbook 44, appendix C).
const gallonUs = fromDecimal(3785.411784);
// One imperial gallon is 4.54609 l exactly (UK Units of Measurement Regulations 1995).
const gallonImperial = fromDecimal(4546.09);
// One avoirdupois pound is 453.59237 g exactly (international agreement of 1959).
const pound = fromDecimal(453.59237);
const part = (whole: Fraction, count: bigint) => whole.div(count);
const unit = (dimension: Dimension, inBase: Fraction): Unit => ({ dimension, inBase });

/** Every unit name that the application knows, with its exact size. */
export const unitTable = {
  ml: unit('volume', new Fraction(1n)),
  l: unit('volume', new Fraction(1000n)),
  'tsp-us': unit('volume', part(gallonUs, 768n)),
  'tbsp-us': unit('volume', part(gallonUs, 256n)),
  'floz-us': unit('volume', part(gallonUs, 128n)),
  'cup-us': unit('volume', part(gallonUs, 16n)),
  'pt-us': unit('volume', part(gallonUs, 8n)),
  'qt-us': unit('volume', part(gallonUs, 4n)),
  'gal-us': unit('volume', gallonUs),
  'tsp-metric': unit('volume', new Fraction(5n)),
  'tbsp-metric': unit('volume', new Fraction(15n)),
  'cup-metric': unit('volume', new Fraction(250n)),
  m3: unit('volume', new Fraction(1_000_000n)),
  // A cubic foot is 0.3048 m cubed, a cubic yard 27 of them.
  ft3: unit('volume', fromDecimal(28316.846592)),
  yd3: unit('volume', fromDecimal(28316.846592).mul(27)),
  'floz-imp': unit('volume', part(gallonImperial, 160n)),
  'pt-imp': unit('volume', part(gallonImperial, 8n)),
  'gal-imp': unit('volume', gallonImperial),
  g: unit('mass', new Fraction(1n)),
  kg: unit('mass', new Fraction(1000n)),
  oz: unit('mass', part(pound, 16n)),
  lb: unit('mass', pound),
  m2: unit('area', new Fraction(1n)),
  ft2: unit('area', fromDecimal(0.09290304)),
  ha: unit('area', new Fraction(10_000n)),
  acre: unit('area', fromDecimal(4046.8564224)),
  m: unit('length', new Fraction(1n)),
  cm: unit('length', new Fraction(1n, 100n)),
  ft: unit('length', fromDecimal(0.3048)),
  in: unit('length', fromDecimal(0.0254)),
  percent: unit('share', new Fraction(1n, 100n)),
  parts: unit('share', new Fraction(1n)),
  'percent-wv': unit('weight-share', new Fraction(1n, 100n)),
  ppm: unit('weight-share', new Fraction(1n, 1_000_000n)),
} as const satisfies Record<string, Unit>;

export type UnitName = keyof typeof unitTable;

export const unitNames = Object.keys(unitTable) as [UnitName, ...UnitName[]];

/** The dimension that a unit measures. */
export const dimensionOf = (name: UnitName): Dimension => unitTable[name].dimension;
