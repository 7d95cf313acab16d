// Exact fractions
export { fromDecimal } from './fromDecimal.js';

// Units
export { dimensionOf, unitNames, unitTable } from './unitTable.js';
export type { Dimension, UnitName } from './unitTable.js';

// Quantities
export { convert, fromBase, inBase } from './convert.js';
export type { Quantity } from './convert.js';
