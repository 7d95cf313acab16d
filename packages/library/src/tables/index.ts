export { nameKey } from './cells.js';
export type { CellProblem, Conventions, ListedRecord, UnknownName } from './cells.js';
export { columnsOf, listColumns, listTitles } from './listColumns.js';
export type { CellKind, ListColumn, ListName } from './listColumns.js';
export { ListReader } from './listReader.js';
export type { ListedInto } from './listInHand.js';
export type { RowRead } from './listReader.js';
export type { StandingPlace, StandingPlanting } from './standing.js';
