import { unparse } from 'papaparse';

/** One planting of one tank or job; what was in the tank stands in each of its rows. */
export interface LogRow {
  readonly tank: string;
  readonly applied: string;
  readonly place: string;
  readonly plant: string;
  readonly cultivar: string;
  readonly plants: number;
  readonly part: string;
  readonly treatment: string;
  readonly productInTank: number | null;
  readonly unit: string | null;
  readonly waterInTankL: number | null;
  readonly kit: string;
  readonly why: string;
  readonly by: string;
  readonly temperatureC: number | null;
  readonly windKmh: number | null;
  readonly sky: string;
  readonly reEntry: string;
  readonly notPickedBefore: string | null;
  /** whose figures the card held: typical ones, the pack's, a register's */
  readonly figures: string;
  /** lines of the card that were not kept */
  readonly notKept: string;
}

// What a spreadsheet takes for a formula: also behind blanks and line feeds, and in the wide signs of East Asian keyboards.
const formula = /^[\s\uFEFF]*[=+\-@\t\r\n|%\uFF1D\uFF0B\uFF0D\uFF20]/;

/** The record as CSV (RFC 4180), SI units in the heads; what begins like a formula is defused so that a spreadsheet never runs it. */
export const logCsv = (rows: readonly LogRow[]): string => unparse([...rows], { newline: '\r\n', escapeFormulae: formula });
