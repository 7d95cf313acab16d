// Exact fractions
export { add, compare, divide, floor, fromDecimal, multiply, rational, subtract, toNumber } from './rational.js';
export type { Rational } from './rational.js';

// Units
export { dimensionOf, unitNames, unitTable } from './unitTable.js';
export type { Dimension, UnitName } from './unitTable.js';

// Quantities
export { convert, fromBase, inBase } from './convert.js';
export type { Quantity } from './convert.js';
