// Cells
export { DayOrderWitness, readDay, readTime } from './readDay.js';
export type { DayOrder, DayRead } from './readDay.js';
export { DecimalWitness, readNumber } from './readNumber.js';
export type { DecimalSign, NumberRead } from './readNumber.js';
export { readUnit } from './readUnit.js';

// Columns
export { matchColumns } from './matchColumns.js';
export type { Column, MatchedColumn } from './matchColumns.js';
