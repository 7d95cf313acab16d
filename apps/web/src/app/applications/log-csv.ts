import { unparse } from 'papaparse';

export interface LogRow {
  readonly applied: string;
  readonly place: string;
  readonly plant: string;
  readonly cultivar: string;
  readonly plants: number;
  readonly treatment: string;
  readonly product: number | null;
  readonly unit: string | null;
  readonly waterL: number | null;
  readonly part: string;
  readonly why: string;
  readonly by: string;
  readonly temperatureC: number | null;
  readonly windKmh: number | null;
  readonly sky: string;
  readonly reEntry: string;
  readonly harvestSafeOn: string | null;
}

// What a spreadsheet takes for a formula: also behind blanks and line feeds, and in the wide signs of East Asian keyboards.
const formula = /^[\s\uFEFF]*[=+\-@\t\r\n|%\uFF1D\uFF0B\uFF0D\uFF20]/;

/** The record as CSV (RFC 4180), SI units in the heads; what begins like a formula is defused so that a spreadsheet never runs it. */
export const logCsv = (rows: readonly LogRow[]): string => unparse([...rows], { newline: '\r\n', escapeFormulae: formula });
